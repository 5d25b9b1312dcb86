/** What the shop writes to somebody outside: letters lie in the outbox as files, and go when a mail server is set; and the paper of an order. */
package wrenchnotes.server.post;
