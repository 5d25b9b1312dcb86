/** Orders: what was wanted, ordered and came, how long that takes, and what it cost. */
package wrenchnotes.core.drawer.order;
