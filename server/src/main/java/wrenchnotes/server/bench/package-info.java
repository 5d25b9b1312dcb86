/** The bench: steps in and out, moves of the ledger, and closing up. */
package wrenchnotes.server.bench;
