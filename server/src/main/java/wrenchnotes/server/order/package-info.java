/** What was wanted and ordered, what came of it, and who sells it. */
package wrenchnotes.server.order;
