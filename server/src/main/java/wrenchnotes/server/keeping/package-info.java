/** Keeps the shop's data safe: looks at its books, copies it every night, and says in health and on screen what it found. */
package wrenchnotes.server.keeping;
