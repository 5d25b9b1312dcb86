/** How a job ended, and the gate before a unit leaves the shop. */
package wrenchnotes.core.outcome;
