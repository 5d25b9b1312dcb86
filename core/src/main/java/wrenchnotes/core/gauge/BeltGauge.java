package wrenchnotes.core.gauge;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Spoken;

/**
 * Which belt fits. Path round two pulleys, open: L = √(4C² − (D−d)²) + ½(D·θD + d·θd), θd = π − 2 asin((D−d)/2C), θD = π + 2
 * asin((D−d)/2C); crossed: L = √(4C² − (D+d)²) + ½(D+d)·θ, θ = π + 2 asin((D+d)/2C) (published: Shigley's Mechanical Engineering
 * Design, flexible elements; from memory). A new belt is shorter than its path by 5 to 15 % stretch, best near 9 %; without pulleys to
 * measure it is 0.80 to 0.90 of the worn one, best near 0.87 (common practice). The path beats the worn belt.
 */
public final class BeltGauge {

    private static final double LEAST_STRETCH = 0.05;
    private static final double BEST_STRETCH = 0.09;
    private static final double MOST_STRETCH = 0.15;
    private static final double SHORTEST_OF_WORN = 0.80;
    private static final double BEST_OF_WORN = 0.87;
    private static final double LONGEST_OF_WORN = 0.90;
    /** A section that differs by less is the same. */
    private static final double SAME_SECTION = 0.11;
    /** Thinner by up to this goes if the belt is also a little shorter (common practice). */
    private static final double THINNER = 0.35;

    public enum WornMethod implements Spoken {
        /** Folded flat and pulled just straight, end to end: doubled it is the inner circumference. */
        FLAT,
        /** Inner diameter of the ring lying loose. */
        RING,
        CIRCUMFERENCE
    }

    public enum BeltShape implements Spoken {
        SQUARE,
        FLAT,
        ROUND
    }

    public record WornBelt(WornMethod method, double valueMm) {
        public WornBelt {
            Checked.present("worn.method", method);
            Checked.within("worn.valueMm", valueMm, 1, 5000);
        }

        /** The worn belt that a new one of some circumference, in mm, would replace best. */
        public static WornBelt replacedBest(double circumferenceMm) {
            return new WornBelt(WornMethod.CIRCUMFERENCE, circumferenceMm / BEST_OF_WORN);
        }

        double circumference() {
            return switch (method) {
                case FLAT -> 2 * valueMm;
                case RING -> Math.PI * valueMm;
                case CIRCUMFERENCE -> valueMm;
            };
        }
    }

    /** Diameters that the belt rides on. */
    public record BeltPath(double driverMm, double drivenMm, double centresMm, boolean crossed) {
        public BeltPath {
            Checked.within("path.driverMm", driverMm, 0.5, 2000);
            Checked.within("path.drivenMm", drivenMm, 0.5, 2000);
            Checked.within("path.centresMm", centresMm, 0.5, 5000);
            // Two pulleys beside one another: nearer than this they would be in one another.
            double least = (driverMm + drivenMm) / 2;
            if (centresMm <= least) {
                throw new Invalid(
                        "path.centresMm",
                        "path.centresMm is " + centresMm + "; with these pulleys it must be above " + least);
            }
        }

        double length() {
            double large = Math.max(driverMm, drivenMm);
            double small = Math.min(driverMm, drivenMm);
            double offset = crossed ? large + small : large - small;
            double angle = 2 * Math.asin(offset / (2 * centresMm));
            double straight = Math.sqrt(4 * centresMm * centresMm - offset * offset);
            return crossed
                    ? straight + (large + small) * (Math.PI + angle) / 2
                    : straight + (large * (Math.PI + angle) + small * (Math.PI - angle)) / 2;
        }
    }

    public record BeltSection(BeltShape shape, double widthMm, double thicknessMm) {
        public BeltSection {
            Checked.present("section.shape", shape);
            Checked.within("section.widthMm", widthMm, 0.1, 100);
            Checked.within("section.thicknessMm", thicknessMm, 0.1, 50);
        }
    }

    /** At least one of worn and path. */
    public record BeltAsked(Optional<WornBelt> worn, Optional<BeltPath> path, Optional<BeltSection> section) {
        public BeltAsked {
            if (worn.isEmpty() && path.isEmpty()) {
                throw new Invalid("worn", "Measure the worn belt or the pulleys: one of the two");
            }
        }
    }

    /** A belt in a drawer. @param part its name */
    public record BeltInDrawer(
            long partId,
            String part,
            String drawer,
            int count,
            double circumferenceMm,
            Optional<BeltSection> section) {}

    public record BeltTarget(double minMm, double bestMm, double maxMm) {}

    public enum BeltBasis implements Spoken {
        PATH,
        WORN
    }

    /** @param stretchPercent on the path; empty without one */
    public record BeltCandidate(
            BeltInDrawer belt,
            String part,
            double circumferenceMm,
            Optional<Double> stretchPercent,
            Judgement verdict,
            List<String> reasons) {}

    /** @param candidates the best first */
    public record BeltFound(
            Optional<Double> wornCircumferenceMm,
            Optional<Double> pathMm,
            BeltTarget target,
            BeltBasis basis,
            List<BeltCandidate> candidates) {}

    private BeltGauge() {}

    public static BeltFound of(BeltAsked asked, List<BeltInDrawer> drawer) {
        Optional<Double> worn = asked.worn().map(WornBelt::circumference);
        Optional<Double> path = asked.path().map(BeltPath::length);
        BeltTarget target = path.map(length -> new BeltTarget(
                        length / (1 + MOST_STRETCH), length / (1 + BEST_STRETCH), length / (1 + LEAST_STRETCH)))
                .orElseGet(() -> new BeltTarget(
                        worn.orElseThrow() * SHORTEST_OF_WORN,
                        worn.orElseThrow() * BEST_OF_WORN,
                        worn.orElseThrow() * LONGEST_OF_WORN));
        List<BeltCandidate> candidates = drawer.stream()
                .map(belt -> judged(belt, asked.section(), target, path))
                .sorted(Comparator.comparing(BeltCandidate::verdict, Comparator.comparingInt(BeltGauge::rank))
                        .thenComparingDouble(one -> Math.abs(one.circumferenceMm() - target.bestMm())))
                .toList();
        return new BeltFound(worn, path, target, path.isPresent() ? BeltBasis.PATH : BeltBasis.WORN, candidates);
    }

    private static int rank(Judgement verdict) {
        return switch (verdict) {
            case GOOD -> 0;
            case CAN_NOT_SAY -> 1;
            case BAD -> 2;
        };
    }

    private static BeltCandidate judged(
            BeltInDrawer belt, Optional<BeltSection> wanted, BeltTarget target, Optional<Double> path) {
        double length = belt.circumferenceMm();
        List<String> reasons = new ArrayList<>();
        Judgement verdict = Judgement.GOOD;
        if (length < target.minMm()) {
            verdict = Judgement.BAD;
            reasons.add("Too short by " + LimitGauge.number(target.minMm() - length)
                    + " mm: it would load bearings and a small motor");
        } else if (length > target.maxMm()) {
            verdict = Judgement.BAD;
            reasons.add("Too long by " + LimitGauge.number(length - target.maxMm()) + " mm: it would slip");
        } else {
            reasons.add(LimitGauge.number(Math.abs(length - target.bestMm())) + " mm from the best length");
        }
        if (wanted.isPresent() && verdict != Judgement.BAD) {
            Judgement section = section(belt, wanted.get(), target, reasons);
            verdict = rank(section) > rank(verdict) ? section : verdict;
        }
        return new BeltCandidate(
                belt,
                belt.part(),
                length,
                path.map(along -> 100 * (along / length - 1)),
                verdict,
                List.copyOf(reasons));
    }

    private static Judgement section(BeltInDrawer belt, BeltSection wanted, BeltTarget target, List<String> reasons) {
        if (belt.section().isEmpty()) {
            reasons.add("Its section is not written down: hold it beside the old one");
            return Judgement.CAN_NOT_SAY;
        }
        BeltSection has = belt.section().get();
        if (has.shape() != wanted.shape()) {
            reasons.add("Its section is " + words(has.shape()) + ", not " + words(wanted.shape()));
            return Judgement.BAD;
        }
        double wider = has.widthMm() / wanted.widthMm() - 1;
        double thicker = has.thicknessMm() / wanted.thicknessMm() - 1;
        if (Math.abs(wider) <= SAME_SECTION && Math.abs(thicker) <= SAME_SECTION) {
            return Judgement.GOOD;
        }
        if (wider > SAME_SECTION || thicker > SAME_SECTION) {
            reasons.add("Its section is larger: it may climb out of the groove");
            return Judgement.BAD;
        }
        if (Math.min(wider, thicker) >= -THINNER) {
            boolean shorter = belt.circumferenceMm() <= target.bestMm();
            reasons.add(
                    shorter
                            ? "A little thinner, and a little shorter: that goes"
                            : "A little thinner: then it should also be shorter than the best length");
            return shorter ? Judgement.GOOD : Judgement.CAN_NOT_SAY;
        }
        reasons.add("Its section is much smaller: it would slip");
        return Judgement.BAD;
    }

    private static String words(BeltShape shape) {
        return shape.words();
    }
}
