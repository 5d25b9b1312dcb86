/** In and out in open formats: docs/formats.md. */
package wrenchnotes.server.exchange;
