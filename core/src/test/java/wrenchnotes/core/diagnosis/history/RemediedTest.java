package wrenchnotes.core.diagnosis.history;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.FindingKind;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.history.Where.Level;
import wrenchnotes.core.outcome.Outcome;
import wrenchnotes.core.unit.Kind;

/** How remedies held: counted by hand beside the book. */
class RemediedTest {

    private static final FaultName BELT = new FaultName("belt", "slack");
    private static final FaultName LENS = new FaultName("lens", "dirty");
    /** Two models; both have the belt, by a number of their own. */
    private static final Names NAMES = new Names(
            Map.of(1L, new Where(1, 1, Kind.PLAYER), 2L, new Where(2, 2, Kind.PLAYER)),
            Map.of(1L, BELT, 2L, BELT, 3L, LENS),
            Map.of(),
            Vocabulary.of(List.of()),
            Map.of(1L, Set.of("belt", "lens"), 2L, Set.of("belt")),
            Map.of(),
            Map.of());

    private final ClosedBook book = new ClosedBook();
    private long days;

    private void job(long unit, long revision, ClosedJob.FoundFault... found) {
        days++;
        book.add(new ClosedJob(
                days,
                unit,
                revision,
                Ownership.CUSTOMER,
                ClosedJob.NOBODY,
                days,
                days,
                Optional.of(Outcome.FIXED),
                false,
                60_000,
                0,
                List.of(),
                List.of(found),
                List.of()));
    }

    private static ClosedJob.FoundFault found(
            long revision, long fault, Remedy remedy, boolean failed, FindingKind kind) {
        return new ClosedJob.FoundFault(revision, fault, fault == 3 ? 9 : 8, remedy, failed, kind, List.of());
    }

    private static ClosedJob.FoundFault belt(Remedy remedy) {
        return found(1, 1, remedy, false, FindingKind.FAULT);
    }

    private List<Remedied> of(FaultName fault, long model) {
        return Remedied.of(book, NAMES, model, Set.of(fault)).get(fault);
    }

    @Test
    void whatHeldMostOftenComesFirst() {
        job(1, 1, belt(Remedy.REVIVED));
        job(1, 1, belt(Remedy.REPLACED));
        job(2, 1, belt(Remedy.REVIVED));
        job(3, 1, belt(Remedy.REPLACED));
        job(4, 1, found(1, 1, Remedy.CLEANED, true, FindingKind.FAULT), belt(Remedy.REPLACED));
        // Done on principle is no remedy of a fault.
        job(5, 1, found(1, 1, Remedy.LUBRICATED, false, FindingKind.UPKEEP));
        assertThat(of(BELT, 1))
                .containsExactly(
                        new Remedied(Remedy.REPLACED, 3, 0, 0, Level.MODEL),
                        // The first of them came back as the second stay of unit 1.
                        new Remedied(Remedy.REVIVED, 2, 0, 1, Level.MODEL),
                        new Remedied(Remedy.CLEANED, 1, 1, 0, Level.MODEL));
        assertThat(of(LENS, 1)).isEmpty();
    }

    @Test
    void aModelThatNeverHadItGoesByTheWholeShop() {
        job(1, 1, belt(Remedy.REPLACED));
        assertThat(of(BELT, 2)).containsExactly(new Remedied(Remedy.REPLACED, 1, 0, 0, Level.ALL));
        job(2, 2, found(2, 2, Remedy.CLEANED, false, FindingKind.FAULT));
        assertThat(of(BELT, 2)).containsExactly(new Remedied(Remedy.CLEANED, 1, 0, 0, Level.MODEL));
    }
}
