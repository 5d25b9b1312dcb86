/** The job sheet: one page a job, gathered from the rooms that each know a part of it. */
package wrenchnotes.server.sheet;
