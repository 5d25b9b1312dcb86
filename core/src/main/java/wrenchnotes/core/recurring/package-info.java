/**
 * Recurring failures, counted from the closed book: which fault is found on what and how often, whether it rises, how long what was done about it lasts, and
 * how that compares. Shares are of jobs, never of units in use: nobody knows how many of those there are.
 */
package wrenchnotes.core.recurring;
