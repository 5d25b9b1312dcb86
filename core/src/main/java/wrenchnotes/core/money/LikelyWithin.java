package wrenchnotes.core.money;

import java.util.Comparator;
import java.util.List;

/** Quantiles of values that count differently: the least value at which so much of the weight is reached. */
final class LikelyWithin {

    /** @param weight above 0 */
    record Weighted(double value, double weight) {}

    private final List<Weighted> sorted;
    private final double all;

    LikelyWithin(List<Weighted> values) {
        sorted = values.stream()
                .sorted(Comparator.comparingDouble(Weighted::value))
                .toList();
        all = sorted.stream().mapToDouble(Weighted::weight).sum();
    }

    /** @param share above 0, up to 1 */
    double quantile(double share) {
        double reached = 0;
        for (Weighted one : sorted) {
            reached += one.weight();
            if (reached >= share * all - 1e-12) {
                return one.value();
            }
        }
        return sorted.get(sorted.size() - 1).value();
    }
}
