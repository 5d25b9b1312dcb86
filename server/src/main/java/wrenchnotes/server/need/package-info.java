/** What the open jobs will ask of the drawers. */
package wrenchnotes.server.need;
