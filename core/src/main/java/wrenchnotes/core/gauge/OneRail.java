package wrenchnotes.core.gauge;

import static wrenchnotes.core.gauge.LimitGauge.number;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wrenchnotes.core.gauge.RailsGauge.Rail;
import wrenchnotes.core.gauge.RailsGauge.RailKind;
import wrenchnotes.core.gauge.RailsGauge.RailRead;
import wrenchnotes.core.gauge.RailsGauge.RailsAsked;

/** One rail of a supply, judged by what it reads, what it is made from, and what it should be. */
record OneRail(RailsAsked asked, Rail rail, Optional<Rail> source, RailWindow window) {

    static final String UNLOAD =
            "Disconnect its load and measure again before its rectifier, capacitor or winding is condemned";

    OneRail(RailsAsked asked, Rail rail, Optional<Rail> source) {
        this(asked, rail, source, RailWindow.of(rail, source, asked.mains()));
    }

    RailRead read() {
        List<String> reasons = new ArrayList<>(window.reasons());
        Judgement verdict = missing()
                .map(what -> {
                    reasons.add(what);
                    return Judgement.CAN_NOT_SAY;
                })
                .orElseGet(() -> judged(reasons));
        return new RailRead(rail.name(), window.min(), window.max(), caution(), verdict, List.copyOf(reasons));
    }

    /** Usual touch limits: 60 V d.c., 30 V a.c. (published: IEC 62368-1, ES1; from memory). */
    private Optional<String> caution() {
        boolean winding = rail.kind() == RailKind.SECONDARY_AC;
        double most = Math.max(
                Math.abs(rail.nominal().orElse(0.0)), Math.abs(rail.measured().orElse(0.0)));
        return most > (winding ? 30 : 60)
                ? Optional.of("More than may be touched: clip on with it unplugged, then power; one hand free of it")
                : Optional.empty();
    }

    /** What would have to be said or measured before it can be judged. */
    private Optional<String> missing() {
        if (asked.mains().none()) {
            return Optional.of("There is no mains, so nothing can be told of it");
        }
        if (rail.measured().isEmpty()) {
            return Optional.of("Not measured");
        }
        if (source.map(Rail::measured).orElse(asked.mains().measured()).isEmpty()) {
            return Optional.of("Measure " + rail.from().orElse("the mains") + " first: it is made from that");
        }
        return window.limits().isEmpty() ? Optional.of("Nobody said what it should be") : Optional.empty();
    }

    private Judgement judged(List<String> reasons) {
        double volts = rail.measured().orElseThrow();
        Judgement verdict = Judgement.worst(window.limits().stream()
                .map(limits -> LimitGauge.judge(volts, limits, asked.uncertaintyOf(volts), "V", reasons))
                .toList());
        if (verdict == Judgement.BAD) {
            whatToDo().ifPresent(reasons::add);
            return verdict;
        }
        Optional<String> but = verdict == Judgement.GOOD ? notTheLastWord() : Optional.empty();
        but.ifPresent(reasons::add);
        return but.isPresent() ? Judgement.CAN_NOT_SAY : verdict;
    }

    /** A raw rail that reads low may only have too much hanging on it. */
    boolean sagging() {
        return rail.kind() == RailKind.UNREGULATED
                && !rail.withoutLoad()
                && window.limits().size() == 1
                && rail.measured()
                        .map(volts -> Math.abs(volts) < window.least())
                        .orElse(false);
    }

    private Optional<String> whatToDo() {
        if (window.limits().size() > 1) {
            return Optional.of(
                    "What its winding gives and what it should be do not go together: look at the winding first");
        }
        if (sagging()) {
            return Optional.of(UNLOAD);
        }
        return starved() ? Optional.of(input() + ", so look there first") : Optional.empty();
    }

    /** Why a reading that is right does not make the rail good. */
    private Optional<String> notTheLastWord() {
        if (rail.withoutLoad()) {
            return Optional.of("Right without its load; with it nobody has read it: what hangs on it may pull it down");
        }
        return starved()
                ? Optional.of(input() + ": say what it needs, or see why its input is so low")
                : Optional.empty();
    }

    private String input() {
        return "Its input has " + number(source.flatMap(Rail::measured).orElseThrow())
                + " V, and a regulator needs about " + number(rail.needsAbove()) + " V above its output";
    }

    /** Whether its regulator's input may have too little for it, the meter's uncertainty included. */
    private boolean starved() {
        if (rail.kind() != RailKind.REGULATED
                || rail.nominal().isEmpty()
                || source.flatMap(Rail::measured).isEmpty()) {
            return false;
        }
        double read = source.flatMap(Rail::measured).orElseThrow();
        double input = source.map(Rail::kind).equals(Optional.of(RailKind.SECONDARY_AC))
                ? Rectifier.BRIDGE.peak(read)
                : read * Math.signum(rail.nominal().get());
        return input - asked.uncertaintyOf(read) < Math.abs(rail.nominal().get()) + rail.needsAbove() - 1e-9;
    }
}
