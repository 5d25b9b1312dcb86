/** What work costs and what units fetch. */
package wrenchnotes.server.money;
