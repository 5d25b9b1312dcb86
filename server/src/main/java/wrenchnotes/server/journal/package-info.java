/** All that was written and all that happened at the door, for a lead to read. */
package wrenchnotes.server.journal;
