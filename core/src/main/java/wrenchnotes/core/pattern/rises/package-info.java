/** What is rising, over all faults at once, and how much one group differs from another. */
package wrenchnotes.core.pattern.rises;
