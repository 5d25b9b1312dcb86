package wrenchnotes.core.teardown;

import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.OptionalDouble;
import java.util.TreeMap;

/**
 * Pitches of the threads found in small devices.
 *
 * <p>Metric coarse pitches: ISO 261 (published). Tapping screws: ISO 1478 (published; these values from memory).
 */
public final class ThreadTable {

    private static final NavigableMap<Double, Double> MACHINE =
            new TreeMap<>(Map.of(1.4, 0.3, 1.6, 0.35, 2.0, 0.4, 2.5, 0.45, 3.0, 0.5, 3.5, 0.6, 4.0, 0.7));

    private static final NavigableMap<Double, Double> TAPPING = new TreeMap<>(
            Map.of(1.5, 0.5, 1.9, 0.6, 2.2, 0.8, 2.6, 0.9, 2.9, 1.1, 3.3, 1.3, 3.5, 1.3, 3.9, 1.3, 4.2, 1.4));

    private static final double ALIKE_MM = 0.051;

    private ThreadTable() {}

    /** Nominal diameters that the standard has, in mm, from the smallest. Not for NONE. */
    public static List<Double> diametersMm(ThreadForm form) {
        return List.copyOf((form == ThreadForm.MACHINE ? MACHINE : TAPPING).keySet());
    }

    /**
     * @param diameterMm nominal diameter
     * @return the pitch in mm that the standard gives this diameter; empty if the standard has no such thread
     */
    public static OptionalDouble pitchMm(ThreadForm form, double diameterMm) {
        if (form == ThreadForm.NONE) {
            return OptionalDouble.empty();
        }
        Map.Entry<Double, Double> near = nearest(form, diameterMm);
        return Math.abs(near.getKey() - diameterMm) <= ALIKE_MM
                ? OptionalDouble.of(near.getValue())
                : OptionalDouble.empty();
    }

    /** The pitch in mm of the nearest standard diameter: good enough to draw, or to know a screw by. Not for NONE. */
    public static double nearestPitchMm(ThreadForm form, double diameterMm) {
        return nearest(form, diameterMm).getValue();
    }

    static double nearestDiameterMm(ThreadForm form, double diameterMm) {
        return nearest(form, diameterMm).getKey();
    }

    private static Map.Entry<Double, Double> nearest(ThreadForm form, double diameterMm) {
        NavigableMap<Double, Double> table = form == ThreadForm.MACHINE ? MACHINE : TAPPING;
        Map.Entry<Double, Double> below = table.floorEntry(diameterMm);
        Map.Entry<Double, Double> above = table.ceilingEntry(diameterMm);
        if (below == null) {
            return above;
        }
        if (above == null) {
            return below;
        }
        return diameterMm - below.getKey() <= above.getKey() - diameterMm ? below : above;
    }
}
