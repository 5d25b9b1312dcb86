/** Tables that leave the shop: as other programs read them. */
package wrenchnotes.server.table;
