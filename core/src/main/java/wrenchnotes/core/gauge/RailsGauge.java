package wrenchnotes.core.gauge;

import static wrenchnotes.core.gauge.LimitGauge.number;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Spoken;

/**
 * The rails of a linear supply as a tree, each within what is expected of it ({@link RailWindow}). When several rails are wrong, the one
 * nearest the source that is wrong explains the rest, and before all of them stands the mains (common practice). Mains within ±10 % of
 * what is marked is in order (published: EN 50160; from memory).
 *
 * <p>A rail is good only if what it is made from was measured too, and has enough for it; a raw rail that is low is unloaded and read again
 * before anything is condemned (common practice).
 */
public final class RailsGauge {

    private static final int MOST = 40;
    private static final double MAINS_PERCENT = 10;
    /** Below this share of what is marked there is no mains: what a lead picks up. Ours, no source. */
    private static final double NO_MAINS = 0.1;

    private static final String MAINS = "mains";

    public enum RailKind implements Spoken {
        SECONDARY_AC,
        UNREGULATED,
        REGULATED
    }

    /** @param nominal as marked, volts, 50 to 500 @param measured volts, 0 to 600; empty if it was not: then what follows it cannot be told */
    public record Mains(double nominal, Optional<Double> measured) {
        public Mains {
            Checked.within("mains.nominal", nominal, 50, 500);
            measured.ifPresent(value -> Checked.within("mains.measured", value, 0.0, 600.0));
        }

        public static Mains of(double nominal, double measured) {
            return new Mains(nominal, Optional.of(measured));
        }

        boolean none() {
            return measured.isPresent() && measured.get() < nominal * NO_MAINS;
        }

        boolean wrong() {
            return measured.isPresent() && Math.abs(measured.get() / nominal - 1) > MAINS_PERCENT / 100 + 1e-9;
        }
    }

    /**
     * @param from name of the rail it is made from; empty for the mains
     * @param nominal volts, below 0 for a negative rail; alternating ones as effective value; empty if nobody knows it
     * @param tolerancePercent of its nominal; by its kind if left out
     * @param measured volts; empty if it was not
     * @param rectifier of a raw rail behind a winding; taken to be a bridge if left out, unless nothing else is known of it
     * @param dropoutVolts what its regulator needs above its output, 0 to 10; 2 if left out, as a 78xx
     * @param unloaded whether it was read with its load disconnected
     */
    public record Rail(
            String name,
            Optional<String> from,
            RailKind kind,
            Optional<Double> nominal,
            Optional<Double> tolerancePercent,
            Optional<Double> measured,
            Optional<Rectifier> rectifier,
            Optional<Double> dropoutVolts,
            Optional<Boolean> unloaded) {
        public Rail {
            name = Checked.text("rails.name", name, 40);
            Checked.present("rails.kind", kind);
            nominal.ifPresent(value -> Checked.within("rails.nominal", Math.abs(value), 0.1, 5000.0));
            tolerancePercent.ifPresent(value -> Checked.within("rails.tolerancePercent", value, 0.1, 100.0));
            measured.ifPresent(value -> Checked.within("rails.measured", value, -10_000.0, 10_000.0));
            dropoutVolts.ifPresent(value -> Checked.within("rails.dropoutVolts", value, 0.0, 10.0));
        }

        /** Of a kind, with nothing special said of it. */
        public static Rail of(
                String name, Optional<String> from, RailKind kind, double nominal, Optional<Double> measured) {
            return new Rail(
                    name,
                    from,
                    kind,
                    Optional.of(nominal),
                    Optional.empty(),
                    measured,
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty());
        }

        /** What a regulator of the 78xx kind needs above its output (common practice). */
        private static final double DROPOUT_VOLTS = 2;

        double needsAbove() {
            return dropoutVolts.orElse(DROPOUT_VOLTS);
        }

        boolean withoutLoad() {
            return unloaded.orElse(false);
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

    /**
     * @param minVolts empty, as the other, if nothing says what it should be
     * @param caution for whoever holds the probe, where it can hurt; empty where it cannot
     */
    public record RailRead(
            String name,
            Optional<Double> minVolts,
            Optional<Double> maxVolts,
            Optional<String> caution,
            Judgement verdict,
            List<String> reasons) {}

    /**
     * @param mains BAD if it is not within 10 % of what is marked; cannot say if it was not measured
     * @param culprit the earliest bad rail that explains the rest, or "mains"; empty if nothing is bad
     * @param reasons the culprit's first
     */
    public record RailsFound(Judgement mains, List<RailRead> rails, Optional<String> culprit, List<String> reasons) {}

    private final RailsAsked asked;
    private final Map<String, Rail> byName = new HashMap<>();

    private RailsGauge(RailsAsked asked) {
        this.asked = asked;
        for (int at = 0; at < asked.rails().size(); at++) {
            Rail rail = asked.rails().get(at);
            if (rail.name().equalsIgnoreCase(MAINS)) {
                throw new Invalid("rails[" + at + "].name", "The mains is asked above: call this rail by another name");
            }
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
        Set<String> met = new LinkedHashSet<>(Set.of(rail.name()));
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
        List<RailRead> reads =
                asked.rails().stream().map(rail -> one(rail).read()).toList();
        Set<String> bad = reads.stream()
                .filter(read -> read.verdict() == Judgement.BAD)
                .map(RailRead::name)
                .collect(Collectors.toCollection(LinkedHashSet::new));
        Mains mains = asked.mains();
        List<String> reasons = new ArrayList<>();
        Optional<String> culprit = mains.wrong() ? Optional.of(MAINS) : first(bad);
        if (mains.wrong()) {
            reasons.add(ofMains(bad.size()));
        } else {
            culprit.ifPresent(name -> ofRail(byName.get(name), bad, reasons));
            mains.measured()
                    .filter(volts -> Math.abs(volts / mains.nominal() - 1) > 0.01)
                    .ifPresent(volts -> reasons.add("The mains reads " + number(volts)
                            + " V: what is not regulated is expected in proportion."));
        }
        if (mains.measured().isEmpty()) {
            reasons.add("The mains was not measured: what follows it cannot be told.");
        }
        Judgement ofMains =
                mains.measured().isEmpty() ? Judgement.CAN_NOT_SAY : mains.wrong() ? Judgement.BAD : Judgement.GOOD;
        return new RailsFound(ofMains, reads, culprit, List.copyOf(reasons));
    }

    /** Of those with nothing bad before them, the one that most of the others hang on. */
    private Optional<String> first(Set<String> bad) {
        return bad.stream()
                .filter(name -> before(name).noneMatch(bad::contains))
                .max(Comparator.comparingLong((String name) -> behind(name, bad))
                        .thenComparing(name -> -before(name).count()));
    }

    private Stream<String> before(String name) {
        return Stream.iterate(byName.get(name).from(), Optional::isPresent, from -> byName.get(from.get())
                        .from())
                .map(Optional::get);
    }

    private long behind(String name, Set<String> bad) {
        return bad.stream()
                .filter(other -> before(other).anyMatch(name::equals))
                .count();
    }

    private String ofMains(int bad) {
        Mains mains = asked.mains();
        String volts = number(mains.measured().orElseThrow()) + " V where " + number(mains.nominal()) + " V is marked";
        return mains.none()
                ? "The mains is the first that is wrong: " + volts
                        + ". Plug, fuse, switch and lead come before the rails."
                : "The mains is the first that is wrong: " + volts + ", more than 10 % off"
                        + (bad > 0 ? "; see to it before the " + bad + " behind it" : "") + ".";
    }

    private void ofRail(Rail rail, Set<String> bad, List<String> reasons) {
        long explained = behind(rail.name(), bad);
        long others = bad.size() - 1 - explained;
        reasons.add(rail.name() + " is the first that is wrong"
                + (explained > 0 ? ", and explains " + explained + " behind it" : "")
                + (others > 0 ? "; " + others + " more are wrong on a branch of their own" : "") + ".");
        if (one(rail).sagging()) {
            reasons.add(OneRail.UNLOAD + ".");
        }
    }

    private OneRail one(Rail rail) {
        return new OneRail(asked, rail, rail.from().map(byName::get));
    }
}
