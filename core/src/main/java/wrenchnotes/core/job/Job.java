package wrenchnotes.core.job;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import wrenchnotes.core.checkin.ContactWay;
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
 * @param loan the last one; empty if it never went out unfinished
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
        Optional<Loan> loan,
        Optional<Instant> lastAt) {

    /**
     * Which thing it is.
     *
     * @param revision empty if its model has no other
     */
    public record UnitHere(
            long id,
            String tag,
            String serial,
            long modelId,
            String model,
            Kind kind,
            long revisionId,
            String revision) {

        /** Model and revision; the model alone where it has no other. */
        public String named() {
            return (model + " " + revision).strip();
        }
    }

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

    /** @param ways to reach them, the first is tried first */
    public record Owner(long id, String name, List<ContactWay> ways) {}

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
        return new Job(id, unit, brought, handedOverAt, Optional.of(notes), version, benchVersion, loan, lastAt);
    }

    /** The same job after one more press on its bench. */
    public Job pressed(By by) {
        return new Job(
                id, unit, brought, handedOverAt, openedWith, version, benchVersion + 1, loan, Optional.of(by.at()));
    }

    /** The one that it is on now. */
    public Optional<Loan> onLoan() {
        return loan.filter(Loan::isOut);
    }

    /** Since when nobody outside had hands on it: since it was taken in, or came back from a loan. */
    public Instant hereSince() {
        return loan.flatMap(Loan::back).orElse(brought.checkedInAt());
    }

    /** @throws Refused if its stay is over: its record stands as it is */
    public void mustBeOpen() {
        if (handedOverAt.isPresent()) {
            throw Refused.because(tag() + " has been handed over. If it came back, check it in again.");
        }
    }

    /** @throws Refused if the unit has left, for good or on loan */
    public void mustBeHere() {
        mustBeOpen();
        if (onLoan().isPresent()) {
            throw Refused.because(tag() + " is on loan with its owner. If it came back, say so first.");
        }
    }

    /**
     * Whoever does something to the unit now, dated no earlier than its job's last entry.
     *
     * @throws Refused if the unit has left
     */
    public By entered(By by) {
        mustBeHere();
        return dated(by);
    }

    /**
     * Whoever says something of the job now, which needs no unit in hand.
     *
     * @throws Refused if its stay is over
     */
    public By told(By by) {
        mustBeOpen();
        return dated(by);
    }

    /** Whoever writes on this job, dated no earlier than its last entry. */
    public By dated(By by) {
        return by.notBefore(lastAt.orElseThrow());
    }
}
