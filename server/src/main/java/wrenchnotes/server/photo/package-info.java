/** Pictures: made fit for the screen, kept once, named by what they hold. */
package wrenchnotes.server.photo;
