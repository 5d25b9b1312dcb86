/** Units that are kept for parts: what in them is good, and what it is worth. */
package wrenchnotes.core.drawer.donor;
