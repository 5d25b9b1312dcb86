/** What every room stands on: the one database, writes that happen once, the journal, and errors a person can read. */
package wrenchnotes.server.ground;
