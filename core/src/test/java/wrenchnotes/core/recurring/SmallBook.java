package wrenchnotes.core.recurring;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.FindingKind;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.history.ClosedBook;
import wrenchnotes.core.diagnosis.history.ClosedJob;
import wrenchnotes.core.diagnosis.history.Comeback;
import wrenchnotes.core.diagnosis.history.Names;
import wrenchnotes.core.diagnosis.history.Vocabulary;
import wrenchnotes.core.diagnosis.history.Where;
import wrenchnotes.core.outcome.Outcome;
import wrenchnotes.core.unit.Kind;

/** A closed book for a test: months of thirty days, two revisions of a player, and a computer with a drive in it. */
final class SmallBook {

    static final long DAY = 86_400_000L;
    static final long MONTH = 30 * DAY;
    static final Names NAMES = new Names(
            Map.of(
                    1L, new Where(1, 1, Kind.PLAYER),
                    2L, new Where(2, 1, Kind.PLAYER),
                    3L, new Where(3, 2, Kind.COMPUTER),
                    4L, new Where(4, 3, Kind.COMPUTER)),
            Map.of(
                    1L, new FaultName("belt", "slack"),
                    2L, new FaultName("lens", "dirty"),
                    3L, new FaultName("heads", "dirty"),
                    4L, new FaultName("clock", "fast")),
            Map.of(),
            Vocabulary.of(List.of()),
            Map.of(),
            Map.of(),
            Map.of());

    final ClosedBook book = new ClosedBook();
    private long number;

    static ClosedJob.FoundFault found(long on, long fault, Remedy remedy) {
        return new ClosedJob.FoundFault(on, fault, fault, remedy, false, FindingKind.FAULT, List.of());
    }

    static ClosedJob.FoundFault failed(long on, long fault, Remedy remedy) {
        return new ClosedJob.FoundFault(on, fault, fault, remedy, true, FindingKind.FAULT, List.of());
    }

    /** A job of a unit, in for a day. @return its number */
    long job(long unit, long revision, Ownership ownership, long day, Outcome outcome, ClosedJob.FoundFault... found) {
        book.add(new ClosedJob(
                ++number,
                unit,
                revision,
                ownership,
                ownership == Ownership.CUSTOMER ? 7 : ClosedJob.NOBODY,
                day * DAY,
                (day + 1) * DAY,
                Optional.of(outcome),
                false,
                60_000,
                500,
                revision == 3 ? List.of(4L) : List.of(),
                List.of(found),
                List.of()));
        return number;
    }

    long mended(long unit, long day, ClosedJob.FoundFault... found) {
        return job(unit, 1, Ownership.CUSTOMER, day, Outcome.FIXED, found);
    }

    static ClosedJob.FoundFault from(long supplier, long fault) {
        return new ClosedJob.FoundFault(
                1, fault, fault, Remedy.REPLACED, false, FindingKind.FAULT, supplier, List.of());
    }

    FaultStays stays(long today) {
        return FaultStays.of(book, new FaultOn(1, 1)::equals, Narrowed.NOT, List.<Comeback.AtFault>of(), today * DAY);
    }
}
