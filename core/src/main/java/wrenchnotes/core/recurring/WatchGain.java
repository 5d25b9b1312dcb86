package wrenchnotes.core.recurring;

import org.apache.commons.statistics.distribution.ChiSquaredDistribution;
import wrenchnotes.core.unit.Checked;

/**
 * What looking at something on every unit brings a month: what would have been missed, at the cost of a miss, less the minutes of looking. Events come
 * independently of each other, so their rate has the exact limits of Garwood (Biometrika 28, 1936): half the quantiles of chi-squared with 2n and 2n + 2
 * degrees, each exceeded one time in twenty.
 *
 * @param events what looking would have caught, or did
 * @param monthMinor expected, in minor units; below 0 looking costs more than it brings
 * @param lowMinor the least that it is likely to be
 * @param highMinor the most
 */
public record WatchGain(int events, double monthMinor, double lowMinor, double highMinor) {

    /** Fewer events earn nothing. */
    public static final int LEAST_EVENTS = 5;
    /** After fewer looks nobody says that it is not worth it any more. */
    public static final int LEAST_LOOKS = 20;

    private static final double ONE_SIDED = 0.05;

    /**
     * @param events 0 or more
     * @param months in which they came, above 0
     * @param looks a month, 0 or more
     * @param missMinor what a miss costs, 0 or more
     * @param lookMinor what a look costs, 0 or more
     */
    public static WatchGain of(int events, double months, double looks, double missMinor, double lookMinor) {
        Checked.within("events", events, 0, Integer.MAX_VALUE);
        Checked.within("months", months, 1e-3, 1_200);
        double cost = looks * lookMinor;
        return new WatchGain(
                events,
                events / months * missMinor - cost,
                fewest(events) / months * missMinor - cost,
                most(events) / months * missMinor - cost);
    }

    /** Enough of it, and worth it even if chance was kind. */
    public boolean earned() {
        return events >= LEAST_EVENTS && lowMinor > 0;
    }

    /** Looked often enough, and not worth it even if chance was unkind. */
    public boolean spent(int looks) {
        return looks >= LEAST_LOOKS && highMinor < 0;
    }

    static double fewest(int events) {
        return events == 0 ? 0 : ChiSquaredDistribution.of(2.0 * events).inverseCumulativeProbability(ONE_SIDED) / 2;
    }

    static double most(int events) {
        return ChiSquaredDistribution.of(2.0 * events + 2).inverseCumulativeProbability(1 - ONE_SIDED) / 2;
    }
}
