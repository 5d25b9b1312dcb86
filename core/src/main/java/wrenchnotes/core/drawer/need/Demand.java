package wrenchnotes.core.drawer.need;

import java.util.List;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * How many of a part are used a week. Slow parts are used some months and not at all in others: size and interval of the demands are smoothed
 * apart (Croston, "Forecasting and stock control for intermittent demands", Operational Research Quarterly 23, 1972) and their quotient, which is
 * too large on average, is taken times 1 − α/2 (Syntetos and Boylan, "The accuracy of intermittent demand estimates", International Journal of
 * Forecasting 21, 2005); both from memory.
 *
 * @param perWeek 0 to 1000
 */
public record Demand(double perWeek) {

    static final double ALPHA = 0.1;
    /** A year is counted as 52 weeks. */
    static final double WEEKS_A_MONTH = 52.0 / 12;

    static final double MOST_A_WEEK = 1000;
    private static final int MOST_MONTHS = 600;

    public Demand {
        Checked.within("perWeek", perWeek, 0, MOST_A_WEEK);
    }

    /**
     * Size and interval start from the first demand, its interval counted from the first month.
     *
     * @param months used in each, the oldest first; 1 to 600 of them, each 0 or more
     */
    public static Demand ofMonths(List<Double> months) {
        if (months.isEmpty() || months.size() > MOST_MONTHS) {
            throw new Invalid("perMonth", "Give 1 to " + MOST_MONTHS + " months, the oldest first");
        }
        double size = 0;
        double interval = 0;
        int since = 0;
        for (Double month : months) {
            double used =
                    Checked.within("perMonth", Checked.present("perMonth", month), 0, MOST_A_WEEK * WEEKS_A_MONTH);
            since++;
            if (used > 0) {
                boolean first = size == 0;
                size = first ? used : size + ALPHA * (used - size);
                interval = first ? since : interval + ALPHA * (since - interval);
                since = 0;
            }
        }
        return new Demand(size == 0 ? 0 : (1 - ALPHA / 2) * size / interval / WEEKS_A_MONTH);
    }
}
