package wrenchnotes.core.recurring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.outcome.Outcome;
import wrenchnotes.core.recurring.FaultCount.RemedyCount;

/** What is counted of closed jobs. */
class RecurringTest {

    private final SmallBook jobs = new SmallBook();

    private Recurring counted(Narrowed narrowed, int months) {
        return Recurring.of(jobs.book, SmallBook.NAMES, narrowed, starts(months), months * SmallBook.MONTH, List.of());
    }

    private static List<Long> starts(int months) {
        return LongStream.range(0, months)
                .mapToObj(month -> month * SmallBook.MONTH)
                .toList();
    }

    /** Measured: a belt that was cleaned in vain and replaced then counted as cleaned once, and the later comeback against the cleaning. */
    @Test
    void aRemedyThatChangedNothingIsNotDone() {
        jobs.mended(1, 0, SmallBook.failed(1, 1, Remedy.CLEANED), SmallBook.found(1, 1, Remedy.REPLACED));
        jobs.mended(1, 40, SmallBook.found(1, 1, Remedy.REPLACED));
        FaultCount belt = counted(Narrowed.NOT, 3).faults().get(0);
        assertThat(belt.share().count()).isEqualTo(2);
        assertThat(belt.cameBack()).isEqualTo(1);
        assertThat(belt.byMonth()).containsExactly(1, 1, 0);
        assertThat(belt.remedies())
                .containsExactly(new RemedyCount(Remedy.REPLACED, 2, 0, 1), new RemedyCount(Remedy.CLEANED, 0, 1, 0));
        assertThat(jobs.stays(100).failed()).containsExactly(Map.entry(Remedy.CLEANED, 1));
        assertThat(jobs.stays(100).stays()).hasSize(2).allMatch(stay -> stay.remedy() == Remedy.REPLACED);
    }

    /** Measured: a fault of a sub-assembly whose model was never in by itself made the whole list fail. */
    @Test
    void aSubAssemblyCountsInEachJobThatHadItOpen() {
        jobs.job(1, 3, Ownership.CUSTOMER, 0, Outcome.FIXED, SmallBook.found(4, 4, Remedy.ADJUSTED));
        jobs.job(2, 3, Ownership.CUSTOMER, 1, Outcome.FIXED, SmallBook.found(3, 3, Remedy.CLEANED));
        FaultCount clock = counted(Narrowed.NOT, 1).faults().stream()
                .filter(one -> one.on().equals(new FaultOn(4, 4)))
                .findFirst()
                .orElseThrow();
        assertThat(clock.share().count()).isEqualTo(1);
        assertThat(clock.share().outOf()).isEqualTo(2);
        assertThat(clock.few()).isTrue();
    }

    /** Forty jobs a month for a year; in the last three the lens of the first revision is dirty in every other one instead of one in ten. */
    private void year() {
        Random random = new Random(4);
        for (int n = 0; n < 480; n++) {
            boolean late = n >= 360;
            long revision = 1 + n % 2;
            boolean lens = revision == 1 && random.nextInt(10) < (late ? 5 : 1);
            jobs.job(
                    1_000 + n,
                    revision,
                    random.nextInt(3) == 0 ? Ownership.RESALE : Ownership.CUSTOMER,
                    n * 30L / 40,
                    Outcome.FIXED,
                    lens
                            ? SmallBook.found(1, 2, Remedy.CLEANED)
                            : SmallBook.found(revision, 1, Remedy.values()[random.nextInt(2)]));
        }
    }

    @Test
    void whatRisesStandsFirstHoweverCloselyOneLooks() {
        year();
        List<FaultCount> all = counted(Narrowed.NOT, 12).faults();
        assertThat(all.get(0).on()).isEqualTo(new FaultOn(1, 2));
        assertThat(all).extracting(FaultCount::rising).containsExactly(true, false, false);
        FaultCount alone = counted(narrowed(Optional.of(" Lens "), Optional.empty()), 12)
                .faults()
                .get(0);
        assertThat(alone).isEqualTo(all.get(0));
        assertThat(counted(narrowed(Optional.empty(), Optional.of(Remedy.REPLACED)), 12)
                        .faults())
                .extracting(FaultCount::on)
                .containsExactlyInAnyOrder(new FaultOn(1, 1), new FaultOn(2, 1));
    }

    private static Narrowed narrowed(Optional<String> component, Optional<Remedy> remedy) {
        return new Narrowed(
                Optional.empty(),
                OptionalLong.empty(),
                OptionalLong.empty(),
                component,
                remedy,
                OptionalLong.empty(),
                OptionalLong.empty(),
                Optional.empty());
    }

    /** Customers' and resale units together are all of them, in every count. */
    @Test
    void partsMakeTheWhole() {
        year();
        Recurring all = counted(Narrowed.NOT, 12);
        List<Recurring> parts = IntStream.range(0, 2)
                .mapToObj(n -> counted(Narrowed.NOT.of(Ownership.values()[n]), 12))
                .toList();
        assertThat(parts.stream().mapToInt(Recurring::jobs).sum()).isEqualTo(all.jobs());
        for (FaultCount one : all.faults()) {
            List<FaultCount> same = parts.stream()
                    .flatMap(part -> part.faults().stream())
                    .filter(part -> part.on().equals(one.on()))
                    .toList();
            assertThat(same.stream().mapToInt(part -> part.share().count()).sum())
                    .isEqualTo(one.share().count());
            assertThat(same.stream().mapToInt(part -> part.share().outOf()).sum())
                    .isEqualTo(one.share().outOf());
            assertThat(one.customer() + one.resale()).isEqualTo(one.share().count());
        }
    }

    /** The example of the issue; 0.1200 (0.0296 to 0.2125) by Newcombe's method 10, computed by hand from the two Wilson intervals. */
    @Test
    void aComparisonIsOneSentence() {
        Comparison belts = Comparison.of(
                new Comparison.Side("belts from B", 18, 100), new Comparison.Side("belts from A", 6, 100), "came back");
        assertThat(belts.said())
                .isEqualTo(
                        "Of belts from B 18 of 100 came back; at the rate of belts from A (6 of 100) it would have been 6: 12 more (3 to 21).");
        assertThat(belts.tells()).isTrue();
        assertThat(belts.difference().orElseThrow().low()).isCloseTo(0.0296, within(5e-5));
        Comparison few =
                Comparison.of(new Comparison.Side("B’s", 4, 4), new Comparison.Side("A’s", 0, 50), "came back");
        assertThat(few.difference()).isEmpty();
        assertThat(few.said()).startsWith("Too few to compare");
        assertThat(Comparison.of(new Comparison.Side("B’s", 2, 9), new Comparison.Side("A’s", 2, 10), "came back")
                        .said())
                .contains("no difference that can be told");
    }

    @Test
    void oneFaultIsComparedEveryWay() {
        year();
        long march = 9 * SmallBook.MONTH;
        OpenedJobs opened =
                OpenedJobs.of(jobs.book, SmallBook.NAMES, new FaultOn(1, 2), Narrowed.NOT, 0, 12 * SmallBook.MONTH);
        assertThat(opened.jobs().stream().filter(OpenedJobs.OpenedJob::had).count())
                .isEqualTo(counted(Narrowed.NOT, 12).faults().stream()
                        .filter(one -> one.on().fault() == 2)
                        .mapToInt(one -> one.share().count())
                        .sum());
        List<Comparison> told = Compared.found(opened, "first series", march, "1 March");
        assertThat(told).hasSize(3);
        assertThat(told.get(2).tells()).isTrue();
        assertThat(told.get(2).said()).contains("jobs since 1 March", "more (");
    }
}
