package wrenchnotes.core.money;

import java.util.Comparator;
import java.util.List;

/**
 * Quantiles of values that count differently: each stands in the middle of its weight, and between two one goes straight (published: Hazen 1914; from memory),
 * so that of few values neither the one below nor the one above is preferred.
 */
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

    double mean() {
        return sorted.stream().mapToDouble(one -> one.value() * one.weight()).sum() / all;
    }

    /** @param share above 0, up to 1 */
    double quantile(double share) {
        double at = share * all;
        double reached = 0;
        double before = Double.NaN;
        double middleBefore = 0;
        for (Weighted one : sorted) {
            double middle = reached + one.weight() / 2;
            if (middle >= at - 1e-12) {
                return Double.isNaN(before)
                        ? one.value()
                        : before + (one.value() - before) * (at - middleBefore) / (middle - middleBefore);
            }
            reached += one.weight();
            before = one.value();
            middleBefore = middle;
        }
        return before;
    }
}
