package wrenchnotes.core.gauge;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wrenchnotes.core.typed.Figures;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * Readings against a limit. With an uncertainty U the limit gets a guard band on both sides: good is proved only within the
 * limit drawn in by U, bad only beyond the limit moved out by U; between the two nothing can be said (published: ISO 14253-1; from
 * memory). Each reading is judged, and their mean with what the scatter leaves open ({@link MeanOf}); the worst of all is the verdict.
 */
public final class LimitGauge {

    private static final int MOST = 100;
    private static final MathContext TWELVE_DIGITS = new MathContext(12);

    /** @param min lowest good value; empty if there is none @param max highest good value; one of the two must be there */
    public record Limits(Optional<Double> min, Optional<Double> max) {
        public Limits {
            if (min.isEmpty() && max.isEmpty()) {
                throw new Invalid("limit", "Say the lowest or the highest good value");
            }
            min.ifPresent(value -> Checked.within("limit.min", value, -1e12, 1e12));
            max.ifPresent(value -> Checked.within("limit.max", value, -1e12, 1e12));
            if (min.isPresent() && max.isPresent() && min.get() > max.get()) {
                throw new Invalid(
                        "limit", "The lowest good value, " + min.get() + ", is above the highest, " + max.get());
            }
        }
    }

    /**
     * @param readings 1 to 100, all in the same unit as the limit
     * @param limit empty for what is only counted or noted down
     * @param uncertainty of the instrument at 95 %, in the same unit, 0 or more; judged as exact if left out
     * @param unit for the reasons only; may be empty
     */
    public record LimitAsked(
            List<Double> readings, Optional<Limits> limit, Optional<Double> uncertainty, Optional<String> unit) {
        public LimitAsked {
            Checked.present("readings", readings);
            Checked.within("readings", readings.size(), 1, MOST);
            for (int at = 0; at < readings.size(); at++) {
                Checked.within(
                        "readings[" + at + "]", Checked.present("readings[" + at + "]", readings.get(at)), -1e12, 1e12);
            }
            readings = List.copyOf(readings);
            uncertainty.ifPresent(value -> Checked.within("uncertainty", value, 0.0, 1e12));
        }
    }

    /**
     * @param spread highest reading less the lowest
     * @param deviation sample standard deviation; empty for one reading
     * @param meanUncertainty of the mean at 95 %; empty if nobody said what the instrument leaves open
     * @param verdict empty without a limit
     * @param reasons a sentence each
     */
    public record LimitFound(
            double mean,
            double spread,
            Optional<Double> deviation,
            Optional<Double> meanUncertainty,
            Optional<Judgement> verdict,
            List<String> reasons) {}

    private LimitGauge() {}

    public static LimitFound of(LimitAsked asked) {
        MeanOf mean = MeanOf.of(asked.readings());
        Optional<Double> open = asked.uncertainty().map(mean::uncertainty);
        List<String> reasons = new ArrayList<>();
        Optional<Judgement> verdict = asked.limit().map(limit -> judged(asked, limit, mean, open, reasons));
        if (verdict.isEmpty()) {
            reasons.add("No limit is said: it is noted down and not judged.");
        }
        return new LimitFound(mean.mean(), mean.spread(), mean.deviation(), open, verdict, List.copyOf(reasons));
    }

    private static Judgement judged(
            LimitAsked asked, Limits limit, MeanOf mean, Optional<Double> open, List<String> reasons) {
        String unit = asked.unit().orElse("");
        double u = asked.uncertainty().orElse(0.0);
        List<String> ofMean = new ArrayList<>();
        Judgement worst = judge(mean.mean(), limit, open.orElse(0.0), unit, ofMean);
        if (asked.readings().size() > 1) {
            ofMean.replaceAll(reason -> "The mean of " + reason);
            for (double reading : asked.readings()) {
                List<String> why = new ArrayList<>();
                Judgement one = judge(reading, limit, u, unit, why);
                if (one != Judgement.GOOD) {
                    reasons.addAll(why);
                }
                worst = Judgement.worst(List.of(worst, one));
            }
        }
        reasons.addAll(0, ofMean);
        if (asked.uncertainty().isEmpty()) {
            reasons.add("How far the instrument may be off is not said: judged as if it were exact.");
        }
        return worst;
    }

    /**
     * For other gauges: one value against limits, with the reasons added. Compared in decimal as typed: exactly at a limit is within
     * it, whatever a double made of it.
     */
    static Judgement judge(double value, Limits limit, double u, String unit, List<String> reasons) {
        String said = number(value) + (unit.isEmpty() ? "" : " " + unit);
        for (boolean upper : new boolean[] {false, true}) {
            Optional<Double> bound = upper ? limit.max() : limit.min();
            if (bound.isPresent() && beyond(value, bound.get(), upper).compareTo(decimal(u)) > 0) {
                reasons.add(said + " is " + (upper ? "above " : "below ") + number(bound.get())
                        + (u > 0 ? " by more than the uncertainty of " + number(u) : ""));
                return Judgement.BAD;
            }
        }
        for (boolean upper : new boolean[] {false, true}) {
            Optional<Double> bound = upper ? limit.max() : limit.min();
            if (bound.isPresent() && beyond(value, bound.get(), upper).negate().compareTo(decimal(u)) < 0) {
                reasons.add(said + " is nearer to " + number(bound.get()) + " than the uncertainty of " + number(u)
                        + ": measure with a better instrument, or more often");
                return Judgement.CAN_NOT_SAY;
            }
        }
        reasons.add(said + " is within the limit" + (u > 0 ? ", the uncertainty of " + number(u) + " included" : ""));
        return Judgement.GOOD;
    }

    /** By how much a value is outside a bound; below 0 if it is within. */
    private static BigDecimal beyond(double value, double bound, boolean upper) {
        BigDecimal over = decimal(value).subtract(decimal(bound));
        return upper ? over : over.negate();
    }

    /** What was typed or follows from it in a few steps: nobody types more than twelve digits. */
    private static BigDecimal decimal(double value) {
        return new BigDecimal(value).round(TWELVE_DIGITS);
    }

    static String number(double value) {
        return Figures.of(value, 4);
    }
}
