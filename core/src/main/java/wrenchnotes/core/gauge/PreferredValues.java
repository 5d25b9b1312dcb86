package wrenchnotes.core.gauge;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** The values that capacitors and resistors are sold in (published: IEC 60063; from memory). */
enum PreferredValues {
    E6(1.0, 1.5, 2.2, 3.3, 4.7, 6.8),
    E12(1.0, 1.2, 1.5, 1.8, 2.2, 2.7, 3.3, 3.9, 4.7, 5.6, 6.8, 8.2),
    E24(
            1.0, 1.1, 1.2, 1.3, 1.5, 1.6, 1.8, 2.0, 2.2, 2.4, 2.7, 3.0, 3.3, 3.6, 3.9, 4.3, 4.7, 5.1, 5.6, 6.2, 6.8,
            7.5, 8.2, 9.1);

    /** A value that is so near to a preferred one is that one. */
    private static final double SAME = 0.005;

    private final double[] decade;

    PreferredValues(double... decade) {
        this.decade = decade;
    }

    /** Those from {@code min} to {@code max}, both above 0, ascending. */
    List<Double> within(double min, double max) {
        List<Double> values = new ArrayList<>();
        for (int power = (int) Math.floor(Math.log10(min)); power <= Math.ceil(Math.log10(max)); power++) {
            for (double one : decade) {
                double value = Double.parseDouble(one + "e" + power);
                if (value >= min * (1 - 1e-9) && value <= max * (1 + 1e-9)) {
                    values.add(value);
                }
            }
        }
        return values;
    }

    /** The one whose ratio to a value above 0 is nearest to 1. */
    double nearest(double value) {
        return within(value / 2, value * 2).stream()
                .min(Comparator.comparingDouble(one -> Math.abs(Math.log(one / value))))
                .orElseThrow();
    }

    /** Whether a value is sold in any of the series. */
    static boolean has(double value) {
        return Math.abs(E24.nearest(value) / value - 1) <= SAME;
    }
}
