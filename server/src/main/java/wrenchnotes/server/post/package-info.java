/** What leaves the shop on paper or as a letter: orders, labels for drawers and bags, and the outbox, which a mail server empties if one is set. */
package wrenchnotes.server.post;
