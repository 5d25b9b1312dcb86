/** Who works in the shop. */
package wrenchnotes.core.team;
