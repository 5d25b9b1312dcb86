package wrenchnotes.core.diagnosis.history;

/**
 * What a unit fetched. A unit may be sold long after its job was closed, and the price may be set right later: the last one said counts.
 *
 * @param worked whether it was sold as working
 * @param at when that was said, in milliseconds since 1970
 */
public record SoldUnit(long job, long revision, boolean worked, long minor, long at) {}
