/** Recurring failures, counted over the jobs that were handed over. */
package wrenchnotes.server.pattern;
