package wrenchnotes.core.diagnosis.history;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.history.Where.Level;
import wrenchnotes.core.diagnosis.odds.Diagnosis;
import wrenchnotes.core.diagnosis.odds.Known;
import wrenchnotes.core.unit.Kind;

/** From nothing to the shop's own: what closed jobs teach. */
class LearningTest {

    private static final FaultName BELT = new FaultName("drawer belt", "slack");
    private static final FaultName LATCH = new FaultName("door latch", "broken");
    private static final Where HERE = new Where(11, 1, Kind.PLAYER);
    private static final Where SISTER = new Where(12, 1, Kind.PLAYER);
    private static final Where OTHER_MODEL = new Where(21, 2, Kind.PLAYER);
    private static final Map<Long, Set<String>> COMPONENTS =
            Map.of(1L, Set.of("drawer belt", "door latch"), 2L, Set.of("door latch"), 3L, Set.of("keys"));

    private static final Learning NOTHING_AGES = new Learning(6, 2, 1.5, Double.POSITIVE_INFINITY);

    private final History history = new History(NOTHING_AGES);

    private void came(int times, Where where, Set<FaultName> faults, Set<String> present) {
        for (int n = 0; n < times; n++) {
            history.learn(new PastJob(where, faults, present, Set.of(), Optional.empty()));
        }
    }

    private Rates.Rated rate(Where where, FaultName fault) {
        return history.rates(where, Set.of(), COMPONENTS, List.of("does not take disc", "grinds")).faults().stream()
                .filter(rated -> rated.fault().equals(fault))
                .findFirst()
                .orElseThrow();
    }

    /** By hand: what a sister revision showed counts for the model, (4 + 2 × 0.01) / (10 + 2); what another model did, for the kind. Each job counts once. */
    @Test
    void each_level_is_shrunk_to_what_the_wider_ones_say_without_it() {
        came(4, SISTER, Set.of(BELT), Set.of());
        came(6, SISTER, Set.of(), Set.of());

        double own = (4 + 2 * 0.01) / 12;
        assertThat(rate(SISTER, BELT).rate()).isCloseTo(own, within(1e-12));
        assertThat(rate(HERE, BELT).rate()).isCloseTo(own, within(1e-12));
        assertThat(rate(HERE, BELT).behind()).isEqualTo(new Rates.Behind(Level.MODEL, 4, 10));

        came(3, HERE, Set.of(BELT), Set.of());
        assertThat(rate(HERE, BELT).rate()).isCloseTo((3 + 2 * own) / 5, within(1e-12));
        came(2, OTHER_MODEL, Set.of(LATCH), Set.of());
        double kind = (2 + 6 * 0.01) / 8;
        assertThat(rate(HERE, LATCH).rate()).isCloseTo(2 * (2 * kind) / 12 / 5, within(1e-12));
    }

    /** A rate steps from 5 to 25 in a hundred: the newer a job is, the more it counts. Half of what was seen before is forgotten after fifty jobs. */
    @Test
    void what_is_long_ago_counts_less() {
        History ages = new History();
        History keeps = new History(NOTHING_AGES);
        for (int n = 0; n < 200; n++) {
            Set<FaultName> found = n % (n < 100 ? 20 : 4) == 0 ? Set.of(BELT) : Set.of(LATCH);
            PastJob job = new PastJob(HERE, found, Set.of(), Set.of(), Optional.empty());
            ages.learn(job);
            keeps.learn(job);
        }
        Rates.Rated now =
                ages.rates(HERE, Set.of(), COMPONENTS, List.of()).byWords().get(BELT.words());
        Rates.Rated overAll =
                keeps.rates(HERE, Set.of(), COMPONENTS, List.of()).byWords().get(BELT.words());
        assertThat(now.rate()).isBetween(0.19, 0.26);
        assertThat(overAll.rate()).isCloseTo(0.15, within(0.01));
        assertThat(now.behind())
                .as("what stands behind it is told in whole jobs")
                .isEqualTo(overAll.behind());
    }

    /** By hand: of 10 jobs of the kind 2 with nothing, 3 with one fault more; the usual weighs twenty jobs. */
    @Test
    void how_many_come_together_is_learned() {
        Rates fresh = history.rates(HERE, Set.of(), COMPONENTS, List.of());
        assertThat(List.of(fresh.extras(), fresh.nothingWrong())).containsExactly(0.12, 0.03);
        came(2, HERE, Set.of(), Set.of());
        came(5, SISTER, Set.of(BELT), Set.of());
        came(3, OTHER_MODEL, Set.of(BELT, LATCH), Set.of());

        Rates rates = history.rates(HERE, Set.of(), COMPONENTS, List.of());
        assertThat(rates.extras()).isCloseTo((3 + 20 * 0.12) / (8 + 20), within(1e-12));
        assertThat(rates.nothingWrong()).isCloseTo((2 + 20 * 0.03) / (10 + 20), within(1e-12));
    }

    @Test
    void a_hundred_jobs_later_it_is_the_shops_own() {
        came(30, HERE, Set.of(LATCH), Set.of("grinds"));
        came(70, HERE, Set.of(BELT), Set.of("does not take disc"));

        assertThat(rate(HERE, BELT).rate()).isCloseTo(0.70, within(0.02));
        assertThat(rate(HERE, LATCH).rate()).isCloseTo(0.30, within(0.02));
        Rates rates = history.rates(HERE, Set.of(), COMPONENTS, List.of("does not take disc", "grinds"));
        assertThat(rates.shows().get("grinds").get(LATCH)).isGreaterThan(0.9);
        assertThat(rates.shows().get("grinds").get(BELT)).isLessThan(0.03);
        assertThat(rates.faults().stream().filter(one -> one.behind().level() == Level.SHIPPED))
                .as("what ships has sunk")
                .allSatisfy(one -> assertThat(one.rate()).isLessThan(0.02));
        Diagnosis.Likely belt =
                Diagnosis.of(rates, Known.told(Set.of(), Set.of())).faults().get(0);
        assertThat(belt.low()).as("a tenth of what the rate may be lies below").isBetween(0.6, 0.7);
        assertThat(belt.high()).isBetween(0.7, 0.8);
    }

    @Test
    void another_model_learns_only_of_components_it_has() {
        came(20, HERE, Set.of(LATCH), Set.of());
        came(20, HERE, Set.of(BELT), Set.of());

        assertThat(rate(OTHER_MODEL, LATCH).rate()).isGreaterThan(0.3);
        assertThat(rate(OTHER_MODEL, LATCH).behind()).isEqualTo(new Rates.Behind(Level.KIND, 20, 40));
        assertThat(history.rates(OTHER_MODEL, Set.of(), COMPONENTS, List.of()).faults())
                .extracting(Rates.Rated::fault)
                .doesNotContain(BELT);
    }

    @Test
    void a_symptom_of_two_faults_is_credited_to_the_one_that_shows_it_alone() {
        came(20, HERE, Set.of(BELT), Set.of("does not take disc"));
        came(20, HERE, Set.of(BELT, LATCH), Set.of("does not take disc"));

        Rates rates = history.rates(HERE, Set.of(), COMPONENTS, List.of("does not take disc"));
        assertThat(rates.shows().get("does not take disc").get(BELT)).isGreaterThan(0.85);
        assertThat(rates.shows().get("does not take disc").get(LATCH)).isLessThan(0.25);
    }

    /** The truth is drawn from known rates and strengths; what is learned must come near them. Three sweeps more than the first. */
    @Property(tries = 20)
    void what_a_shop_of_known_habits_teaches_comes_near_them(@ForAll @IntRange(max = 9999) int seed) {
        Random random = new Random(seed);
        double belt = 0.2 + 0.4 * random.nextDouble();
        double latch = 0.2 + 0.4 * random.nextDouble();
        double shows = 0.3 + 0.6 * random.nextDouble();
        History first = new History(NOTHING_AGES);
        List<PastJob> jobs = new ArrayList<>();
        for (int n = 0; n < 1500; n++) {
            java.util.HashSet<FaultName> faults = new java.util.HashSet<>();
            java.util.HashSet<String> told = new java.util.HashSet<>();
            if (random.nextDouble() < belt) {
                faults.add(BELT);
                if (random.nextDouble() < shows) {
                    told.add("grinds");
                }
            }
            if (random.nextDouble() < latch) {
                faults.add(LATCH);
            }
            jobs.add(new PastJob(HERE, faults, told, Set.of(), Optional.empty()));
        }
        jobs.forEach(first::learn);
        History learned = first.again(jobs).again(jobs).again(jobs);
        Rates rates = learned.rates(HERE, Set.of(), COMPONENTS, List.of("grinds"));
        assertThat(rates.byWords().get(BELT.words()).rate()).isCloseTo(belt, within(0.08));
        assertThat(rates.byWords().get(LATCH.words()).rate()).isCloseTo(latch, within(0.08));
        assertThat(rates.shows().get("grinds").get(BELT)).isCloseTo(shows, within(0.1));
        assertThat(rates.shows().get("grinds").get(LATCH)).isLessThan(0.06);
        assertThat(rates.leaks().get("grinds")).isLessThan(0.1);
    }

    /** A fall breaks three things at once: who is told of it expects all three, and who has found one looks for the others. By hand: 8 of 30 fell. */
    @Test
    void what_comes_together_is_expected_together() {
        FaultName keys = new FaultName("keys", "worn");
        came(8, HERE, Set.of(BELT, LATCH, keys), Set.of("grinds"));
        came(22, HERE, Set.of(BELT), Set.of("does not take disc"));
        Rates rates = history.rates(HERE, Set.of(), COMPONENTS, List.of("grinds", "does not take disc"));
        double fell = 8 / (30 + 2.0);
        assertThat(rates.groups()).extracting(Rates.Group::rate).containsExactly(fell);
        double belt = rates.byWords().get(BELT.words()).rate();
        assertThat(rates.alone(rates.byWords().get(BELT.words()))).isCloseTo(belt - fell, within(1e-12));

        Diagnosis told = Diagnosis.of(rates, Known.told(Set.of("grinds"), Set.of()));
        assertThat(told.faults().subList(0, 3))
                .allSatisfy(one -> assertThat(one.probability()).isGreaterThan(0.55));
        assertThat(told.sets().get(0).faults()).containsExactlyInAnyOrder(BELT, LATCH, keys);
        assertThat(of(Diagnosis.of(rates, Known.told(Set.of("does not take disc"), Set.of())), LATCH))
                .isLessThan(0.2);

        Known mended = new Known(
                Set.of(), Set.of(), List.of(), List.of(new Known.Done(BELT, Remedy.CLEANED, false)), List.of());
        assertThat(of(Diagnosis.of(rates, mended), LATCH)).isCloseTo(fell / belt, within(0.02));
        Known seen = new Known(
                Set.of(),
                Set.of(),
                List.of(new Known.Look("keys", false, Means.MEASURED)),
                List.of(new Known.Done(BELT, Remedy.CLEANED, false)),
                List.of());
        assertThat(of(Diagnosis.of(rates, seen), LATCH))
                .as("the keys are worn too: it fell")
                .isGreaterThan(0.8);
    }

    private static double of(Diagnosis diagnosis, FaultName fault) {
        return diagnosis.faults().stream()
                .filter(one -> one.fault().equals(fault))
                .findFirst()
                .orElseThrow()
                .probability();
    }
}
