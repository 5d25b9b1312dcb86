/** Units that are kept for parts: what is in them, what was taken out, and where to get a part for a job. */
package wrenchnotes.server.donor;
