package wrenchnotes.core.gauge;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wrenchnotes.core.gauge.LimitGauge.Limits;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Spoken;

/**
 * Whether one capacitor may stand in for another: the same capacitance within what the circuit bears, voltage and temperature equal or
 * higher, a body that fits, and across the mains the same safety class or better: Y replaces X of the same or lower voltage, never the
 * other way (common practice; classes published: IEC 60384-14, preferred values IEC 60063; from memory).
 */
public final class CapacitorGauge {

    /** What circuits usually bear, by kind, lower and upper factor. Common practice, no source. */
    private static final double[] ELECTROLYTIC = {1.0, 1.5};

    private static final double[] OTHERS = {0.9, 1.1};
    private static final double[] E6 = {1.0, 1.5, 2.2, 3.3, 4.7, 6.8};
    private static final double BODY_MM = 0.5;
    private static final double LEAD_MM = 0.5;

    public enum CapacitorKind implements Spoken {
        ELECTROLYTIC,
        FILM,
        CERAMIC,
        TANTALUM,
        SAFETY_X,
        SAFETY_Y;

        boolean safety() {
            return this == SAFETY_X || this == SAFETY_Y;
        }
    }

    /**
     * @param safetyClass "X1", "X2", "Y1", "Y2"; needed for the two safety kinds
     * @param celsius highest temperature @param leadMm distance of the leads
     */
    public record Capacitor(
            double microfarads,
            double volts,
            CapacitorKind kind,
            Optional<String> safetyClass,
            Optional<Double> celsius,
            Optional<Double> diameterMm,
            Optional<Double> heightMm,
            Optional<Double> leadMm) {
        public Capacitor {
            Checked.within("microfarads", microfarads, 1e-7, 1e6);
            Checked.within("volts", volts, 0.5, 50_000);
            Checked.present("kind", kind);
            celsius.ifPresent(value -> Checked.within("celsius", value, 40, 250));
            diameterMm.ifPresent(value -> Checked.within("diameterMm", value, 0.5, 200));
            heightMm.ifPresent(value -> Checked.within("heightMm", value, 0.5, 300));
            leadMm.ifPresent(value -> Checked.within("leadMm", value, 0.5, 200));
            if (safetyClass.isPresent() && !safetyClass.get().matches("[XYxy][1-4]")) {
                throw new Invalid("safetyClass", "safetyClass is " + safetyClass.get() + "; such as X2 or Y2");
            }
            if (kind == CapacitorKind.SAFETY_X
                            && safetyClass
                                    .filter(one -> one.toUpperCase(Locale.ROOT).startsWith("Y"))
                                    .isPresent()
                    || kind == CapacitorKind.SAFETY_Y
                            && safetyClass
                                    .filter(one -> one.toUpperCase(Locale.ROOT).startsWith("X"))
                                    .isPresent()) {
                throw new Invalid("safetyClass", "The class and the kind disagree: keep one");
            }
        }

        /** 1 is the best of a letter; 2 if nobody said. */
        private int grade() {
            return safetyClass.map(one -> one.charAt(1) - '0').orElse(2);
        }
    }

    public record CapacitorAsked(Capacitor original, Optional<Capacitor> candidate) {
        public CapacitorAsked {
            Checked.present("original", original);
        }
    }

    /** @param verdict GOOD fits, BAD does not, CAN_NOT_SAY needs a person @param preferred values that are sold, within the range */
    public record CapacitorFound(
            Optional<Judgement> verdict,
            Limits microfarads,
            double leastVolts,
            Optional<Double> leastCelsius,
            List<Double> preferred,
            List<String> reasons,
            List<String> cautions) {}

    private CapacitorGauge() {}

    public static CapacitorFound of(CapacitorAsked asked) {
        Capacitor original = asked.original();
        double[] range = original.kind() == CapacitorKind.ELECTROLYTIC ? ELECTROLYTIC : OTHERS;
        Limits farads = new Limits(
                Optional.of(original.microfarads() * range[0] * (1 - 1e-9)),
                Optional.of(original.microfarads() * range[1] * (1 + 1e-9)));
        List<String> reasons = new ArrayList<>();
        Optional<Judgement> verdict = asked.candidate().map(candidate -> judged(original, candidate, farads, reasons));
        List<String> cautions = new ArrayList<>();
        cautions.add("Bleed it and measure before you touch it.");
        if (original.kind() == CapacitorKind.ELECTROLYTIC || original.kind() == CapacitorKind.TANTALUM) {
            cautions.add("Check the polarity, and check it again: fitted the wrong way round it bursts.");
        }
        if (original.kind().safety()) {
            cautions.add(
                    "Across the mains only a part with the safety class printed on it. Your local rules decide who may fit it.");
        }
        return new CapacitorFound(
                verdict,
                farads,
                original.volts(),
                original.celsius(),
                preferred(farads),
                List.copyOf(reasons),
                cautions);
    }

    private static List<Double> preferred(Limits farads) {
        List<Double> values = new ArrayList<>();
        for (int decade = -7; decade <= 6; decade++) {
            for (double one : E6) {
                double value = one * Math.pow(10, decade);
                if (value >= farads.min().orElseThrow() && value <= farads.max().orElseThrow()) {
                    values.add(Double.parseDouble(LimitGauge.number(value)));
                }
            }
        }
        return values;
    }

    private static Judgement judged(Capacitor original, Capacitor candidate, Limits farads, List<String> reasons) {
        Judgement[] verdicts = {
            kind(original, candidate, reasons),
            say(
                    candidate.microfarads() >= farads.min().orElseThrow()
                            && candidate.microfarads() <= farads.max().orElseThrow(),
                    LimitGauge.number(candidate.microfarads()) + " µF for " + LimitGauge.number(original.microfarads())
                            + " µF",
                    reasons),
            say(
                    candidate.volts() >= original.volts(),
                    LimitGauge.number(candidate.volts()) + " V for " + LimitGauge.number(original.volts()) + " V",
                    reasons),
            atLeast("°C", original.celsius(), candidate.celsius(), reasons),
            body("wide", original.diameterMm(), candidate.diameterMm(), BODY_MM, reasons),
            body("high", original.heightMm(), candidate.heightMm(), BODY_MM, reasons),
            lead(original.leadMm(), candidate.leadMm(), reasons)
        };
        if (Arrays.asList(verdicts).contains(Judgement.BAD)) {
            return Judgement.BAD;
        }
        return Arrays.asList(verdicts).contains(Judgement.CAN_NOT_SAY) ? Judgement.CAN_NOT_SAY : Judgement.GOOD;
    }

    private static Judgement say(boolean fits, String words, List<String> reasons) {
        reasons.add((fits ? "Fits: " : "Does not fit: ") + words);
        return fits ? Judgement.GOOD : Judgement.BAD;
    }

    private static Judgement kind(Capacitor original, Capacitor candidate, List<String> reasons) {
        if (original.kind().safety()) {
            boolean yForX = original.kind() == CapacitorKind.SAFETY_X && candidate.kind() == CapacitorKind.SAFETY_Y;
            boolean same = original.kind() == candidate.kind();
            if (!yForX && !same) {
                return say(
                        false,
                        original.kind() == CapacitorKind.SAFETY_Y
                                ? "only a Y class stands in for a Y class"
                                : "across the mains only a safety class",
                        reasons);
            }
            boolean grade = yForX || candidate.grade() <= original.grade();
            return say(
                    grade,
                    "class " + candidate.safetyClass().orElse("not said") + " for "
                            + original.safetyClass().orElse("not said"),
                    reasons);
        }
        if (candidate.kind() == original.kind()) {
            return say(true, "the same kind", reasons);
        }
        boolean filmForCeramic =
                candidate.kind() == CapacitorKind.FILM || candidate.kind().safety();
        if (original.kind() != CapacitorKind.ELECTROLYTIC && filmForCeramic) {
            return say(true, "film does what ceramic did, where it has the room", reasons);
        }
        reasons.add("Another kind: what the circuit bears is for a person to say");
        return Judgement.CAN_NOT_SAY;
    }

    private static Judgement atLeast(
            String unit, Optional<Double> original, Optional<Double> candidate, List<String> reasons) {
        if (original.isEmpty()) {
            return Judgement.GOOD;
        }
        if (candidate.isEmpty()) {
            reasons.add("How many " + unit + " it bears is not said");
            return Judgement.CAN_NOT_SAY;
        }
        return say(
                candidate.get() >= original.get(),
                LimitGauge.number(candidate.get()) + " " + unit + " for " + LimitGauge.number(original.get()) + " "
                        + unit,
                reasons);
    }

    private static Judgement body(
            String how, Optional<Double> original, Optional<Double> candidate, double more, List<String> reasons) {
        if (original.isEmpty() || candidate.isEmpty()) {
            return Judgement.GOOD;
        }
        if (candidate.get() <= original.get() + more) {
            return Judgement.GOOD;
        }
        reasons.add("It is " + LimitGauge.number(candidate.get() - original.get()) + " mm more " + how
                + ": look for the room");
        return Judgement.CAN_NOT_SAY;
    }

    private static Judgement lead(Optional<Double> original, Optional<Double> candidate, List<String> reasons) {
        if (original.isEmpty() || candidate.isEmpty() || Math.abs(original.get() - candidate.get()) <= LEAD_MM) {
            return Judgement.GOOD;
        }
        reasons.add("Its leads are " + LimitGauge.number(candidate.get()) + " mm apart, not "
                + LimitGauge.number(original.get()) + " mm: they must be bent");
        return Judgement.CAN_NOT_SAY;
    }
}
