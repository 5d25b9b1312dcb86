package wrenchnotes.core.drawer.need;

import java.util.Comparator;
import java.util.List;
import wrenchnotes.core.unit.Checked;

/**
 * Whether the drawer lasts for the jobs that may want a part: each wants its number or nothing, with its own probability and whatever the
 * others do, so that what all of them want is a sum of unlike yes and no (Poisson's binomial; Wang, Statistica Sinica 3, 1993, from memory).
 *
 * @param wanted how many are wanted on average
 * @param there how many are left for them
 * @param expectedShort how many are missing on average
 * @param runsOut how likely at least one is missing, 0 to 1
 * @param jobs those that may want it, the likeliest first
 */
public record Shortage(double wanted, int there, double expectedShort, double runsOut, List<Wants> jobs) {

    private static final int MOST = 99;

    public Shortage {
        jobs = List.copyOf(jobs);
    }

    /** @param probability 0 to 1 @param count how many if so, 1 to 99 @param component what it is for */
    public record Wants(long job, long component, double probability, int count) {
        public Wants {
            Checked.within("probability", probability, 0, 1);
            Checked.within("count", count, 1, MOST);
        }
    }

    /** @param there on the shelf and on order, 0 or more */
    public static Shortage of(List<Wants> jobs, int there) {
        double[] of = {1};
        for (Wants one : jobs) {
            of = with(of, one);
        }
        double mean = 0;
        double shortOnAverage = 0;
        double runsOut = 0;
        for (int wanted = 0; wanted < of.length; wanted++) {
            mean += wanted * of[wanted];
            if (wanted > there) {
                shortOnAverage += (wanted - there) * of[wanted];
                runsOut += of[wanted];
            }
        }
        return new Shortage(
                mean,
                there,
                shortOnAverage,
                Math.min(1, runsOut),
                jobs.stream()
                        .sorted(Comparator.comparingDouble(Wants::probability).reversed())
                        .toList());
    }

    private static double[] with(double[] before, Wants one) {
        double[] after = new double[before.length + one.count()];
        for (int at = 0; at < before.length; at++) {
            after[at] += before[at] * (1 - one.probability());
            after[at + one.count()] += before[at] * one.probability();
        }
        return after;
    }
}
