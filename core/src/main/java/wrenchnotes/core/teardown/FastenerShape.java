package wrenchnotes.core.teardown;

import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;

/**
 * The sizes a drawing of a fastener needs beyond those in the notes, in mm.
 *
 * <p>Heads: pan head of machine screws after ISO 7045, of tapping screws after ISO 7049 (both published; values from
 * memory), in between by straight line. Rivets and clips: twice their diameter (common practice).
 *
 * @param pitchMm 0 where there is no thread
 */
public record FastenerShape(double headDiameterMm, double headHeightMm, double pitchMm) {

    private static final NavigableMap<Double, Double> MACHINE_HEAD =
            new TreeMap<>(Map.of(1.6, 3.2, 2.0, 4.0, 2.5, 5.0, 3.0, 5.6, 3.5, 7.0, 4.0, 8.0));

    private static final NavigableMap<Double, Double> TAPPING_HEAD =
            new TreeMap<>(Map.of(2.2, 4.0, 2.9, 5.6, 3.5, 7.0, 4.2, 8.0));

    private static final double HEIGHT_TO_DIAMETER = 0.4;

    public static FastenerShape of(FastenerGroup group) {
        double headDiameter =
                switch (group.thread()) {
                    case MACHINE -> between(MACHINE_HEAD, group.diameterMm());
                    case TAPPING -> between(TAPPING_HEAD, group.diameterMm());
                    case NONE -> 2 * group.diameterMm();
                };
        double pitch =
                group.thread() == ThreadForm.NONE ? 0 : ThreadTable.nearestPitchMm(group.thread(), group.diameterMm());
        return new FastenerShape(headDiameter, headDiameter * HEIGHT_TO_DIAMETER, pitch);
    }

    private static double between(NavigableMap<Double, Double> table, double diameter) {
        Map.Entry<Double, Double> below = table.floorEntry(diameter);
        Map.Entry<Double, Double> above = table.ceilingEntry(diameter);
        if (below == null || above == null) {
            Map.Entry<Double, Double> end = below == null ? above : below;
            return end.getValue() * diameter / end.getKey();
        }
        if (below.getKey().equals(above.getKey())) {
            return below.getValue();
        }
        double part = (diameter - below.getKey()) / (above.getKey() - below.getKey());
        return below.getValue() + part * (above.getValue() - below.getValue());
    }
}
