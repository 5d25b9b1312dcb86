/** Which unit to pick up next, and why. */
package wrenchnotes.core.schedule;
