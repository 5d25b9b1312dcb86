/** What is printed: slips, tags, strobe discs, and the printer that they come out of. */
package wrenchnotes.server.paper;
