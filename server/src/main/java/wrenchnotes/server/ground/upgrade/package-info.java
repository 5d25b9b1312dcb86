/** Brings the database of an earlier version up to date; what has landed here is never edited. */
package wrenchnotes.server.ground.upgrade;
