/** A unit arrives: whose it is, what it does wrong, and in what state it is. */
package wrenchnotes.core.checkin;
