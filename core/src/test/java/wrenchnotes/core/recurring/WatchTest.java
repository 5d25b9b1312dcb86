package wrenchnotes.core.recurring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.diagnosis.FindingKind;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.history.ClosedBook;
import wrenchnotes.core.diagnosis.history.ClosedJob;
import wrenchnotes.core.outcome.Outcome;

class WatchTest {

    private static final long DAY = 86_400_000L;

    /** Exact limits of a Poisson mean, 90 % two-sided (published: Garwood 1936; Pearson & Hartley, Biometrika Tables, table 40; from memory). */
    @ParameterizedTest
    @CsvSource({"0, 0, 3.00", "1, 0.0513, 4.74", "5, 1.97, 10.51", "10, 5.43, 16.96", "20, 13.25, 29.06"})
    void theLimitsAreGarwoods(int events, double fewest, double most) {
        assertThat(WatchGain.fewest(events)).isCloseTo(fewest, within(0.006));
        assertThat(WatchGain.most(events)).isCloseTo(most, within(0.006));
    }

    /** By hand: 12 events in 6 months at 30.00 are 60.00 a month; 10 looks at 1.00 cost 10.00. */
    @Test
    void whatLookingBringsIsWhatItCatchesLessWhatItCosts() {
        WatchGain gain = WatchGain.of(12, 6, 10, 3_000, 100);
        assertThat(gain.monthMinor()).isCloseTo(5_000, within(1e-9));
        assertThat(gain.earned()).isTrue();
        assertThat(WatchGain.of(4, 6, 0, 3_000, 0).earned())
                .as("four are too few, however dear")
                .isFalse();
        assertThat(WatchGain.of(5, 6, 40, 3_000, 100).earned())
                .as("worth it by what is seen, and not by what is sure")
                .isFalse();
        assertThat(WatchGain.of(0, 12, 3, 3_000, 300).spent(36)).isTrue();
        assertThat(WatchGain.of(0, 12, 3, 3_000, 300).spent(19))
                .as("too few looks")
                .isFalse();
    }

    private static ClosedJob.FoundFault found(long fault) {
        return new ClosedJob.FoundFault(1, fault, fault, Remedy.RESEATED, false, FindingKind.FAULT, List.of());
    }

    /** Thirty jobs in ten months: the plug is found beside the belt in eight, and alone in five; nobody would have missed those five. */
    @Test
    void anEventIsWhatWouldHaveBeenMissed() {
        ClosedBook book = new ClosedBook();
        for (int n = 1; n <= 30; n++) {
            book.add(new ClosedJob(
                    n,
                    n,
                    1,
                    Ownership.CUSTOMER,
                    ClosedJob.NOBODY,
                    n * 10 * DAY,
                    n * 10 * DAY + 1,
                    Optional.of(Outcome.FIXED),
                    false,
                    30 * 60_000,
                    0,
                    List.of(),
                    n <= 8 ? List.of(found(1), found(2)) : List.of(found(n <= 13 ? 2 : 1)),
                    List.of()));
        }
        List<WatchWorth> worth = WatchWorth.of(book, DAY, 305 * DAY, List.of(), 6_000);
        assertThat(worth).hasSize(1);
        assertThat(worth.get(0).component()).isEqualTo(2);
        assertThat(worth.get(0).gain().events()).isEqualTo(8);
        assertThat(worth.get(0).jobs()).isEqualTo(30);
        assertThat(worth.get(0).missMinor()).isCloseTo(3_000, within(1e-9));
    }
}
