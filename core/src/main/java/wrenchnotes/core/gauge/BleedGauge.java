package wrenchnotes.core.gauge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wrenchnotes.core.unit.Checked;

/**
 * Bleeding a charged capacitor through a resistor: V(t) = V₀·e^(−t/RC), t = RC·ln(V₀/V), energy ½CV² (physics; after 5 RC 0.67 % is
 * left). The usual touch limit is 60 V direct current (published: IEC 62368-1, ES1; from memory). Nothing here calls a part safe: it
 * says when to measure. Resistor, meter and probes must stand the volts and the pulse; above {@value #TRAINED_VOLTS} V nothing is proposed but
 * trained hands.
 */
public final class BleedGauge {

    private static final double TOUCH_LIMIT = 60;
    private static final double USUAL_TOLERANCE = 20;
    /** Carbon resistors of the time; newer ones are within 5. Common practice, no source. */
    private static final double RESISTOR_TOLERANCE = 10;

    static final double TRAINED_VOLTS = 1000;
    private static final int POINTS = 60;

    private static final String TRAINED =
            "Above 1 kV this is for trained hands alone, with a probe and a bleeder that are made for it: fetch them.";

    private static final List<String> CAUTIONS = List.of(
            "Unplug first. Bleed through the resistor, not with a blade. One hand, eyes away, nothing metal on it.",
            "Then measure, and measure again after a minute: some capacitors win back a part of their charge.",
            "Only if you are qualified for it where you are: your local rules decide.");

    /**
     * @param microfarads above 0, up to 1 F
     * @param ohms above 0, up to 1 GΩ
     * @param volts above 0, up to 50 kV
     * @param safeVolts 60 if left out, and never more
     * @param tolerancePercent of the capacitor, 0 to 100; 20 if left out
     * @param resistorVolts that the resistor is rated for @param resistorWatts that it is rated for
     * @param resistorTolerancePercent 0 to 50; 10 if left out
     * @param meterVolts that meter and probes are rated for
     */
    public record BleedAsked(
            double microfarads,
            double ohms,
            double volts,
            Optional<Double> safeVolts,
            Optional<Double> tolerancePercent,
            Optional<Double> resistorVolts,
            Optional<Double> resistorWatts,
            Optional<Double> resistorTolerancePercent,
            Optional<Double> meterVolts) {
        public BleedAsked {
            Checked.within("microfarads", microfarads, 1e-6, 1e6);
            Checked.within("ohms", ohms, 1e-2, 1e9);
            Checked.within("volts", volts, 1e-3, 50_000);
            safeVolts.ifPresent(value -> Checked.within("safeVolts", value, 0.1, TOUCH_LIMIT));
            tolerancePercent.ifPresent(value -> Checked.within("tolerancePercent", value, 0.0, 100.0));
            resistorVolts.ifPresent(value -> Checked.within("resistorVolts", value, 1, 100_000));
            resistorWatts.ifPresent(value -> Checked.within("resistorWatts", value, 0.01, 10_000));
            resistorTolerancePercent.ifPresent(value -> Checked.within("resistorTolerancePercent", value, 0.0, 50.0));
            meterVolts.ifPresent(value -> Checked.within("meterVolts", value, 1, 100_000));
        }

        /** With nothing said of resistor and meter. */
        public BleedAsked(
                double microfarads,
                double ohms,
                double volts,
                Optional<Double> safeVolts,
                Optional<Double> tolerancePercent) {
            this(
                    microfarads,
                    ohms,
                    volts,
                    safeVolts,
                    tolerancePercent,
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty());
        }
    }

    public record BleedPoint(double seconds, double volts) {}

    /**
     * @param ohms of each @param series how many of them one after the other
     * @param watts rated, of each @param seconds until it is time to measure
     */
    public record BleederProposed(double ohms, int series, double watts, double seconds) {}

    /**
     * @param seconds until it is at the limit, as marked; 0 if it is below already
     * @param secondsToMeasure the same with capacitor and resistor at the top of their tolerances: measure then
     * @param joules stored
     * @param peakWatts in the resistor at the first moment
     * @param ratingWatts of a wire-wound resistor of so many ohms: the next that is sold; empty if none is so large, or above 1 kV
     * @param resistor whether this resistor stands it @param meter whether meter and probes do
     * @param proposed a practical one; empty above 1 kV, and where nothing is left to bleed
     * @param curve with both at the top of their tolerances
     */
    public record BleedFound(
            double seconds,
            double secondsToMeasure,
            double joules,
            double peakWatts,
            Optional<Double> ratingWatts,
            Judgement resistor,
            Judgement meter,
            Optional<BleederProposed> proposed,
            List<BleedPoint> curve,
            List<String> cautions,
            List<String> reasons) {}

    private BleedGauge() {}

    public static BleedFound of(BleedAsked asked) {
        double farads = asked.microfarads() * 1e-6;
        double limit = asked.safeVolts().orElse(TOUCH_LIMIT);
        double larger = 1 + asked.tolerancePercent().orElse(USUAL_TOLERANCE) / 100;
        double slower = 1 + asked.resistorTolerancePercent().orElse(RESISTOR_TOLERANCE) / 100;
        double rc = asked.ohms() * farads;
        double worst = rc * larger * slower;
        double constants = Math.max(0, Math.log(asked.volts() / limit));
        boolean trained = asked.volts() > TRAINED_VOLTS;
        BleedResistor needed = new BleedResistor(farads * larger, asked.volts());
        List<String> reasons = new ArrayList<>();
        reasons.add("One time constant is " + LimitGauge.number(rc) + " s; " + LimitGauge.number(constants)
                + " of them down to " + LimitGauge.number(limit) + " V.");
        reasons.add("With the capacitor " + LimitGauge.number((larger - 1) * 100) + " % and the resistor "
                + LimitGauge.number((slower - 1) * 100) + " % larger than marked: measure after "
                + LimitGauge.number(worst * constants) + " s.");
        Judgement resistor = trained ? Judgement.CAN_NOT_SAY : resistor(asked, needed, reasons);
        Judgement meter =
                trained ? Judgement.CAN_NOT_SAY : stands("Meter and probes", asked.meterVolts(), asked, reasons);
        return new BleedFound(
                rc * constants,
                worst * constants,
                farads * asked.volts() * asked.volts() / 2,
                asked.volts() * asked.volts() / asked.ohms(),
                trained ? Optional.empty() : needed.rating(asked.ohms()),
                resistor,
                meter,
                trained || constants == 0 ? Optional.empty() : Optional.of(needed.proposed(limit, slower)),
                curve(asked.volts(), worst, constants),
                cautions(trained),
                List.copyOf(reasons));
    }

    private static List<String> cautions(boolean trained) {
        List<String> cautions = new ArrayList<>();
        if (trained) {
            cautions.add(TRAINED);
        }
        cautions.addAll(CAUTIONS);
        return List.copyOf(cautions);
    }

    private static List<BleedPoint> curve(double volts, double rc, double constants) {
        List<BleedPoint> curve = new ArrayList<>();
        double end = rc * Math.max(5, constants * 1.2);
        for (int n = 0; n <= POINTS; n++) {
            double at = end * n / POINTS;
            curve.add(new BleedPoint(at, volts * Math.exp(-at / rc)));
        }
        return List.copyOf(curve);
    }

    private static Judgement resistor(BleedAsked asked, BleedResistor needed, List<String> reasons) {
        double watts = needed.wattsNeeded(asked.ohms());
        String pulse = LimitGauge.number(asked.volts() * asked.volts() / asked.ohms())
                + " W at first: a wire-wound one of " + LimitGauge.number(watts) + " W or more bears the pulse";
        if (needed.rating(asked.ohms()).isEmpty()) {
            reasons.add("No usual resistor takes " + pulse.substring(0, pulse.indexOf(':'))
                    + ": take more ohms, it takes longer.");
        }
        Judgement power = asked.resistorWatts()
                .map(rated -> rated >= watts ? Judgement.GOOD : Judgement.BAD)
                .orElse(Judgement.CAN_NOT_SAY);
        reasons.add("The resistor takes " + pulse
                + asked.resistorWatts()
                        .map(rated -> ", and this one has " + LimitGauge.number(rated) + " W.")
                        .orElse("; what this one bears is not said."));
        return Judgement.worst(List.of(power, stands("The resistor", asked.resistorVolts(), asked, reasons)));
    }

    private static Judgement stands(String what, Optional<Double> rated, BleedAsked asked, List<String> reasons) {
        String must = what + " must stand " + LimitGauge.number(asked.volts()) + " V";
        reasons.add(rated.map(volts -> must + "; rated for " + LimitGauge.number(volts) + " V.")
                .orElse(must + ": what is printed on it is not said."));
        return rated.map(volts -> volts >= asked.volts() ? Judgement.GOOD : Judgement.BAD)
                .orElse(Judgement.CAN_NOT_SAY);
    }
}
