package wrenchnotes.core.diagnosis.odds;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.statistics.distribution.BetaDistribution;
import org.apache.commons.statistics.distribution.ContinuousDistribution;
import wrenchnotes.core.diagnosis.history.Rates;

/**
 * Between which bounds a fault's odds lie when neither rates nor strengths are known better than by the jobs behind them: {@value #DRAWS} times each is
 * drawn from the beta distribution of what was seen, with a fixed seed, and the likeliest sets are weighed again. Only what can move the odds is drawn:
 * rates, and strengths of what is told, of the faults that are likely at all.
 */
final class Drawn {

    static final int DRAWS = 64;
    /** A tenth of the draws lies below the lower bound and a tenth above the upper. */
    private static final int TENTH = DRAWS / 10;

    private static final double MATTERS = 0.002;
    private static final long SEED = 20_261L;

    private final Weighed now;
    private final Rates rates;
    private final LikelySets sets;
    private final double[] matters;
    /** Of each fault of the model, what is known of its rate; null of a group. */
    private final Rates.Rated[] rateds;
    /** Of what is there, whether it is a word that was told: what a look or a reading shows is not learned. */
    private final boolean[] word;

    private final UniformRandomProvider random = new SplittableRandom(SEED)::nextLong;

    private Drawn(Weighed now) {
        this.now = now;
        this.rates = now.rates();
        this.sets = now.sets();
        this.matters = sets.marginals(sets.shares());
        Map<String, Rates.Rated> byWords = rates.byWords();
        this.rateds = now.network().model().faults().stream()
                .map(fault -> byWords.get(fault.id()))
                .toArray(Rates.Rated[]::new);
        List<String> there = List.copyOf(now.network().present());
        this.word = new boolean[there.size()];
        for (int at = 0; at < word.length; at++) {
            word[at] = rates.speaksOf(there.get(at));
        }
    }

    /** @param low the lower tenth of what was drawn @param high the upper one */
    record Range(double low, double high) {}

    /** Of each fault of the rates. */
    static Range[] ranges(Weighed now) {
        return new Drawn(now).ranges();
    }

    private Range[] ranges() {
        Evidence seen = now.network().evidence();
        Coming coming = Coming.of(now.network().model());
        double[][] drawn = new double[rates.faults().size()][DRAWS];
        for (int draw = 0; draw < DRAWS; draw++) {
            double[] weights = weigh(seen, coming);
            double[] marginals = now.byFault(sets, weights);
            for (int at = 0; at < marginals.length; at++) {
                drawn[at][draw] = marginals[at];
            }
        }
        return Arrays.stream(drawn)
                .map(one -> {
                    Arrays.sort(one);
                    return new Range(one[TENTH], one[DRAWS - 1 - TENTH]);
                })
                .toArray(Range[]::new);
    }

    /** Each set, with other rates and strengths than are usually taken. */
    private double[] weigh(Evidence seen, Coming coming) {
        double[] rate = new double[matters.length];
        Arrays.fill(rate, 1);
        double[][] spared = new double[seen.present().length][];
        for (int symptom = 0; symptom < spared.length; symptom++) {
            spared[symptom] = seen.presentBy()[symptom].clone();
        }
        for (int at = 0; at < matters.length; at++) {
            Rates.Rated rated = rateds[at];
            if (rated == null || matters[at] < MATTERS) {
                continue;
            }
            rate[at] = drawn(rated.had(), rated.of() - rated.had()) / rated.rate();
            double jobs = rates.behindStrengths().getOrDefault(rated.fault(), 0.0);
            for (int symptom = 0; jobs > 0 && symptom < spared.length; symptom++) {
                double strength = 1 - spared[symptom][at];
                if (word[symptom] && strength > 0) {
                    spared[symptom][at] = 1 - drawn(strength * jobs, (1 - strength) * jobs);
                }
            }
        }
        Coming drawn = coming.scaled(rate);
        double noneBeside = drawn.noneBeside();
        double[] weights = new double[sets.size()];
        for (int at = 0; at < weights.length; at++) {
            int[] faults = sets.sets().get(at).faults();
            double weight = drawn.ofSet(faults, noneBeside);
            for (int symptom = 0; symptom < spared.length; symptom++) {
                double away = seen.present()[symptom];
                for (int fault : faults) {
                    away *= spared[symptom][fault];
                }
                weight *= 1 - away;
            }
            for (int fault : faults) {
                weight *= seen.absentBy()[fault];
            }
            weights[at] = weight;
        }
        return weights;
    }

    private double drawn(double had, double hadNot) {
        ContinuousDistribution beta = BetaDistribution.of(Math.max(1e-2, had), Math.max(1e-2, hadNot));
        return Math.max(1e-9, beta.createSampler(random).sample());
    }
}
