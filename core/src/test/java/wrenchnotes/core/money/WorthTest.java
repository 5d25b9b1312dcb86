package wrenchnotes.core.money;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.history.LikeJob;
import wrenchnotes.core.diagnosis.history.LikeSale;
import wrenchnotes.core.diagnosis.history.PastJob;
import wrenchnotes.core.diagnosis.history.Rates;
import wrenchnotes.core.diagnosis.history.Where.Level;
import wrenchnotes.core.diagnosis.odds.Diagnosis;

/** Hours, prices, and what to do with a unit that is to be sold. */
class WorthTest {

    private static final FaultName BELT = new FaultName("belt", "slack");
    private static final FaultName LENS = new FaultName("lens", "dead");
    private static final long HOUR = 4000;

    private static Diagnosis odds(double belt, double lens) {
        return new Diagnosis(
                List.of(likely(BELT, belt), likely(LENS, lens)), List.of(), OptionalDouble.empty(), 0, true, List.of());
    }

    private static Diagnosis.Likely likely(FaultName fault, double probability) {
        return new Diagnosis.Likely(fault, probability, 0, 1, new Rates.Behind(Level.MODEL, 1, 2));
    }

    private static List<LikeJob> jobs(Level level, FaultName fault, long parts, double... minutes) {
        List<LikeJob> jobs = new ArrayList<>();
        for (double one : minutes) {
            jobs.add(new LikeJob(level, Set.of(fault), new PastJob.Work(one, parts)));
        }
        return jobs;
    }

    @Test
    void without_jobs_it_is_common_practice_an_hour_seldom_two() {
        Estimate estimate = Estimate.of(odds(0.5, 0.1), Set.of(), List.of(), HOUR);

        assertThat(List.of(estimate.halfMinutes(), estimate.askAgainMinutes())).containsExactly(60.0, 120.0);
        assertThat(estimate.fourFifthsMinutes())
                .as("nine tenths of the way from 60 to 120")
                .isCloseTo(114, within(1e-9));
        assertThat(List.of(estimate.halfMinor(), estimate.fourFifthsMinor(), estimate.expectedMinor()))
                .containsExactly(4000L, 7600L, 4667L);
        assertThat(estimate.level()).isEqualTo(Level.SHIPPED);
    }

    /** A belt job quoted as one hour becomes three when three belts hide behind one another: ask before (common practice). */
    @Test
    void the_odds_decide_which_jobs_count() {
        List<LikeJob> past = new ArrayList<>(jobs(Level.REVISION, BELT, 150, 20, 22, 24, 26, 28, 30, 32, 34, 36, 95));
        past.addAll(jobs(Level.REVISION, LENS, 2500, 100, 110, 120, 130, 140, 150, 160, 170));

        Estimate belt = Estimate.of(odds(0.95, 0.02), Set.of(), past, HOUR);
        Estimate lens = Estimate.of(odds(0.02, 0.95), Set.of(), past, HOUR);

        assertThat(belt.halfMinutes()).isBetween(26.0, 32.0);
        assertThat(belt.fourFifthsMinutes()).isBetween(34.0, 40.0);
        assertThat(belt.askAgainMinutes()).isEqualTo(45);
        assertThat(lens.halfMinutes()).isBetween(120.0, 140.0);
        assertThat(lens.halfMinor()).isGreaterThan(Math.round(lens.halfMinutes() / 60 * HOUR) + 2000);
        assertThat(belt.jobs()).isEqualTo(18);
        assertThat(belt.level()).isEqualTo(Level.REVISION);
    }

    @Test
    void many_jobs_of_other_models_weigh_less_than_a_few_of_this_one() {
        double[] slow = new double[40];
        java.util.Arrays.fill(slow, 200);
        List<LikeJob> past = new ArrayList<>(jobs(Level.ALL, BELT, 0, slow));
        past.addAll(jobs(Level.REVISION, BELT, 0, 30, 30, 30));

        assertThat(Estimate.of(odds(0.9, 0.1), Set.of(), past, HOUR).halfMinutes())
                .isEqualTo(30);
    }

    private static final Estimate AN_HOUR = new Estimate(60, 90, 5000, 8000, 9, Level.MODEL, 90, 8000, 5000);

    private static List<LikeSale> sales(boolean worked, long... prices) {
        List<LikeSale> sales = new ArrayList<>();
        for (long price : prices) {
            sales.add(new LikeSale(Level.MODEL, worked, price));
        }
        return sales;
    }

    /** 0.9 × 10000 × 0.9 + 0.1 × 2700 − 5000 = 3370 mended; 0.9 × 3000 = 2700 as it is; 1500 for parts. */
    @Test
    void mending_pays_when_the_price_carries_the_hours_and_a_failed_mend_leaves_something() {
        Worth worth = Worth.of(List.of(), Optional.of(10_000L), 0.9, AN_HOUR, Optional.of(1000L));

        assertThat(worth.ways())
                .containsExactly(
                        new Worth.Way(Triage.MEND, 3370),
                        new Worth.Way(Triage.SELL_AS_IS, 2700),
                        new Worth.Way(Triage.KEEP_FOR_PARTS, 1500),
                        new Worth.Way(Triage.SCRAP, 0));
        assertThat(worth.margin()).contains(2370L);
    }

    @Test
    void own_sales_as_they_are_outweigh_the_rule_of_thumb_and_a_cheap_thing_is_not_mended() {
        List<LikeSale> all = new ArrayList<>(sales(true, 6000, 6000, 6000));
        all.addAll(sales(false, 3000, 3200, 3400));

        Worth worth = Worth.of(all, Optional.empty(), 0.9, AN_HOUR, Optional.empty());
        assertThat(worth.ways())
                .extracting(Worth.Way::way)
                .containsExactly(Triage.SELL_AS_IS, Triage.KEEP_FOR_PARTS, Triage.MEND, Triage.SCRAP);
        assertThat(worth.ways().get(0).leavesMinor())
                .as("nine tenths of the mean, which lies a little above the median")
                .isBetween(2880L, 3000L);
    }

    @Test
    void no_sales_found_is_said() {
        Worth nothing = Worth.of(List.of(), Optional.empty(), 0.8, AN_HOUR, Optional.of(500L));
        assertThat(nothing.ways()).isEmpty();
        assertThat(nothing.reasons()).singleElement().asString().contains("No sales");
    }

    /** Measured: it stood at 49 minutes after three belts. A further one takes 20 (three jobs of common practice) where nothing else is known. */
    @Test
    void aSecondAndAThirdFaultMakeItGrow() {
        List<LikeJob> past = jobs(Level.REVISION, BELT, 150, 40, 45, 49, 50, 55, 49, 49, 49);
        FaultName second = new FaultName("sled belt", "slack");
        FaultName third = new FaultName("mode belt", "slack");
        Estimate one = Estimate.of(odds(0.1, 0.1), Set.of(BELT), past, HOUR);
        Estimate two = Estimate.of(odds(0.1, 0.1), Set.of(BELT, second), past, HOUR);
        Estimate three = Estimate.of(odds(0.1, 0.1), Set.of(BELT, second, third), past, HOUR);
        assertThat(one.halfMinutes()).isEqualTo(49);
        assertThat(two.halfMinutes()).isEqualTo(69);
        assertThat(three.halfMinutes()).isEqualTo(89);
        assertThat(three.halfMinor())
                .isEqualTo(Math.round(89 / 60.0 * HOUR) + 450)
                .isGreaterThan(two.halfMinor());
        assertThat(three.askAgainMinor()).isGreaterThan(two.askAgainMinor());

        // Here the two jobs that had two took 30 more: (3 × 20 + 2 × 30) / 5 = 24.
        past.add(new LikeJob(Level.REVISION, Set.of(BELT, second), new PastJob.Work(meanOf(past) + 30, 150)));
        past.add(new LikeJob(
                Level.REVISION, Set.of(BELT, third), new PastJob.Work(meanOf(past.subList(0, 8)) + 30, 150)));
        assertThat(Estimate.of(odds(0.1, 0.1), Set.of(BELT, second), past.subList(0, 10), HOUR)
                        .halfMinutes())
                .isEqualTo(73);
    }

    private static double meanOf(List<LikeJob> jobs) {
        return jobs.stream().mapToDouble(job -> job.work().minutes()).average().orElseThrow();
    }

    /** Three sales with the fault told are enough, two are not; each way says where its figure is from. */
    @Test
    void whereEachFigureIsFromIsSaid() {
        List<LikeSale> all = new ArrayList<>(sales(true, 6000, 6000, 6000));
        all.addAll(sales(false, 3000, 3000));
        all.add(new LikeSale(Level.REVISION, true, 8000));
        Worth two = Worth.of(all, Optional.empty(), 0.9, AN_HOUR, Optional.empty());
        assertThat(two.reasons())
                .containsExactly(
                        "The price is from 1 sale of this revision.",
                        "90 in 100 like it were mended and stayed so; a failed try costs the hours, and leaves what it fetches as it is.",
                        "As it is, about three tenths of the mended price: common practice, no sales here yet.");
        assertThat(two.price().orElseThrow().sales()).isEqualTo(1);

        all.addAll(sales(false, 3000));
        assertThat(Worth.of(all, Optional.empty(), 0.9, AN_HOUR, Optional.empty())
                        .reasons()
                        .get(2))
                .isEqualTo("As it is: from 3 sales with the fault told.");
        Worth kind = Worth.of(
                List.of(new LikeSale(Level.KIND, true, 5000)), Optional.empty(), 0.9, AN_HOUR, Optional.empty());
        assertThat(kind.reasons().get(0)).isEqualTo("The price is from 1 sale of this kind only.");
        assertThat(Worth.of(List.of(), Optional.of(5000L), 0.9, AN_HOUR, Optional.empty())
                        .reasons()
                        .get(0))
                .isEqualTo("The price is what you said.");
    }

    /** Each stands in the middle of its weight: at 1/8, 3/8, 5/8 and 7/8 of four that count the same (Hazen's places; from memory). */
    @Test
    void aQuantileLiesBetweenTheMiddles() {
        LikelyWithin four = new LikelyWithin(List.of(
                new LikelyWithin.Weighted(40, 1),
                new LikelyWithin.Weighted(10, 1),
                new LikelyWithin.Weighted(30, 1),
                new LikelyWithin.Weighted(20, 1)));
        assertThat(four.quantile(0.5)).isCloseTo(25, within(1e-9));
        assertThat(four.quantile(0.8)).isCloseTo(37, within(1e-9));
        assertThat(four.quantile(0.05)).isEqualTo(10);
        assertThat(four.quantile(1)).isEqualTo(40);
        assertThat(four.mean()).isEqualTo(25);
        LikelyWithin tenths = new LikelyWithin(List.of(
                new LikelyWithin.Weighted(1, 0.1),
                new LikelyWithin.Weighted(2, 0.2),
                new LikelyWithin.Weighted(3, 0.7)));
        assertThat(tenths.quantile(0.2)).as("the middle of the second").isCloseTo(2, within(1e-9));
    }

    @Test
    void theNarrowestLevelThatHasJobsIsSaid() {
        List<LikeJob> past = new ArrayList<>(jobs(Level.KIND, BELT, 0, 40, 50));
        past.addAll(jobs(Level.MODEL, BELT, 0, 30));
        Estimate estimate = Estimate.of(odds(0.9, 0.1), Set.of(), past, HOUR);
        assertThat(estimate.level()).isEqualTo(Level.MODEL);
        assertThat(estimate.jobs()).isEqualTo(1);
        assertThat(Triage.SELL_AS_IS.words()).isEqualTo("sell it as it is, the fault told");
    }
}
