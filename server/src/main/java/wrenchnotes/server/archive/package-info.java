/** The whole shop as one open file, out and in. */
package wrenchnotes.server.archive;
