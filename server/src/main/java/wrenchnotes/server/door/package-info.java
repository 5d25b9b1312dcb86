/** The edge of the shop: who may knock, how much is taken at once, and where it can be reached. */
package wrenchnotes.server.door;
