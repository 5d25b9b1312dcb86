/** The API as a whole, knocked at by what its own description says of it. */
package wrenchnotes.server.doors;
