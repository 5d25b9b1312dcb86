package wrenchnotes.core.gauge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wrenchnotes.core.gauge.BleedGauge.BleederProposed;

/**
 * What a resistor must stand to bleed a charge. Not the first moment alone decides: a wire-wound one bears {@value #OVERLOAD} times its
 * rated power for {@value #SECONDS} s, and its rating for as long as one likes; a body stands some hundred volts, whatever its power
 * (common practice; its data sheet decides).
 */
final class BleedResistor {

    static final double OVERLOAD = 5;
    static final double SECONDS = 5;

    /** Ratings that wire-wound resistors are sold in, watts. Common practice, no source. */
    static final double[] RATINGS = {1, 2, 3, 5, 7, 10, 15, 25, 50, 100, 200};
    /** What one body of 1 W and more stands, volts. Common practice: its data sheet decides. */
    static final double BODY_VOLTS = 500;
    /** Up to this the hand that holds it lasts. Ours, no source. */
    private static final double PATIENCE = 30;
    /** Of more watts than this nothing is proposed that fits into a hand. */
    private static final double HANDY_WATTS = 10;

    private final double farads;
    private final double volts;

    /** @param farads with the capacitor at the top of its tolerance */
    BleedResistor(double farads, double volts) {
        this.farads = farads;
        this.volts = volts;
    }

    /** The rated power that a wire-wound resistor of so many ohms must have, watts. */
    double wattsNeeded(double ohms) {
        double first = volts * volts / ohms;
        double later = first * Math.exp(-2 * SECONDS / (ohms * farads));
        return Math.max(first / OVERLOAD, later);
    }

    /** The next that is sold; empty if none is so large. */
    Optional<Double> rating(double ohms) {
        double needed = wattsNeeded(ohms);
        for (double watts : RATINGS) {
            if (watts >= needed) {
                return Optional.of(watts);
            }
        }
        return Optional.empty();
    }

    /**
     * A resistor from any drawer that does it in half a minute, or as quickly as ten watts can.
     *
     * @param limit volts to come down to
     * @param slow by how much the resistor may be larger than marked: 1.1
     */
    BleederProposed proposed(double limit, double slow) {
        int series = (int) Math.ceil(volts / BODY_VOLTS);
        List<BleederProposed> tried = new ArrayList<>();
        for (double watts : RATINGS) {
            if (watts > HANDY_WATTS) {
                break;
            }
            BleederProposed one = smallest(watts, series, limit, slow);
            tried.add(one);
            if (one.seconds() <= PATIENCE) {
                return one;
            }
        }
        return tried.get(tried.size() - 1);
    }

    /** The smallest preferred value that so many watts in all bear. */
    private BleederProposed smallest(double watts, int series, double limit, double slow) {
        for (double ohms : PreferredValues.E12.within(1, 1e8)) {
            if (wattsNeeded(ohms * series) <= watts * series) {
                double seconds = ohms * series * slow * farads * Math.max(0, Math.log(volts / limit));
                return new BleederProposed(ohms, series, watts, seconds);
            }
        }
        throw new IllegalStateException("No resistor of 100 MΩ bears " + volts + " V");
    }
}
