package wrenchnotes.core.gauge;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import wrenchnotes.core.gauge.LimitGauge.Limits;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Spoken;

/**
 * The rails of a linear supply as a tree. A secondary and whatever is not regulated follow the mains in proportion, and read above
 * nominal when lightly loaded; the peak of a rectified secondary is about 1.414·V − 1.4 V for a bridge (physics; two diodes of 0.7 V).
 * Regulated rails ±5 %, a negative 12 V ±10 % (published: ATX12V Power Supply Design Guide; from memory). A regulator of the 78xx
 * kind needs about 2 V above its output. When several rails are wrong, the one nearest the source that is wrong explains the rest (common
 * practice).
 */
public final class RailsGauge {

    private static final int MOST = 40;
    private static final double REGULATED_PERCENT = 5;
    private static final double NEGATIVE_TWELVE_PERCENT = 10;
    /** Lightly loaded, an unregulated rail reads up to this much above nominal; loaded it sags. Common practice, no source. */
    private static final double LIGHT_LOAD_PERCENT = 25;

    private static final double SAG_PERCENT = 12;
    private static final double DROPOUT_VOLTS = 2;
    private static final double BRIDGE_DROP = 1.4;

    public enum RailKind implements Spoken {
        SECONDARY_AC,
        UNREGULATED,
        REGULATED
    }

    public record Mains(double nominal, double measured) {
        public Mains {
            Checked.within("mains.nominal", nominal, 50, 500);
            Checked.within("mains.measured", measured, 0, 600);
        }
    }

    /**
     * @param from name of the rail it is made from; empty for the mains
     * @param nominal volts, below 0 for a negative rail; alternating ones as effective value
     * @param tolerancePercent of its own; by its kind if left out
     * @param measured volts; empty if it was not
     */
    public record Rail(
            String name,
            Optional<String> from,
            RailKind kind,
            double nominal,
            Optional<Double> tolerancePercent,
            Optional<Double> measured) {
        public Rail {
            name = Checked.text("rails.name", name, 40);
            Checked.present("rails.kind", kind);
            Checked.within("rails.nominal", Math.abs(nominal), 0.1, 5000);
            tolerancePercent.ifPresent(value -> Checked.within("rails.tolerancePercent", value, 0.1, 100.0));
            measured.ifPresent(value -> Checked.within("rails.measured", value, -10_000, 10_000));
        }
    }

    /** @param uncertaintyPercent of the meter, of what it reads; none if left out. Verdicts then use a guard band. */
    public record RailsAsked(Mains mains, List<Rail> rails, Optional<Double> uncertaintyPercent) {
        public RailsAsked {
            Checked.present("mains", mains);
            Checked.present("rails", rails);
            Checked.within("rails", rails.size(), 1, MOST);
            rails = List.copyOf(rails);
            uncertaintyPercent.ifPresent(value -> Checked.within("uncertaintyPercent", value, 0.0, 50.0));
        }

        double uncertaintyOf(double volts) {
            return Math.abs(volts) * uncertaintyPercent.orElse(0.0) / 100;
        }
    }

    public record RailRead(String name, double minVolts, double maxVolts, Judgement verdict, List<String> reasons) {}

    /** @param culprit the earliest bad rail that explains the rest; empty if none is bad */
    public record RailsFound(List<RailRead> rails, Optional<String> culprit, List<String> reasons) {}

    private final RailsAsked asked;
    private final Map<String, Rail> byName = new HashMap<>();

    private RailsGauge(RailsAsked asked) {
        this.asked = asked;
        for (int at = 0; at < asked.rails().size(); at++) {
            Rail rail = asked.rails().get(at);
            if (byName.put(rail.name(), rail) != null) {
                throw new Invalid("rails[" + at + "].name", "Two rails are called " + rail.name());
            }
        }
        for (int at = 0; at < asked.rails().size(); at++) {
            refuseCircles(at, asked.rails().get(at));
        }
    }

    /** @throws Invalid if two rails have one name, if one comes from a rail that is not there, or from itself by a detour */
    public static RailsFound of(RailsAsked asked) {
        return new RailsGauge(asked).found();
    }

    private void refuseCircles(int at, Rail rail) {
        Set<String> met = new HashSet<>(Set.of(rail.name()));
        Optional<String> from = rail.from();
        while (from.isPresent()) {
            Rail source = byName.get(from.get());
            if (source == null) {
                throw new Invalid(
                        "rails[" + at + "].from",
                        rail.name() + " comes from " + from.get() + ", which is not in the list");
            }
            if (!met.add(source.name())) {
                throw new Invalid(
                        "rails[" + at + "].from", rail.name() + " comes from itself: " + String.join(", ", met));
            }
            from = source.from();
        }
    }

    private RailsFound found() {
        Map<String, RailRead> reads = new HashMap<>();
        List<RailRead> all = new ArrayList<>();
        for (Rail rail : asked.rails()) {
            RailRead read = read(rail);
            reads.put(rail.name(), read);
            all.add(read);
        }
        List<Rail> bad = asked.rails().stream()
                .filter(rail -> reads.get(rail.name()).verdict() == Judgement.BAD)
                .toList();
        // Of those with nothing bad before them, the one that most of the others hang on.
        Optional<Rail> culprit = bad.stream()
                .filter(rail -> ancestors(rail).stream().noneMatch(bad::contains))
                .max(Comparator.comparingLong((Rail rail) -> bad.stream()
                                .filter(other -> ancestors(other).contains(rail))
                                .count())
                        .thenComparing(rail -> -ancestors(rail).size()));
        List<String> reasons = new ArrayList<>();
        if (mainsOff()) {
            reasons.add("The mains reads " + LimitGauge.number(asked.mains().measured())
                    + " V: what is not regulated is expected in proportion.");
        }
        culprit.ifPresent(rail -> {
            long explained = bad.stream()
                    .filter(other -> ancestors(other).contains(rail))
                    .count();
            long others = bad.size() - 1 - explained;
            reasons.add(rail.name() + " is the first that is wrong"
                    + (explained > 0 ? ", and explains " + explained + " behind it" : "")
                    + (others > 0 ? "; " + others + " more are wrong on a branch of their own" : "") + ".");
        });
        return new RailsFound(List.copyOf(all), culprit.map(Rail::name), List.copyOf(reasons));
    }

    private boolean mainsOff() {
        return Math.abs(asked.mains().measured() / asked.mains().nominal() - 1) > 0.01;
    }

    private List<Rail> ancestors(Rail rail) {
        List<Rail> before = new ArrayList<>();
        Optional<String> from = rail.from();
        while (from.isPresent()) {
            Rail source = byName.get(from.get());
            before.add(source);
            from = source.from();
        }
        return before;
    }

    private RailRead read(Rail rail) {
        List<String> reasons = new ArrayList<>();
        Limits limits = expected(rail, reasons);
        double min = limits.min().orElseThrow();
        double max = limits.max().orElseThrow();
        if (rail.measured().isEmpty()) {
            reasons.add("Not measured");
            return new RailRead(rail.name(), min, max, Judgement.CAN_NOT_SAY, reasons);
        }
        Judgement verdict = LimitGauge.judge(
                rail.measured().get(),
                limits,
                asked.uncertaintyOf(rail.measured().get()),
                "V",
                reasons);
        if (verdict == Judgement.BAD) {
            dropout(rail, reasons);
        }
        return new RailRead(rail.name(), min, max, verdict, List.copyOf(reasons));
    }

    private Limits expected(Rail rail, List<String> reasons) {
        double scale = asked.mains().measured() / asked.mains().nominal();
        double middle = rail.nominal();
        double down;
        double up;
        switch (rail.kind()) {
            case REGULATED -> {
                down = rail.tolerancePercent()
                        .orElse(rail.nominal() == -12 ? NEGATIVE_TWELVE_PERCENT : REGULATED_PERCENT);
                up = down;
            }
            case SECONDARY_AC -> {
                middle *= scale;
                down = rail.tolerancePercent().orElse(SAG_PERCENT);
                up = rail.tolerancePercent().orElse(LIGHT_LOAD_PERCENT);
            }
            default -> {
                Optional<Double> peak = peakOfSecondary(rail);
                middle = peak.map(volts -> Math.copySign(volts, rail.nominal())).orElse(rail.nominal() * scale);
                peak.ifPresent(volts -> reasons.add(
                        "The peak of its secondary, two diodes off, is " + LimitGauge.number(volts) + " V"));
                down = rail.tolerancePercent().orElse(peak.isPresent() ? LIGHT_LOAD_PERCENT : SAG_PERCENT);
                up = rail.tolerancePercent().orElse(peak.isPresent() ? REGULATED_PERCENT : LIGHT_LOAD_PERCENT);
            }
        }
        double far = middle * (1 + up / 100);
        double near = middle * (1 - down / 100);
        return new Limits(Optional.of(Math.min(near, far)), Optional.of(Math.max(near, far)));
    }

    private Optional<Double> peakOfSecondary(Rail rail) {
        return rail.from()
                .map(byName::get)
                .filter(source -> source.kind() == RailKind.SECONDARY_AC)
                .flatMap(Rail::measured)
                .map(volts -> Math.max(0, Math.sqrt(2) * Math.abs(volts) - BRIDGE_DROP));
    }

    private void dropout(Rail rail, List<String> reasons) {
        if (rail.kind() != RailKind.REGULATED) {
            return;
        }
        rail.from().map(byName::get).flatMap(Rail::measured).ifPresent(input -> {
            if (Math.abs(input) < Math.abs(rail.nominal()) + DROPOUT_VOLTS) {
                reasons.add("Its input has " + LimitGauge.number(input)
                        + " V: a regulator needs about 2 V above its output, so look there first");
            }
        });
    }
}
