/** What to look at next, and first. */
package wrenchnotes.core.diagnosis.advice;
