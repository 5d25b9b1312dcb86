/** Who works here, and signing in. */
package wrenchnotes.server.team;
