package wrenchnotes.core.diagnosis.history;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.commons.statistics.distribution.BinomialDistribution;
import wrenchnotes.core.diagnosis.FaultName;

/**
 * How one forecaster did. Brier (published: Brier 1950; from memory): the mean over the jobs of the sum over the faults of the squared miss; 0 is
 * perfect. Calibration by tenths of what was said: in how many of them what came lies outside the middle 95 % of the binomial with the mean of what
 * was said.
 */
public final class ForetoldScore {

    private static final int TENTHS = 10;

    private int jobs;
    private int first;
    private int firstThree;
    private double misses;
    private final int[] told = new int[TENTHS];
    private final double[] sum = new double[TENTHS];
    private final int[] came = new int[TENTHS];

    /** @param found empty if nothing was wrong: then only what was said wrongly counts */
    void add(Map<FaultName, Double> foretold, Set<FaultName> all, Set<FaultName> found) {
        if (!found.isEmpty()) {
            List<FaultName> order = all.stream()
                    .sorted(Comparator.comparingDouble((FaultName fault) -> -foretold.getOrDefault(fault, 0.0))
                            .thenComparing(Comparator.naturalOrder()))
                    .toList();
            jobs++;
            first += found.contains(order.get(0)) ? 1 : 0;
            firstThree += order.stream().limit(3).anyMatch(found::contains) ? 1 : 0;
        }
        for (FaultName fault : all) {
            double p = foretold.getOrDefault(fault, 0.0);
            boolean so = found.contains(fault);
            misses += (p - (so ? 1 : 0)) * (p - (so ? 1 : 0));
            int tenth = Math.min(TENTHS - 1, (int) (p * TENTHS));
            told[tenth]++;
            sum[tenth] += p;
            came[tenth] += so ? 1 : 0;
        }
    }

    public double brier() {
        return misses / jobs;
    }

    public double first() {
        return (double) first / jobs;
    }

    int jobs() {
        return jobs;
    }

    public int tenthsOutsideTheirBand() {
        int outside = 0;
        for (int tenth = 0; tenth < TENTHS; tenth++) {
            outside += outside(tenth) ? 1 : 0;
        }
        return outside;
    }

    private boolean outside(int tenth) {
        if (told[tenth] == 0) {
            return false;
        }
        BinomialDistribution coming = BinomialDistribution.of(told[tenth], sum[tenth] / told[tenth]);
        return came[tenth] < coming.inverseCumulativeProbability(0.025)
                || came[tenth] > coming.inverseSurvivalProbability(0.025);
    }

    void print(String name) {
        System.out.printf(
                "  %-42s first %4.1f %%, in the first three %4.1f %%, Brier %.4f, tenths outside their band %d%n",
                name, 100 * first(), 100.0 * firstThree / jobs, brier(), tenthsOutsideTheirBand());
    }

    void printCalibration() {
        System.out.println("  said, so many times, mean said, came true");
        for (int tenth = 0; tenth < TENTHS; tenth++) {
            if (told[tenth] > 0) {
                System.out.printf(
                        "  %3d to %3d %%  %6d  %5.1f %%  %5.1f %% %s%n",
                        10 * tenth,
                        10 * tenth + 10,
                        told[tenth],
                        100 * sum[tenth] / told[tenth],
                        100.0 * came[tenth] / told[tenth],
                        outside(tenth) ? "outside" : "");
            }
        }
    }
}
