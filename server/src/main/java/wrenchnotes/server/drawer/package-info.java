/** Parts in the drawers and what is taken from them. */
package wrenchnotes.server.drawer;
