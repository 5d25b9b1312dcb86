package wrenchnotes.core.teardown;

import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;

/**
 * The sizes a drawing of a fastener needs, in mm. What nobody has measured is drawn at a usual size, open: {@link FastenerGroup#notKnown}.
 *
 * <p>Heads: pan head of machine screws after ISO 7045, of tapping screws after ISO 7049 (both published; values from
 * memory), in between by straight line. Rivets and clips: twice their diameter (common practice).
 *
 * @param lengthMm under the head; 0 for what is flat
 * @param pitchMm 0 where there is no thread, or none is known
 */
public record FastenerShape(
        double headDiameterMm, double headHeightMm, double diameterMm, double lengthMm, double pitchMm) {

    /** What a screw of a small device is like most often (common practice). */
    private static final double USUAL_DIAMETER = 3;

    private static final double USUAL_LENGTH = 10;

    private static final NavigableMap<Double, Double> MACHINE_HEAD =
            new TreeMap<>(Map.of(1.6, 3.2, 2.0, 4.0, 2.5, 5.0, 3.0, 5.6, 3.5, 7.0, 4.0, 8.0));

    private static final NavigableMap<Double, Double> TAPPING_HEAD =
            new TreeMap<>(Map.of(2.2, 4.0, 2.9, 5.6, 3.5, 7.0, 4.2, 8.0));

    private static final double HEIGHT_TO_DIAMETER = 0.4;

    public static FastenerShape of(FastenerGroup group) {
        double diameter = group.diameterMm().orElse(USUAL_DIAMETER);
        double headDiameter =
                switch (group.thread().orElse(ThreadForm.MACHINE)) {
                    case MACHINE -> between(MACHINE_HEAD, diameter);
                    case TAPPING -> between(TAPPING_HEAD, diameter);
                    case NONE -> 2 * diameter;
                };
        if (group.head().filter(Head::flat).isPresent()) {
            return new FastenerShape(headDiameter, 0, diameter, 0, 0);
        }
        double pitch = group.thread()
                .filter(thread -> thread != ThreadForm.NONE)
                .map(thread -> ThreadTable.nearestPitchMm(thread, diameter))
                .orElse(0.0);
        double length = group.lengthMm().orElse(USUAL_LENGTH);
        return new FastenerShape(headDiameter, headDiameter * HEIGHT_TO_DIAMETER, diameter, length, pitch);
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
