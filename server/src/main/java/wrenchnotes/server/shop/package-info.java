/** The shop's own settings and its rack, which a lead edits. */
package wrenchnotes.server.shop;
