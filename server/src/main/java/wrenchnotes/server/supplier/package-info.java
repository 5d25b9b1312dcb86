/** Speaking to suppliers: an order goes to an address or into a folder, and answers come back; and a supplier that is simulated. */
package wrenchnotes.server.supplier;
