/** Estimates, what a unit is worth, and what to do with one that is to be sold. */
package wrenchnotes.core.money;
