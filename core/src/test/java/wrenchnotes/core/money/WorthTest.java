package wrenchnotes.core.money;

import static org.assertj.core.api.Assertions.assertThat;

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
        Estimate estimate = Estimate.of(odds(0.5, 0.1), List.of(), HOUR);

        assertThat(estimate).isEqualTo(new Estimate(60, 120, 4000, 8000, 0, Level.SHIPPED, 120, 8000));
    }

    /** A belt job quoted as one hour becomes three when three belts hide behind one another: ask before (common practice). */
    @Test
    void the_odds_decide_which_jobs_count() {
        List<LikeJob> past = new ArrayList<>(jobs(Level.REVISION, BELT, 150, 20, 22, 24, 26, 28, 30, 32, 34, 36, 95));
        past.addAll(jobs(Level.REVISION, LENS, 2500, 100, 110, 120, 130, 140, 150, 160, 170));

        Estimate belt = Estimate.of(odds(0.95, 0.02), past, HOUR);
        Estimate lens = Estimate.of(odds(0.02, 0.95), past, HOUR);

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

        assertThat(Estimate.of(odds(0.9, 0.1), past, HOUR).halfMinutes()).isEqualTo(30);
    }

    private static final Estimate AN_HOUR = new Estimate(60, 90, 5000, 8000, 9, Level.MODEL, 90, 8000);

    private static List<LikeSale> sales(boolean worked, long... prices) {
        List<LikeSale> sales = new ArrayList<>();
        for (long price : prices) {
            sales.add(new LikeSale(Level.MODEL, worked, price));
        }
        return sales;
    }

    /** 0.9 × 10000 × 0.9 − 5000 = 3100 mended; 0.9 × 3000 = 2700 as it is; 1500 for parts. */
    @Test
    void mending_pays_when_the_price_carries_the_hours() {
        Worth worth = Worth.of(sales(true, 9000, 10000, 12000), Optional.empty(), 0.9, AN_HOUR, Optional.of(1000L));

        assertThat(worth.price()).contains(new Worth.Price(9000, 10000, 12000, 3, Level.MODEL));
        assertThat(worth.ways())
                .containsExactly(
                        new Worth.Way(Triage.MEND, 3100),
                        new Worth.Way(Triage.SELL_AS_IS, 2700),
                        new Worth.Way(Triage.KEEP_FOR_PARTS, 1500),
                        new Worth.Way(Triage.SCRAP, 0));
        assertThat(worth.margin()).contains(2100L);
    }

    @Test
    void own_sales_as_they_are_outweigh_the_rule_of_thumb_and_a_cheap_thing_is_not_mended() {
        List<LikeSale> all = new ArrayList<>(sales(true, 6000, 6000, 6000));
        all.addAll(sales(false, 3000, 3200, 3400));

        assertThat(Worth.of(all, Optional.empty(), 0.9, AN_HOUR, Optional.empty())
                        .ways())
                .startsWith(new Worth.Way(Triage.SELL_AS_IS, 2880), new Worth.Way(Triage.KEEP_FOR_PARTS, 900))
                .endsWith(new Worth.Way(Triage.MEND, -140));
    }

    @Test
    void no_sales_found_is_said_and_a_person_may_say_the_price() {
        Worth nothing = Worth.of(List.of(), Optional.empty(), 0.8, AN_HOUR, Optional.of(500L));
        assertThat(nothing.ways()).isEmpty();
        assertThat(nothing.reasons()).singleElement().asString().contains("No sales");

        Worth said = Worth.of(List.of(), Optional.of(20000L), 0.8, AN_HOUR, Optional.of(500L));
        assertThat(said.ways().get(0)).isEqualTo(new Worth.Way(Triage.MEND, 9400));
        assertThat(said.margin()).contains(8900L);
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
                        "90 in 100 like it were mended; a failed try costs the hours all the same.",
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

    /** Sales of other things altogether do not count; one of this revision counts twice one of the model, ten times one of the kind. */
    @Test
    void nearSalesCountMore() {
        List<LikeSale> all = new ArrayList<>(List.of(new LikeSale(Level.REVISION, true, 9000)));
        all.addAll(sales(true, 4000));
        for (int n = 0; n < 4; n++) {
            all.add(new LikeSale(Level.KIND, true, 1000));
            all.add(new LikeSale(Level.ALL, true, 100));
        }
        // 0.4 of the kind at 1000, 0.5 of the model at 4000, 1 of the revision at 9000: half of 1.9 lies at 9000.
        assertThat(Worth.of(all, Optional.empty(), 1, AN_HOUR, Optional.empty()).price())
                .contains(new Worth.Price(1000, 9000, 9000, 1, Level.REVISION));
    }

    /** The least value at which the share is reached: exactly reached is reached. */
    @Test
    void aQuantileIsReachedExactly() {
        LikelyWithin four = new LikelyWithin(List.of(
                new LikelyWithin.Weighted(40, 1),
                new LikelyWithin.Weighted(10, 1),
                new LikelyWithin.Weighted(30, 1),
                new LikelyWithin.Weighted(20, 1)));
        assertThat(four.quantile(0.5)).isEqualTo(20);
        assertThat(four.quantile(0.51)).isEqualTo(30);
        assertThat(four.quantile(1)).isEqualTo(40);
        LikelyWithin tenths = new LikelyWithin(List.of(
                new LikelyWithin.Weighted(1, 0.1),
                new LikelyWithin.Weighted(2, 0.2),
                new LikelyWithin.Weighted(3, 0.7)));
        assertThat(tenths.quantile(0.3)).as("0.1 + 0.2 is 0.3 here").isEqualTo(2);
    }

    @Test
    void theNarrowestLevelThatHasJobsIsSaid() {
        List<LikeJob> past = new ArrayList<>(jobs(Level.KIND, BELT, 0, 40, 50));
        past.addAll(jobs(Level.MODEL, BELT, 0, 30));
        Estimate estimate = Estimate.of(odds(0.9, 0.1), past, HOUR);
        assertThat(estimate.level()).isEqualTo(Level.MODEL);
        assertThat(estimate.jobs()).isEqualTo(1);
        assertThat(Triage.SELL_AS_IS.words()).isEqualTo("sell it as it is, the fault told");
    }
}
