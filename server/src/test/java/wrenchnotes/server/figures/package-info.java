/** Figures: how fast the shop answers when it has grown old. {@code make bench} prints them; no test depends on them. */
package wrenchnotes.server.figures;
