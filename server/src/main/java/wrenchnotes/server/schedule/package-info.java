/** The rack: which unit to pick up next and why, and where each one stands. */
package wrenchnotes.server.schedule;
