/** Faults found and what was done about them. */
package wrenchnotes.core.diagnosis;
