package wrenchnotes.core.teardown.plan;

import java.util.List;
import java.util.Map;
import org.apache.commons.statistics.descriptive.Quantile;
import wrenchnotes.core.teardown.Teardown;

/**
 * How long a plan will take in this shop: the time that half of such jobs keep within, and the one that four in five do.
 *
 * <p>Each step counts with the median and the 0.8 quantile of its recorded times (Hyndman and Fan's type 8, Am. Stat. 50
 * (1996), by Commons Statistics), or, while there are fewer than three of them, with the minutes in the notes for both.
 * The medians add up; the spreads add up as those of independent things do, by the root of the sum of their squares
 * (common practice; from memory).
 *
 * @param half minutes
 * @param fourFifths minutes, at least {@code half}
 * @param recorded how many of the steps have recorded times
 * @param steps how many steps there are
 */
public record LikelyTime(double half, double fourFifths, int recorded, int steps) {

    private static final int FEWEST = 3;
    private static final Quantile QUANTILE = Quantile.withDefaults();

    /** @param minutes recorded times of steps in minutes, by step id; steps without any may be left out */
    public static LikelyTime of(Plan plan, Teardown notes, Map<String, List<Double>> minutes) {
        double work = 0;
        double written = 0;
        double spread = 0;
        int recorded = 0;
        for (String id : plan.order()) {
            List<Double> times = minutes.getOrDefault(id, List.of());
            double noted = notes.step(id).minutes();
            written += noted;
            if (times.size() < FEWEST) {
                work += noted;
                continue;
            }
            double[] sample = times.stream().mapToDouble(Double::doubleValue).toArray();
            double median = QUANTILE.evaluate(sample, 0.5);
            double later = QUANTILE.evaluate(sample, 0.8) - median;
            work += median;
            spread += later * later;
            recorded++;
        }
        double changes = plan.minutes() - written;
        // A recorded time holds the turning and the driver change that came before its step already.
        double half = work
                + changes
                        * (plan.order().size() - recorded)
                        / Math.max(1, plan.order().size());
        return new LikelyTime(
                half, half + Math.sqrt(spread), recorded, plan.order().size());
    }
}
