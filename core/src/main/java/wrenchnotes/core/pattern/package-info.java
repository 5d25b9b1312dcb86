/** Recurring failures, with how sure the shop can be of each. */
package wrenchnotes.core.pattern;
