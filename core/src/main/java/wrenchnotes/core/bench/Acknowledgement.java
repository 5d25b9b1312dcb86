package wrenchnotes.core.bench;

import wrenchnotes.core.unit.Moment;

/**
 * Somebody said that a caution was heeded.
 *
 * @param step id of the step whose caution it is
 */
public record Acknowledgement(String step, Moment moment) {}
