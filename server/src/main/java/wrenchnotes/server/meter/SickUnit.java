package wrenchnotes.server.meter;

import java.util.Map;
import wrenchnotes.core.gauge.MeterFunction;

/**
 * What the stand-in's probes touch: a made-up unit of which one diode of the larger supply is open, and one gate of a chip is stuck.
 * Points are named as the gauges name them. A point that nobody knows is nothing: 0 V, no current, and open.
 */
final class SickUnit {

    private static final double OPEN = 1e37;

    /** @param dc volts @param ac volts, effective @param other amperes, ohms or farads */
    private record Point(double dc, double ac, double other) {}

    private static final Map<String, Point> POINTS = Map.ofEntries(
            Map.entry("rails/mains", new Point(0, 233, 0)),
            Map.entry("rails/18 V~", new Point(0.02, 18.9, 0)),
            Map.entry("rails/25 V raw", new Point(14.6, 3.9, 0)),
            Map.entry("rails/15 V", new Point(11.8, 0.9, 0)),
            Map.entry("rails/8 V~", new Point(0.01, 8.35, 0)),
            Map.entry("rails/10 V raw", new Point(10.3, 0.06, 0)),
            Map.entry("rails/5 V", new Point(5.03, 0.01, 0)),
            Map.entry("logic/14", new Point(5.03, 0.01, 0)),
            Map.entry("logic/7", new Point(0.004, 0, 0)),
            Map.entry("logic/1", new Point(3.41, 0, 0)),
            Map.entry("logic/2", new Point(0.18, 0, 0)),
            Map.entry("logic/3", new Point(3.52, 0, 0)),
            Map.entry("logic/4", new Point(3.38, 0, 0)),
            Map.entry("logic/5", new Point(0.21, 0, 0)),
            Map.entry("logic/6", new Point(0.31, 0, 0)),
            Map.entry("logic/9", new Point(0.19, 0, 0)),
            Map.entry("logic/10", new Point(0.22, 0, 0)),
            Map.entry("logic/8", new Point(0.24, 0, 0)),
            Map.entry("logic/12", new Point(0.17, 0, 0)),
            Map.entry("logic/13", new Point(3.44, 0, 0)),
            Map.entry("logic/11", new Point(3.49, 0, 0)),
            Map.entry("bleed/farads", new Point(0, 0, 231e-6)),
            Map.entry("bleed/volts", new Point(318, 0, 0)),
            Map.entry("bleed/ohms", new Point(0, 0, 15_020)),
            Map.entry("capacitor/candidate", new Point(0, 0, 0.103e-6)));

    private SickUnit() {}

    static double at(String point, MeterFunction function) {
        Point touched = POINTS.get(point);
        if (touched == null) {
            return function == MeterFunction.OHMS ? OPEN : 0;
        }
        return switch (function) {
            case VOLTS_DC -> touched.dc();
            case VOLTS_AC -> touched.ac();
            case AMPERES_DC, OHMS, FARADS -> touched.other();
        };
    }
}
