/** Faults found and what was done about them; what is likely to be wrong, by what was learned, and what to look at next. */
package wrenchnotes.core.diagnosis;
