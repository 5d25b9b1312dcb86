package wrenchnotes.core.gauge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wrenchnotes.core.gauge.CapacitorGauge.Capacitor;
import wrenchnotes.core.gauge.CapacitorGauge.CapacitorAsked;
import wrenchnotes.core.gauge.CapacitorGauge.CapacitorKind;
import wrenchnotes.core.gauge.CapacitorGauge.CapacitorSeries;
import wrenchnotes.core.gauge.CapacitorGauge.RatedFor;
import wrenchnotes.core.gauge.LimitGauge.Limits;

/** One capacitor held against the place of another, property by property. Lives for one question. */
final class StandingIn {

    private static final double BODY_MM = 0.5;
    private static final double LEAD_MM = 0.5;

    private final CapacitorAsked asked;
    private final Capacitor original;
    private final Limits farads;
    private final List<String> reasons = new ArrayList<>();
    private final List<String> unchecked = new ArrayList<>();

    StandingIn(CapacitorAsked asked, Limits farads) {
        this.asked = asked;
        this.original = asked.original();
        this.farads = farads;
    }

    List<String> reasons() {
        return List.copyOf(reasons);
    }

    List<String> unchecked() {
        return List.copyOf(unchecked);
    }

    Judgement judged(Capacitor candidate) {
        return Judgement.worst(List.of(
                kind(candidate),
                farads(candidate),
                tolerance(candidate),
                volts(candidate),
                celsius(candidate),
                ripple(candidate),
                size("wide", original.diameterMm(), candidate.diameterMm()),
                size("high", original.heightMm(), candidate.heightMm()),
                leads(candidate)));
    }

    private Judgement say(Judgement verdict, String words) {
        reasons.add(switch (verdict) {
                    case GOOD -> "Fits: ";
                    case BAD -> "Does not fit: ";
                    case CAN_NOT_SAY -> "Not known: ";
                }
                + words);
        return verdict;
    }

    private Judgement say(boolean fits, String words) {
        return say(fits ? Judgement.GOOD : Judgement.BAD, words);
    }

    private Judgement kind(Capacitor candidate) {
        if (original.kind().safety()) {
            return safety(candidate);
        }
        if (candidate.kind() == original.kind()) {
            return say(true, "the same kind");
        }
        return say(Judgement.CAN_NOT_SAY, "another kind: what the circuit bears is for a person to say");
    }

    private Judgement safety(Capacitor candidate) {
        if (!candidate.kind().safety()) {
            return say(false, "across the mains only a safety class");
        }
        if (original.kind() == CapacitorKind.SAFETY_Y && candidate.kind() == CapacitorKind.SAFETY_X) {
            return say(false, "only a Y class stands in for a Y class");
        }
        Optional<SafetyClass> was = SafetyClass.read(original.safetyClass());
        Optional<SafetyClass> is = SafetyClass.read(candidate.safetyClass());
        if (was.isEmpty() || is.isEmpty()) {
            return say(
                    Judgement.CAN_NOT_SAY,
                    "the class of the " + (is.isEmpty() ? "one at hand" : "one that was in")
                            + " is not said: what is not printed is not known");
        }
        return say(is.get().standsInFor(was.get()), "class " + is.get() + " for " + was.get());
    }

    private Judgement farads(Capacitor candidate) {
        return say(
                LimitGauge.judge(candidate.microfarads(), farads, 0, "µF", new ArrayList<>()),
                LimitGauge.number(candidate.microfarads()) + " µF for " + LimitGauge.number(original.microfarads())
                        + " µF");
    }

    /** Whoever printed a tolerance meant it: a timing, a filter. */
    private Judgement tolerance(Capacitor candidate) {
        if (original.tolerancePercent().isEmpty() || original.kind() == CapacitorKind.ELECTROLYTIC) {
            return Judgement.GOOD;
        }
        if (candidate.tolerancePercent().isEmpty()) {
            return say(Judgement.CAN_NOT_SAY, "its tolerance is not said");
        }
        boolean asNarrow = candidate.tolerancePercent().get()
                <= original.tolerancePercent().get();
        return say(
                asNarrow ? Judgement.GOOD : Judgement.CAN_NOT_SAY,
                "±" + LimitGauge.number(candidate.tolerancePercent().get()) + " % for ±"
                        + LimitGauge.number(original.tolerancePercent().get()) + " %");
    }

    /** A rating for a.c. is of its effective value and bears as many volts d.c.; one for d.c. says nothing of a.c. */
    private Judgement volts(Capacitor candidate) {
        String words =
                volts(candidate.volts(), candidate.ratedFor()) + " for " + volts(original.volts(), original.ratedFor());
        if (candidate.volts() < original.volts()) {
            return say(false, words);
        }
        if (original.ratedFor().isEmpty() || candidate.ratedFor().isEmpty()) {
            return say(Judgement.CAN_NOT_SAY, words + ": say of each whether they are a.c. or d.c.");
        }
        boolean less =
                original.ratedFor().get() == RatedFor.AC && candidate.ratedFor().get() == RatedFor.DC;
        return less
                ? say(Judgement.CAN_NOT_SAY, words + ": what it bears of a.c. is less, its data sheet says")
                : say(true, words);
    }

    private static String volts(double volts, Optional<RatedFor> ratedFor) {
        return LimitGauge.number(volts) + " V"
                + ratedFor.map(of -> " " + of.words()).orElse("");
    }

    private Judgement celsius(Capacitor candidate) {
        if (original.celsius().isEmpty()) {
            unchecked.add("temperature");
            return Judgement.GOOD;
        }
        return bound(original.celsius(), candidate.celsius(), true, "°C");
    }

    /** In a switched supply they decide as much as value and voltage (common practice). */
    private Judgement ripple(Capacitor candidate) {
        if (original.kind() != CapacitorKind.ELECTROLYTIC) {
            return Judgement.GOOD;
        }
        Judgement esr = bound(original.esrOhm(), candidate.esrOhm(), false, "Ω of series resistance");
        Judgement amps = bound(original.rippleAmps(), candidate.rippleAmps(), true, "A of ripple");
        boolean known = original.esrOhm().isPresent() && original.rippleAmps().isPresent();
        Judgement said = Judgement.worst(List.of(esr, amps));
        if (known || said != Judgement.GOOD) {
            return said;
        }
        if (asked.switched().isEmpty()) {
            unchecked.add("ripple current and series resistance: they decide if it sits in a switched supply");
            return Judgement.GOOD;
        }
        if (!asked.switched().get()) {
            return Judgement.GOOD;
        }
        boolean low = asked.series().filter(CapacitorSeries.LOW_ESR::equals).isPresent();
        return low
                ? say(true, "a series of low series resistance, for a switched supply")
                : say(
                        Judgement.CAN_NOT_SAY,
                        "it fits if ripple current and series resistance suit: "
                                + asked.series()
                                        .map(series -> "a general purpose series in a switched supply")
                                        .orElse("not said"));
    }

    /** What the original is known to have, the other must be known to have: as much at least, or at most. */
    private Judgement bound(Optional<Double> was, Optional<Double> is, boolean atLeast, String unit) {
        if (was.isEmpty()) {
            return Judgement.GOOD;
        }
        if (is.isEmpty()) {
            return say(Judgement.CAN_NOT_SAY, "how many " + unit + " it has is not said");
        }
        return say(
                atLeast ? is.get() >= was.get() : is.get() <= was.get(),
                LimitGauge.number(is.get()) + " " + unit + " for " + LimitGauge.number(was.get()));
    }

    private Judgement size(String how, Optional<Double> was, Optional<Double> is) {
        if (was.isEmpty() || is.isEmpty()) {
            unchecked.add("how " + how + " it is");
            return Judgement.GOOD;
        }
        if (is.get() <= was.get() + BODY_MM) {
            return Judgement.GOOD;
        }
        return say(
                Judgement.CAN_NOT_SAY,
                "it is " + LimitGauge.number(is.get() - was.get()) + " mm more " + how + ": look for the room");
    }

    private Judgement leads(Capacitor candidate) {
        if (original.leadMm().isEmpty() || candidate.leadMm().isEmpty()) {
            unchecked.add("how far apart its leads are");
            return Judgement.GOOD;
        }
        double was = original.leadMm().get();
        double is = candidate.leadMm().get();
        if (Math.abs(was - is) <= LEAD_MM) {
            return Judgement.GOOD;
        }
        return say(
                Judgement.CAN_NOT_SAY,
                "its leads are " + LimitGauge.number(is) + " mm apart, not " + LimitGauge.number(was)
                        + " mm: they must be bent");
    }
}
