package wrenchnotes.core.pattern;

import org.apache.commons.statistics.interval.BinomialConfidenceInterval;
import org.apache.commons.statistics.interval.Interval;
import wrenchnotes.core.unit.Checked;

/**
 * How many of how many, and between which shares the truth lies nineteen times in twenty.
 *
 * <p>Interval: Wilson score, after E. B. Wilson, "Probable Inference, the Law of Succession, and Statistical Inference",
 * JASA 22 (1927), as computed by Commons Statistics. It stays within 0 and 1 and is honest for the small counts of a
 * shop.
 *
 * @param share count / outOf, 0 to 1
 */
public record Share(int count, int outOf, double share, double low, double high) {

    private static final double ERROR_RATE = 0.05;

    /**
     * @param count 0 to outOf
     * @param outOf 1 or more
     */
    public static Share of(int count, int outOf) {
        Checked.within("outOf", outOf, 1, Integer.MAX_VALUE);
        Checked.within("count", count, 0, outOf);
        Interval interval = BinomialConfidenceInterval.WILSON_SCORE.fromErrorRate(outOf, count, ERROR_RATE);
        double share = (double) count / outOf;
        // The score interval holds the share and stays within 0 and 1; rounding may miss either by the last bit.
        double low = Math.max(0, Math.min(share, interval.getLowerBound()));
        double high = Math.min(1, Math.max(share, interval.getUpperBound()));
        return new Share(count, outOf, share, low, high);
    }
}
