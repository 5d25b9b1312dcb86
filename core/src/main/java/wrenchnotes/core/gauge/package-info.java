/** The measuring and the arithmetic of the bench: each gauge one computation, with its formula and source on top. */
package wrenchnotes.core.gauge;
