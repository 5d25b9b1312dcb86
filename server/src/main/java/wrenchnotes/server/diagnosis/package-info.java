/** Findings: a fault seen on a job and what was done about it. */
package wrenchnotes.server.diagnosis;
