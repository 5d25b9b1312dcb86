package wrenchnotes.core.gauge;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wrenchnotes.core.gauge.LimitGauge.Limits;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Spoken;

/**
 * Whether one capacitor may stand in for another: the same capacitance within what the circuit bears, voltage of the same sort and
 * temperature equal or higher, a body that fits, in a switched supply the series resistance and ripple current, and across the mains the
 * safety class ({@link SafetyClass}). It fits only if all that could speak against it was said; what is not known is named, and so is
 * what was not looked at. Classes published: IEC 60384-14, preferred values: IEC 60063; from memory. The rest is common practice.
 */
public final class CapacitorGauge {

    /** What circuits usually bear, by kind, lower and upper factor. Common practice, no source. */
    private static final double[] ELECTROLYTIC = {1.0, 1.5};

    private static final double[] OTHERS = {0.9, 1.1};

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

        boolean polar() {
            return this == ELECTROLYTIC || this == TANTALUM;
        }
    }

    /** Which sort of voltage a rating is of. */
    public enum RatedFor implements Spoken {
        AC,
        DC;

        @Override
        public String words() {
            return this == AC ? "a.c." : "d.c.";
        }
    }

    /** Which series of electrolytics the new ones are of: one answer for all positions of a list. */
    public enum CapacitorSeries implements Spoken {
        LOW_ESR,
        GENERAL;

        @Override
        public String words() {
            return this == LOW_ESR ? "low series resistance" : "general purpose";
        }
    }

    /**
     * @param volts rated @param ratedFor a.c. or d.c.; safety classes are always a.c., polar kinds always d.c.; empty if it is not known
     * @param safetyClass "X1", "X2", "Y1", "Y2", as it is printed; empty if none is
     * @param tolerancePercent as it is printed @param celsius highest temperature @param leadMm distance of the leads
     * @param esrOhm equivalent series resistance @param rippleAmps ripple current that it bears
     */
    public record Capacitor(
            double microfarads,
            double volts,
            Optional<RatedFor> ratedFor,
            CapacitorKind kind,
            Optional<String> safetyClass,
            Optional<Double> tolerancePercent,
            Optional<Double> celsius,
            Optional<Double> diameterMm,
            Optional<Double> heightMm,
            Optional<Double> leadMm,
            Optional<Double> esrOhm,
            Optional<Double> rippleAmps) {
        public Capacitor {
            Checked.within("microfarads", microfarads, 1e-7, 1e6);
            Checked.within("volts", volts, 0.5, 50_000);
            Checked.present("kind", kind);
            tolerancePercent.ifPresent(value -> Checked.within("tolerancePercent", value, 0.1, 100));
            celsius.ifPresent(value -> Checked.within("celsius", value, 40, 250));
            diameterMm.ifPresent(value -> Checked.within("diameterMm", value, 0.5, 200));
            heightMm.ifPresent(value -> Checked.within("heightMm", value, 0.5, 300));
            leadMm.ifPresent(value -> Checked.within("leadMm", value, 0.5, 200));
            esrOhm.ifPresent(value -> Checked.within("esrOhm", value, 1e-4, 1e4));
            rippleAmps.ifPresent(value -> Checked.within("rippleAmps", value, 1e-4, 1e3));
            mustAgree(kind, safetyClass, ratedFor);
            ratedFor = kind.safety() ? Optional.of(RatedFor.AC) : kind.polar() ? Optional.of(RatedFor.DC) : ratedFor;
        }

        /** With no more than what is printed on most. */
        public static Capacitor of(double microfarads, double volts, CapacitorKind kind, Optional<String> safetyClass) {
            Optional<Double> unsaid = Optional.empty();
            return new Capacitor(
                    microfarads,
                    volts,
                    Optional.empty(),
                    kind,
                    safetyClass,
                    unsaid,
                    unsaid,
                    unsaid,
                    unsaid,
                    unsaid,
                    unsaid,
                    unsaid);
        }

        private static void mustAgree(CapacitorKind kind, Optional<String> printed, Optional<RatedFor> ratedFor) {
            if (printed.isPresent() && !printed.get().matches("[Xx][1-3]|[Yy][1-4]")) {
                throw new Invalid("safetyClass", "safetyClass is " + printed.get() + "; X1 to X3 or Y1 to Y4");
            }
            String letter = printed.map(one -> one.substring(0, 1).toUpperCase(Locale.ROOT))
                    .orElse("");
            if (kind == CapacitorKind.SAFETY_X && letter.equals("Y")
                    || kind == CapacitorKind.SAFETY_Y && letter.equals("X")) {
                throw new Invalid("safetyClass", "The class and the kind disagree: keep one");
            }
            if (kind.safety() && ratedFor.filter(RatedFor.DC::equals).isPresent()) {
                throw new Invalid(
                        "ratedFor", "The volts of a safety class are a.c.: give those that are printed with it");
            }
            if (kind.polar() && ratedFor.filter(RatedFor.AC::equals).isPresent()) {
                throw new Invalid("ratedFor", "A polar capacitor bears no a.c.: say d.c., or another kind");
            }
        }
    }

    /**
     * @param switched whether it sits in a switched supply; empty if nobody said
     * @param series of the candidate, if it is an electrolytic
     */
    public record CapacitorAsked(
            Capacitor original,
            Optional<Capacitor> candidate,
            Optional<Boolean> switched,
            Optional<CapacitorSeries> series) {
        public CapacitorAsked {
            Checked.present("original", original);
        }

        public CapacitorAsked(Capacitor original, Optional<Capacitor> candidate) {
            this(original, candidate, Optional.empty(), Optional.empty());
        }

        /** The same question of another candidate. */
        public CapacitorAsked of(Capacitor other) {
            return new CapacitorAsked(original, Optional.of(other), switched, series);
        }

        /** The same question of a candidate whose series is known; what was said of all stands where it is not. */
        public CapacitorAsked withSeries(Optional<CapacitorSeries> known) {
            return new CapacitorAsked(original, candidate, switched, known.or(() -> series));
        }
    }

    /**
     * @param verdict GOOD fits, BAD does not, CAN_NOT_SAY needs what is missing, or a person
     * @param preferred values that are sold, within the range
     * @param unchecked what nobody said, and so was not looked at: "temperature"; empty without a candidate
     */
    public record CapacitorFound(
            Optional<Judgement> verdict,
            Limits microfarads,
            double leastVolts,
            Optional<Double> leastCelsius,
            List<Double> preferred,
            List<String> reasons,
            List<String> unchecked,
            List<String> cautions) {}

    private CapacitorGauge() {}

    public static CapacitorFound of(CapacitorAsked asked) {
        Capacitor original = asked.original();
        Limits farads = range(original);
        StandingIn standing = new StandingIn(asked, farads);
        Optional<Judgement> verdict = asked.candidate().map(standing::judged);
        List<String> cautions = new ArrayList<>();
        cautions.add("Bleed it and measure before you touch it.");
        if (original.kind().polar()) {
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
                standing.reasons(),
                standing.unchecked(),
                cautions);
    }

    /** The old part's tolerance decides, if it is known; and what is not sold any more has its nearest that is. */
    private static Limits range(Capacitor original) {
        boolean lytic = original.kind() == CapacitorKind.ELECTROLYTIC;
        double[] usual = lytic ? ELECTROLYTIC : OTHERS;
        double down =
                original.tolerancePercent().map(percent -> 1 - percent / 100).orElse(usual[0]);
        double up =
                original.tolerancePercent().map(percent -> 1 + percent / 100).orElse(usual[1]);
        double min = original.microfarads() * Math.max(0, down);
        double max = original.microfarads() * (lytic ? Math.max(up, usual[1]) : up);
        if (!PreferredValues.has(original.microfarads())) {
            double nearest = (lytic ? PreferredValues.E6 : PreferredValues.E12).nearest(original.microfarads());
            min = Math.min(min, nearest);
            max = Math.max(max, nearest);
        }
        return new Limits(Optional.of(min * (1 - 1e-9)), Optional.of(max * (1 + 1e-9)));
    }

    /** Of the coarsest series that has any. */
    private static List<Double> preferred(Limits farads) {
        for (PreferredValues series : PreferredValues.values()) {
            List<Double> values = series.within(
                    Math.max(1e-9, farads.min().orElseThrow()), farads.max().orElseThrow());
            if (!values.isEmpty()) {
                return values;
            }
        }
        return List.of();
    }
}
