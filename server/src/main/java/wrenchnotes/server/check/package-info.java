/** Checks of a job; a corrected one is struck and stays. */
package wrenchnotes.server.check;
