package wrenchnotes.core.money;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.history.LikeJob;
import wrenchnotes.core.diagnosis.history.Where.Level;
import wrenchnotes.core.diagnosis.odds.Diagnosis;

/**
 * Hours and price that half of such jobs keep within, and that four in five do.
 *
 * <p>Every recorded job of the shop counts by how much it is like this one: the same revision or model whole, the same
 * kind an eighth, others a thirtieth; times the odds of the likeliest of its faults here. Three jobs of common practice (half an
 * hour, one, two) stand beside them, so that a new shop starts sensible, a hundredth of a job each: a job or two outweigh them. Quantiles of
 * weighted values; the weights are ours, no source. A fault that was found counts as sure, and with each found beyond the first the job grows by what a
 * further fault took here.
 *
 * @param halfMinutes at the bench
 * @param fourFifthsMinutes at least {@code halfMinutes}
 * @param halfMinor work and parts together
 * @param fourFifthsMinor at least {@code halfMinor}
 * @param jobs how many recorded jobs of the narrowest level stand behind it
 * @param level that narrowest level
 * @param askAgainMinutes the quote covers the work up to here; then the shop asks
 * @param askAgainMinor the sum at which it asks: that of four in five, since one dearer than those has something else
 * @param expectedMinor work and parts together, the mean: what a choice between ways goes by
 */
public record Estimate(
        double halfMinutes,
        double fourFifthsMinutes,
        long halfMinor,
        long fourFifthsMinor,
        int jobs,
        Level level,
        double askAgainMinutes,
        long askAgainMinor,
        long expectedMinor) {

    private static final Map<Level, Double> COUNTS =
            Map.of(Level.REVISION, 1.0, Level.MODEL, 1.0, Level.KIND, 0.125, Level.ALL, 1.0 / 30);
    private static final double[] PRACTICE_MINUTES = {30, 60, 120};
    private static final double PRACTICE_WEIGHT = 0.01;
    /** So much a job counts whose faults are not to be expected here. */
    private static final double UNLIKE = 0.005;

    private static final double HALF = 0.5;
    private static final double FOUR_FIFTHS = 0.8;
    private static final double QUARTER_HOUR = 15;
    /** What a further fault takes while one is at it. Common practice, no source. */
    private static final double FURTHER_MINUTES = 20;
    /** It counts as so many jobs. */
    private static final double FURTHER_WEIGHT = 3;

    /**
     * @param found faults that were found on this job and count as sure
     * @param hourMinor what an hour at the bench costs, in minor units, 0 or more
     */
    public static Estimate of(Diagnosis diagnosis, Set<FaultName> found, List<LikeJob> past, long hourMinor) {
        Map<FaultName, Double> odds = diagnosis.faults().stream()
                .collect(Collectors.toMap(Diagnosis.Likely::fault, Diagnosis.Likely::probability));
        double further = further(past);
        List<LikelyWithin.Weighted> minutes = new ArrayList<>();
        List<LikelyWithin.Weighted> sums = new ArrayList<>();
        for (LikeJob like : past) {
            double expected = like.faults().stream()
                    .mapToDouble(fault -> found.contains(fault) ? 1 : odds.getOrDefault(fault, 0.0))
                    .max()
                    .orElse(0);
            double weight = COUNTS.getOrDefault(like.level(), 0.0) * (UNLIKE + expected);
            int more = Math.max(0, found.size() - Math.max(1, like.faults().size()));
            double took = like.work().minutes() + more * further;
            long parts = like.work().partsMinor() * (1 + more);
            minutes.add(new LikelyWithin.Weighted(took, weight));
            sums.add(new LikelyWithin.Weighted(price(took, hourMinor) + parts, weight));
        }
        for (double practice : PRACTICE_MINUTES) {
            double took = practice + Math.max(0, found.size() - 1) * further;
            minutes.add(new LikelyWithin.Weighted(took, PRACTICE_WEIGHT));
            sums.add(new LikelyWithin.Weighted(price(took, hourMinor), PRACTICE_WEIGHT));
        }
        return of(new LikelyWithin(minutes), new LikelyWithin(sums), past);
    }

    private static Estimate of(LikelyWithin time, LikelyWithin money, List<LikeJob> past) {
        Level level = Stream.of(Level.REVISION, Level.MODEL, Level.KIND, Level.ALL)
                .filter(one -> past.stream().anyMatch(like -> like.level() == one))
                .findFirst()
                .orElse(Level.SHIPPED);
        double fourFifths = time.quantile(FOUR_FIFTHS);
        long sum = Math.round(money.quantile(FOUR_FIFTHS));
        return new Estimate(
                time.quantile(HALF),
                fourFifths,
                Math.round(money.quantile(HALF)),
                sum,
                (int) past.stream().filter(like -> like.level() == level).count(),
                level,
                Math.ceil(fourFifths / QUARTER_HOUR) * QUARTER_HOUR,
                sum,
                Math.round(money.mean()));
    }

    /** What each further fault took, by jobs that had several beside those that had one. */
    private static double further(List<LikeJob> past) {
        double one = past.stream()
                .filter(like -> like.faults().size() == 1)
                .mapToDouble(like -> like.work().minutes())
                .average()
                .orElse(0);
        double sum = FURTHER_WEIGHT * FURTHER_MINUTES;
        double of = FURTHER_WEIGHT;
        for (LikeJob like : past) {
            int more = like.faults().size() - 1;
            if (more > 0 && one > 0) {
                sum += like.work().minutes() - one;
                of += more;
            }
        }
        return Math.max(0, sum / of);
    }

    private static double price(double minutes, long hourMinor) {
        return minutes / 60 * hourMinor;
    }
}
