/** How a job ended, and handing the unit over. */
package wrenchnotes.server.outcome;
