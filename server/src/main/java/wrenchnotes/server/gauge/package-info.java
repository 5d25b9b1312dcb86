/** The gauges over HTTP: each changes nothing and answers with reasons. */
package wrenchnotes.server.gauge;
