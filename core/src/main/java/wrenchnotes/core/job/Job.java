package wrenchnotes.core.job;

import java.time.Instant;
import java.util.Optional;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Kind;
import wrenchnotes.core.unit.Refused;

/**
 * One stay of a unit in the shop.
 *
 * @param handedOverAt empty while it is here
 * @param openedWith id of the notes it was opened with; empty if it never was opened
 * @param version counts up with each change of what was said at the counter
 * @param benchVersion counts up with each press at the bench
 * @param lastAt the date of its last entry; empty in lists, where nothing is written
 */
public record Job(
        long id,
        UnitHere unit,
        Brought brought,
        Optional<Instant> handedOverAt,
        Optional<Long> openedWith,
        long version,
        long benchVersion,
        Optional<Instant> lastAt) {

    /** Which thing it is. */
    public record UnitHere(
            long id,
            String tag,
            String serial,
            long modelId,
            String model,
            Kind kind,
            long revisionId,
            String revision) {}

    /**
     * Whose it is, where it stands, and what was said at the counter.
     *
     * @param owner empty for a unit to be sold
     * @param dueAt when it was promised for
     */
    public record Brought(
            Ownership ownership,
            Optional<Owner> owner,
            Optional<String> slot,
            String complaint,
            String condition,
            Instant checkedInAt,
            String checkedInBy,
            Optional<Instant> dueAt) {}

    public record Owner(long id, String name, String contact) {}

    public long unitId() {
        return unit.id();
    }

    public String tag() {
        return unit.tag();
    }

    public long revisionId() {
        return unit.revisionId();
    }

    public Ownership ownership() {
        return brought.ownership();
    }

    /** The same job, going by these notes. */
    public Job openedWith(long notes) {
        return new Job(id, unit, brought, handedOverAt, Optional.of(notes), version, benchVersion, lastAt);
    }

    /** The same job after one more press on its bench. */
    public Job pressed(By by) {
        return new Job(id, unit, brought, handedOverAt, openedWith, version, benchVersion + 1, Optional.of(by.at()));
    }

    /** @throws Refused if the unit has left: its record stands as it is */
    public void mustBeHere() {
        if (handedOverAt.isPresent()) {
            throw Refused.because(tag() + " has been handed over. If it came back, check it in again.");
        }
    }

    /**
     * Whoever writes on this job now, dated no earlier than its last entry.
     *
     * @throws Refused if the unit has left
     */
    public By entered(By by) {
        mustBeHere();
        return dated(by);
    }

    /** Whoever writes on this job, dated no earlier than its last entry. */
    public By dated(By by) {
        return by.notBefore(lastAt.orElseThrow());
    }
}
