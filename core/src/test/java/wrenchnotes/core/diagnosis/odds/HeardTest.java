package wrenchnotes.core.diagnosis.odds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.history.Rates;
import wrenchnotes.core.diagnosis.history.Where.Level;
import wrenchnotes.core.diagnosis.odds.CrossedTries.Tried;
import wrenchnotes.core.diagnosis.odds.CrossedTries.Try;
import wrenchnotes.core.diagnosis.odds.Known.Done;
import wrenchnotes.core.diagnosis.odds.Known.Look;

/** What is seen and done on the bench is heard by the odds, each thing once. */
class HeardTest {

    private static final FaultName BELT = new FaultName("belt", "slack");
    private static final FaultName LENS = new FaultName("lens", "dirty");
    private static final Rates RATES = new Rates(
            List.of(rated(BELT, 0.3), rated(LENS, 0.2)),
            Map.of(
                    "does not load", Map.of(BELT, 0.95, LENS, 0.02),
                    "rattles", Map.of(BELT, 0.02, LENS, 0.02)),
            Map.of("does not load", 0.01, "rattles", 0.02));

    private static Rates.Rated rated(FaultName fault, double rate) {
        return new Rates.Rated(fault, rate, 20 * rate, 20, new Rates.Behind(Level.MODEL, (int) (20 * rate), 20));
    }

    private static Known known(Set<String> present, List<Look> looks, List<Done> done) {
        return new Known(present, Set.of(), looks, done, List.of());
    }

    private static Diagnosis seen(Look... looks) {
        return Diagnosis.of(RATES, known(Set.of("does not load"), List.of(looks), List.of()));
    }

    private static double of(Diagnosis diagnosis, String component) {
        return diagnosis.faults().stream()
                .filter(one -> one.fault().component().equals(component))
                .mapToDouble(Diagnosis.Likely::probability)
                .sum();
    }

    /** Measured: five times "looks good" took a belt from 97 % to 25 %. */
    @Test
    void ofSeveralLooksOfAKindTheLastCounts() {
        Look good = new Look("belt", true, Means.LOOKED);
        Look bad = new Look("Belt", false, Means.LOOKED);
        double once = of(seen(good), "belt");
        assertThat(of(seen(Collections.nCopies(5, good).toArray(Look[]::new)), "belt"))
                .isEqualTo(once)
                .isGreaterThan(0.85);
        assertThat(of(seen(bad, good), "belt")).isEqualTo(once);
        assertThat(of(seen(good, new Look("belt", true, Means.MEASURED)), "belt"))
                .as("another kind of look tells more")
                .isLessThan(once);
    }

    /** Measured: nothing moved to three digits. Against all eight sets of faults, added up one by one. */
    @Test
    void aComponentSeenBadThatHasNoFaultOnRecordIsSuspectedAndTakesFromTheRest() {
        Diagnosis swapped = seen(new Look("motor", false, Means.SWAPPED));
        assertThat(swapped.faults().get(0).fault()).isEqualTo(new FaultName("motor", "something wrong with it"));
        double[] odds = enumerated();
        assertThat(of(swapped, "belt")).isCloseTo(odds[0], within(1e-9)).isLessThan(of(seen(), "belt") - 0.1);
        assertThat(of(swapped, "lens")).isCloseTo(odds[1], within(1e-9));
        assertThat(of(swapped, "motor")).isCloseTo(odds[2], within(1e-9));
        assertThat(of(seen(new Look("motor", false, Means.LOOKED)), "motor"))
                .as("a look alone says less")
                .isLessThan(odds[2] / 2);
        assertThat(of(seen(new Look("motor", true, Means.SWAPPED)), "belt"))
                .isCloseTo(of(seen(), "belt"), within(1e-12));
    }

    /** Belt, lens and the suspect: one of them the main fault by its share, each other with 0.12 times its share besides; nobody spoke of a rattle. */
    private static double[] enumerated() {
        double[] share = {0.3 / 0.52, 0.2 / 0.52, 0.02 / 0.52};
        double[] loads = {0.95, 0.02, 0.2};
        double[] rattles = {0.02, 0.02, 0};
        double all = 0;
        double[] with = new double[3];
        for (int set = 0; set < 8; set++) {
            double away = 0.99;
            double quiet = 0.98;
            for (int at = 0; at < 3; at++) {
                away *= (set >> at & 1) > 0 ? 1 - loads[at] : 1;
                quiet *= (set >> at & 1) > 0 ? 1 - rattles[at] : 1;
            }
            boolean motor = set >= 4;
            double weight = OneMainByHand.chance(share, 0.12, 0.03, set)
                    * (1 - away)
                    * Math.pow(quiet, Network.SILENCE)
                    * (1 - (1 - 0.01) * (motor ? 1 - 0.97 : 1));
            all += weight;
            for (int at = 0; at < 3; at++) {
                with[at] += (set >> at & 1) > 0 ? weight : 0;
            }
        }
        return new double[] {with[0] / all, with[1] / all, with[2] / all};
    }

    @Test
    void whatCameWithARemedyPointsAtIt() {
        Set<String> now = Set.of("rattles");
        Diagnosis unwatched =
                Diagnosis.of(RATES, known(now, List.of(), List.of(new Done(BELT, Remedy.REPLACED, false))));
        Diagnosis came = Diagnosis.of(
                RATES, known(now, List.of(), List.of(new Done(BELT, Remedy.REPLACED, false, Set.of("rattles")))));
        assertThat(came.faults().get(0).fault()).isEqualTo(new FaultName("belt", "disturbed by our work"));
        assertThat(of(came, "lens")).isLessThan(of(unwatched, "lens"));
    }

    /** Two and more on either side, and nothing works: one thing that they share is likelier than that all are bad. */
    @Test
    void ifNothingWorksWhatTheyShareIsNamed() {
        List<Tried> discs = List.of(tried("disc one"), tried("disc two"));
        List<Tried> drives = List.of(tried("the good drive"), tried("another drive"));
        List<Try> all = List.of(new Try(0, 0, false), new Try(0, 1, false), new Try(1, 0, false), new Try(1, 1, false));
        Diagnosis.Outside first = outside(new CrossedTries(discs, drives, all)).get(0);
        assertThat(first.name()).isEqualTo(CrossedTries.SHARED);
        assertThat(first.probability()).isGreaterThan(0.6);
        assertThat(outside(new CrossedTries(discs, drives, all.subList(0, 2))))
                .as("one row alone blames the row")
                .extracting(Diagnosis.Outside::name)
                .doesNotContain(CrossedTries.SHARED);
    }

    private static List<Diagnosis.Outside> outside(CrossedTries grid) {
        return Diagnosis.of(RATES, new Known(Set.of(), Set.of(), List.of(), List.of(), List.of(grid)))
                .outside();
    }

    private static Tried tried(String name) {
        return new Tried(name, false, Optional.empty());
    }
}
