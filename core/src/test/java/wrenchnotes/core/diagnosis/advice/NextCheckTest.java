package wrenchnotes.core.diagnosis.advice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.diagnosis.history.Rates;
import wrenchnotes.core.diagnosis.history.Where.Level;
import wrenchnotes.core.diagnosis.odds.Known;
import wrenchnotes.core.diagnosis.odds.Network;
import wrenchnotes.core.diagnosis.odds.Weighed;

/** What a check tells, held against every set of faults and every answer written out; nothing is shared with the core. */
class NextCheckTest {

    private static final double EXTRAS = 0.12;
    private static final double NOTHING = 0.03;
    private static final Ways FLAT = new Ways(Map.of(), Map.of(), 10);

    private static Rates drawn(Random random) {
        List<Rates.Rated> faults = new ArrayList<>();
        Map<String, Map<FaultName, Double>> shows = new HashMap<>();
        for (int n = 0; n < 5; n++) {
            double rate = 0.05 + 0.4 * random.nextDouble();
            FaultName fault = new FaultName("part " + n % 4, "wrong " + n);
            faults.add(new Rates.Rated(fault, rate, 20 * rate, 20, new Rates.Behind(Level.MODEL, 1, 20)));
        }
        for (String word : List.of("told", "not told", "hums")) {
            Map<FaultName, Double> by = new HashMap<>();
            faults.forEach(one -> by.put(one.fault(), 0.05 + 0.8 * random.nextDouble()));
            shows.put(word, by);
        }
        return new Rates(faults, shows, Map.of("told", 0.02, "not told", 0.02, "hums", 0.05));
    }

    /** Weight of each set of five: one main fault by its share and others besides, one word told, another denied, the third not spoken of. */
    private static double[] weights(Rates rates, double hums) {
        double all = rates.faults().stream().mapToDouble(Rates.Rated::rate).sum();
        double[] weights = new double[32];
        for (int set = 0; set < 32; set++) {
            double chance = set == 0 ? NOTHING : 0;
            for (int main = 0; main < 5; main++) {
                double so = (set >> main & 1)
                        * (1 - NOTHING)
                        * rates.faults().get(main).rate()
                        / all;
                for (int other = 0; other < 5; other++) {
                    double extra = EXTRAS * rates.faults().get(other).rate() / all;
                    so *= other == main ? 1 : (set >> other & 1) == 1 ? extra : 1 - extra;
                }
                chance += so;
            }
            weights[set] = chance
                    * (1 - away(rates, "told", set))
                    * away(rates, "not told", set)
                    * Math.pow(away(rates, "hums", set), hums);
        }
        return weights;
    }

    private static double away(Rates rates, String word, int set) {
        double away = 1 - rates.leaks().get(word);
        for (int at = 0; at < 5; at++) {
            if ((set >> at & 1) == 1) {
                away *= 1 - rates.shows().get(word).get(rates.faults().get(at).fault());
            }
        }
        return away;
    }

    private static double seenBad(Rates rates, String component, Means means, int set) {
        double away = 1 - means.falseAlarm();
        for (int at = 0; at < 5; at++) {
            boolean its = rates.faults().get(at).fault().component().equals(component);
            away *= its && (set >> at & 1) == 1 ? 1 - means.finds() : 1;
        }
        return 1 - away;
    }

    /** The sum of p · log(p / (p of the set · p of the answers)) over all sets and all answers. */
    private static double information(double[] weights, List<double[]> answers) {
        double all = 0;
        for (double weight : weights) {
            all += weight;
        }
        double bits = 0;
        for (int outcome = 0; outcome < 1 << answers.size(); outcome++) {
            double[] joint = new double[weights.length];
            double of = 0;
            for (int set = 0; set < weights.length; set++) {
                joint[set] = weights[set] / all;
                for (int n = 0; n < answers.size(); n++) {
                    double yes = answers.get(n)[set];
                    joint[set] *= (outcome >> n & 1) == 1 ? yes : 1 - yes;
                }
                of += joint[set];
            }
            for (int set = 0; set < weights.length; set++) {
                bits += joint[set] > 0
                        ? joint[set] * Math.log(joint[set] / (weights[set] / all) / of) / Math.log(2)
                        : 0;
            }
        }
        return bits;
    }

    private static double[] looks(Rates rates, String component, Means means) {
        double[] bad = new double[32];
        for (int set = 0; set < 32; set++) {
            bad[set] = seenBad(rates, component, means, set);
        }
        return bad;
    }

    @Property(tries = 60)
    void it_is_the_joint_information_of_all_answers(@ForAll Random random) {
        Rates rates = drawn(random);
        Known known = Known.told(Set.of("told"), Set.of("not told"));
        // What lies on the way to part 0 is everything else.
        Ways ways = new Ways(
                Map.of("part 0", 9.0, "part 1", 6.0, "part 2", 7.0, "part 3", 8.0),
                Map.of("part 0", Set.of("part 1", "part 2", "part 3")),
                30);
        List<NextCheck> best = NextCheck.best(Weighed.of(rates, known), ways, 0.5, Set.of());
        assertThat(best).isNotEmpty();
        for (NextCheck check : best) {
            if (check.how().isEmpty()) {
                double[] hums = new double[32];
                for (int set = 0; set < 32; set++) {
                    hums[set] = 1 - away(rates, "hums", set);
                }
                assertThat(check.bits())
                        .as("set against not having heard of it at all")
                        .isCloseTo(information(weights(rates, 0), List.of(hums)), within(1e-5));
                continue;
            }
            List<double[]> answers = new ArrayList<>();
            Means means = check.how().get();
            answers.add(looks(rates, check.what(), means));
            double minutes = ways.minutes().get(check.what()) + means.minutes();
            for (String other : check.onTheWay()) {
                answers.add(looks(rates, other, Means.LOOKED));
                minutes += Means.LOOKED.minutes();
            }
            assertThat(check.bits()).isCloseTo(information(weights(rates, Network.SILENCE), answers), within(1e-6));
            assertThat(check.minutes()).isCloseTo(minutes, within(1e-9));
        }
    }

    /** Two that lie behind one lid are looked at in one go: the lid is opened once. */
    @Test
    void what_lies_on_the_way_is_looked_at_too() {
        Rates rates = drawn(new Random(3));
        rates = new Rates(rates.faults().subList(1, 3), Map.of(), Map.of());
        Known nothing = Known.told(Set.of("told"), Set.of());
        Ways oneLid = new Ways(
                Map.of("part 1", 12.0, "part 2", 12.5), Map.of("part 2", Set.of("part 1"), "part 1", Set.of()), 60);
        NextCheck together =
                NextCheck.best(Weighed.of(rates, nothing), oneLid, 60, Set.of()).get(0);
        assertThat(together.how()).isPresent();
        assertThat(together.what()).isEqualTo("part 2");
        assertThat(together.onTheWay()).containsExactly("part 1");
        NextCheck apart = NextCheck.best(
                        Weighed.of(rates, nothing), new Ways(oneLid.minutes(), Map.of(), 60), 60, Set.of())
                .get(0);
        assertThat(apart.onTheWay()).isEmpty();
        assertThat(together.bitsPerMinute()).isGreaterThan(apart.bitsPerMinute());
    }

    /** From twelve told symptoms on nothing was said at all. */
    @Test
    void much_that_is_told_does_not_silence_it() {
        List<Rates.Rated> faults = drawn(new Random(5)).faults();
        Map<String, Map<FaultName, Double>> shows = new HashMap<>();
        Map<String, Double> leaks = new HashMap<>();
        for (int n = 0; n < 14; n++) {
            Map<FaultName, Double> by = new HashMap<>();
            faults.forEach(one -> by.put(one.fault(), 0.3));
            shows.put("word " + n, by);
            leaks.put("word " + n, 0.02);
        }
        Known all = Known.told(shows.keySet(), Set.of());
        assertThat(NextCheck.best(Weighed.of(new Rates(faults, shows, leaks), all), FLAT, 1, Set.of()))
                .isNotEmpty();
    }
}
