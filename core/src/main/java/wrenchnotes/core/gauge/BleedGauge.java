package wrenchnotes.core.gauge;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import wrenchnotes.core.unit.Checked;

/**
 * Bleeding a charged capacitor through a resistor: V(t) = V₀·e^(−t/RC), t = RC·ln(V₀/V), energy ½CV² (physics; after 5 RC 0.67 % is
 * left). The usual touch limit is 60 V direct current (published: IEC 62368-1, ES1; from memory). Nothing here calls a part safe: it
 * says when to measure.
 */
public final class BleedGauge {

    /** Ratings that resistors are sold in, watts. Common practice, no source. */
    private static final double[] RATINGS = {0.25, 0.5, 1, 2, 3, 5, 7, 10, 15, 25, 50, 100, 200};

    private static final double TOUCH_LIMIT = 60;
    private static final double USUAL_TOLERANCE = 20;
    private static final int POINTS = 60;

    private static final List<String> CAUTIONS = List.of(
            "Unplug first. Bleed through the resistor, not with a blade. One hand, eyes away, nothing metal on it.",
            "Then measure, and measure again after a minute: some capacitors win back a part of their charge.",
            "Only if you are qualified for it where you are: your local rules decide.");

    /**
     * @param microfarads above 0, up to 1 F
     * @param ohms above 0, up to 1 GΩ
     * @param volts above 0, up to 50 kV
     * @param safeVolts 60 if left out
     * @param tolerancePercent of the capacitor, 0 to 100; 20 if left out
     */
    public record BleedAsked(
            double microfarads,
            double ohms,
            double volts,
            Optional<Double> safeVolts,
            Optional<Double> tolerancePercent) {
        public BleedAsked {
            Checked.within("microfarads", microfarads, 1e-6, 1e6);
            Checked.within("ohms", ohms, 1e-2, 1e9);
            Checked.within("volts", volts, 1e-3, 50_000);
            safeVolts.ifPresent(value -> Checked.within("safeVolts", value, 0.1, 1000));
            tolerancePercent.ifPresent(value -> Checked.within("tolerancePercent", value, 0.0, 100.0));
        }
    }

    public record BleedPoint(double seconds, double volts) {}

    /**
     * @param seconds until it is at the limit, as marked; 0 if it is below already
     * @param secondsToMeasure the same with the capacitor at the top of its tolerance: measure then
     * @param joules stored
     * @param peakWatts in the resistor at the first moment
     * @param ratingWatts of the resistor to use: the next that is sold; empty if none is so large, take more ohms
     * @param curve with the capacitor at the top of its tolerance
     */
    public record BleedFound(
            double seconds,
            double secondsToMeasure,
            double joules,
            double peakWatts,
            Optional<Double> ratingWatts,
            List<BleedPoint> curve,
            List<String> cautions,
            List<String> reasons) {}

    private BleedGauge() {}

    public static BleedFound of(BleedAsked asked) {
        double farads = asked.microfarads() * 1e-6;
        double limit = asked.safeVolts().orElse(TOUCH_LIMIT);
        double most = 1 + asked.tolerancePercent().orElse(USUAL_TOLERANCE) / 100;
        double rc = asked.ohms() * farads;
        double constants = Math.max(0, Math.log(asked.volts() / limit));
        double peak = asked.volts() * asked.volts() / asked.ohms();
        Optional<Double> rating =
                Arrays.stream(RATINGS).filter(watts -> watts >= peak).boxed().findFirst();
        List<BleedPoint> curve = new ArrayList<>();
        double end = rc * most * Math.max(5, constants * 1.2);
        for (int n = 0; n <= POINTS; n++) {
            double at = end * n / POINTS;
            curve.add(new BleedPoint(at, asked.volts() * Math.exp(-at / (rc * most))));
        }
        List<String> reasons = new ArrayList<>();
        reasons.add("One time constant is " + LimitGauge.number(rc) + " s; " + LimitGauge.number(constants)
                + " of them down to " + LimitGauge.number(limit) + " V.");
        reasons.add("With the capacitor " + LimitGauge.number((most - 1) * 100)
                + " % larger than marked: measure after " + LimitGauge.number(rc * most * constants) + " s.");
        if (rating.isEmpty()) {
            reasons.add("No usual resistor takes " + LimitGauge.number(peak) + " W: take more ohms, it takes longer.");
        }
        return new BleedFound(
                rc * constants,
                rc * most * constants,
                farads * asked.volts() * asked.volts() / 2,
                peak,
                rating,
                List.copyOf(curve),
                CAUTIONS,
                List.copyOf(reasons));
    }
}
