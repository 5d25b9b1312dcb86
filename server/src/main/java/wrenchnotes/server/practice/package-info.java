/** The demo shop opened beside the shop: to try things out where nothing counts, and to be thrown away. */
package wrenchnotes.server.practice;
