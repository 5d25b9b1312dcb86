/** How likely each fault is, given what is known of a unit. */
package wrenchnotes.core.diagnosis.odds;
