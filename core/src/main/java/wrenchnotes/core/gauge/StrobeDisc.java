package wrenchnotes.core.gauge;

import java.util.ArrayList;
import java.util.List;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * A stroboscopic disc to scale: one ring of bars for each speed and light, the first one outside. Bars N = 60·F / rpm, as {@link
 * SpindleGauge} has it; bars and gaps are of one width.
 */
public final class StrobeDisc {

    /** Narrower bars run together on paper. Ours, no source. */
    private static final double LEAST_BAR_MM = 0.35;

    private static final double RIM_MM = 2;
    private static final double BETWEEN_MM = 1;
    private static final double STEP_DEGREES = 3;
    private static final int MOST_RINGS = 4;

    private StrobeDisc() {}

    /** @param rpm 0.1 to 20,000 @param flashes a second, 0.1 to 100,000 */
    public record RingAsked(double rpm, double flashes) {
        public RingAsked {
            Checked.within("rpm", rpm, 0.1, 20_000);
            Checked.within("flashes", flashes, 0.1, 100_000);
        }
    }

    /**
     * @param bars that stand still @param standsAtRpm at this speed exactly
     * @param innerMm radius @param outerMm radius
     */
    public record StrobeRing(RingAsked asked, int bars, double standsAtRpm, double innerMm, double outerMm) {}

    /** Measured from the middle of the disc, to the right and up. */
    public record PointMm(double x, double y) {}

    /** @param diameterMm of the paper disc @param holeMm diameter of the hole for the spindle */
    public record DiscPlan(double diameterMm, double holeMm, List<StrobeRing> rings) {}

    /**
     * @param rings 1 to 4
     * @param diameterMm 20 to 280, so that it fits a sheet
     * @param holeMm 0 to half the diameter
     * @throws Invalid if a bar would be too narrow to print, with the diameter that is needed
     */
    public static DiscPlan of(List<RingAsked> rings, double diameterMm, double holeMm) {
        Checked.within("rings", rings.size(), 1, MOST_RINGS);
        Checked.within("diameterMm", diameterMm, 20, 280);
        Checked.within("holeMm", holeMm, 0, diameterMm / 2);
        double rim = diameterMm / 2 - RIM_MM;
        double room = (rim - Math.max(holeMm / 2 + RIM_MM, diameterMm / 6)) / rings.size();
        List<StrobeRing> drawn = new ArrayList<>();
        for (int at = 0; at < rings.size(); at++) {
            RingAsked asked = rings.get(at);
            double outer = rim - at * room;
            double inner = outer - room + BETWEEN_MM;
            int bars = Math.max(1, (int) Math.round(60 * asked.flashes() / asked.rpm()));
            double width = Math.PI * inner / bars;
            if (width < LEAST_BAR_MM) {
                throw new Invalid(
                        "diameterMm",
                        bars + " bars would be " + LimitGauge.number(width) + " mm wide: take a disc of at least "
                                + Math.round(Math.ceil(diameterMm * LEAST_BAR_MM / width)) + " mm");
            }
            drawn.add(new StrobeRing(asked, bars, 60 * asked.flashes() / bars, inner, outer));
        }
        return new DiscPlan(diameterMm, holeMm, List.copyOf(drawn));
    }

    /** @return the smallest disc on which as many bars can be printed, whole mm */
    public static double leastDiameterMm(int bars) {
        return Math.max(20, Math.ceil(6 * (LEAST_BAR_MM * bars / Math.PI - BETWEEN_MM)));
    }

    /** @return the corners of one bar, round it, its arcs in short straight pieces @param bar from 0 */
    public static List<PointMm> outline(StrobeRing ring, int bar) {
        double from = 360.0 * bar / ring.bars();
        double sweep = 180.0 / ring.bars();
        int pieces = Math.max(1, (int) Math.ceil(sweep / STEP_DEGREES));
        List<PointMm> points = new ArrayList<>();
        for (int at = 0; at <= pieces; at++) {
            points.add(at(ring.outerMm(), from + sweep * at / pieces));
        }
        for (int at = pieces; at >= 0; at--) {
            points.add(at(ring.innerMm(), from + sweep * at / pieces));
        }
        return points;
    }

    private static PointMm at(double radius, double degrees) {
        double angle = Math.toRadians(degrees);
        return new PointMm(radius * Math.cos(angle), radius * Math.sin(angle));
    }
}
