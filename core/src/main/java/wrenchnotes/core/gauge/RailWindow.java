package wrenchnotes.core.gauge;

import static wrenchnotes.core.gauge.LimitGauge.number;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wrenchnotes.core.gauge.LimitGauge.Limits;
import wrenchnotes.core.gauge.RailsGauge.Mains;
import wrenchnotes.core.gauge.RailsGauge.Rail;
import wrenchnotes.core.gauge.RailsGauge.RailKind;

/**
 * Between which volts a rail should be. Regulated ±5 %, a negative 12 V ±10 % (published: ATX12V Power Supply Design Guide; from memory); a
 * winding, and what is not regulated, in proportion to the mains: up to 25 % above nominal when lightly loaded, 12 % below when loaded (common
 * practice, our figures). A raw rail behind a measured winding must also suit its rectified peak ({@link Rectifier}): both count.
 *
 * @param limits what it must be within, all of them; none if nothing says what it should be
 */
record RailWindow(List<Limits> limits, List<String> reasons) {

    private static final double REGULATED_PERCENT = 5;
    private static final double NEGATIVE_TWELVE_PERCENT = 10;
    private static final double LIGHT_LOAD_PERCENT = 25;
    private static final double SAG_PERCENT = 12;

    static RailWindow of(Rail rail, Optional<Rail> source, Mains mains) {
        List<Limits> limits = new ArrayList<>();
        List<String> reasons = new ArrayList<>();
        rail.nominal()
                .flatMap(nominal -> byNominal(rail, nominal, source, mains))
                .ifPresent(limits::add);
        if (rail.kind() == RailKind.UNREGULATED) {
            winding(source).ifPresent(volts -> byPeak(rail, volts, limits, reasons));
        }
        return new RailWindow(both(limits), reasons);
    }

    private static Optional<Limits> byNominal(Rail rail, double nominal, Optional<Rail> source, Mains mains) {
        if (rail.kind() == RailKind.REGULATED) {
            double percent =
                    rail.tolerancePercent().orElse(nominal == -12 ? NEGATIVE_TWELVE_PERCENT : REGULATED_PERCENT);
            return Optional.of(around(nominal, percent, percent));
        }
        boolean steady = source.map(one -> one.kind() == RailKind.REGULATED).orElse(false);
        return (steady ? Optional.of(1.0) : mains.measured().map(volts -> volts / mains.nominal()))
                .map(scale -> around(
                        nominal * scale,
                        rail.tolerancePercent().orElse(SAG_PERCENT),
                        rail.tolerancePercent().orElse(LIGHT_LOAD_PERCENT)));
    }

    private static Optional<Double> winding(Optional<Rail> source) {
        return source.filter(one -> one.kind() == RailKind.SECONDARY_AC).flatMap(Rail::measured);
    }

    private static void byPeak(Rail rail, double winding, List<Limits> limits, List<String> reasons) {
        if (rail.rectifier().isEmpty() && rail.nominal().isEmpty()) {
            reasons.add("Say how its winding is rectified");
            return;
        }
        Rectifier rectifier = rail.rectifier().orElse(Rectifier.BRIDGE);
        double peak = rectifier.peak(winding);
        reasons.add("The peak of its winding by a " + rectifier.words() + " is " + number(peak) + " V"
                + (rail.rectifier().isEmpty() ? " (how it is rectified is not said)" : ""));
        double sign = rail.nominal().or(rail::measured).map(Math::signum).orElse(1.0);
        limits.add(around(sign * peak, LIGHT_LOAD_PERCENT, REGULATED_PERCENT));
    }

    private static Limits around(double middle, double downPercent, double upPercent) {
        double far = middle * (1 + upPercent / 100);
        double near = middle * (1 - downPercent / 100);
        return new Limits(Optional.of(Math.min(near, far)), Optional.of(Math.max(near, far)));
    }

    /** What is within both, as one; two that exclude one another stay two, and nothing suits them. */
    private static List<Limits> both(List<Limits> limits) {
        if (limits.size() < 2) {
            return limits;
        }
        double min = Math.max(edge(limits.get(0).min()), edge(limits.get(1).min()));
        double max = Math.min(edge(limits.get(0).max()), edge(limits.get(1).max()));
        return min <= max ? List.of(new Limits(Optional.of(min), Optional.of(max))) : limits;
    }

    private static double edge(Optional<Double> bound) {
        return bound.orElseThrow();
    }

    Optional<Double> min() {
        return limits.stream().findFirst().flatMap(Limits::min);
    }

    Optional<Double> max() {
        return limits.stream().findFirst().flatMap(Limits::max);
    }

    /** The smallest magnitude it may have, of its one window. */
    double least() {
        return Math.min(
                Math.abs(edge(limits.get(0).min())), Math.abs(edge(limits.get(0).max())));
    }
}
