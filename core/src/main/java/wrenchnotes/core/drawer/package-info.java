/** Parts in the drawers: how many there are and what they cost. */
package wrenchnotes.core.drawer;
