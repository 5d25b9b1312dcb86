package wrenchnotes.core.gauge;

import wrenchnotes.core.unit.Spoken;

/**
 * How a winding becomes a raw rail. The peak of a sine is √2 times its effective value (physics); on its way it passes one diode of about 0.7 V, in a
 * bridge two at once; a doubler stacks two such peaks (common practice).
 */
public enum Rectifier implements Spoken {
    HALF_WAVE(1, 1),
    /** Two diodes and a winding with a middle: the volts are those of one half. */
    FULL_WAVE(1, 1),
    BRIDGE(1, 2),
    DOUBLER(2, 1);

    private static final double DIODE = 0.7;

    private final int times;
    private final int diodes;

    Rectifier(int times, int diodes) {
        this.times = times;
        this.diodes = diodes;
    }

    /** @param effective volts of the winding, or of its half @return volts that its capacitor is charged to with no load, 0 or more */
    double peak(double effective) {
        return Math.max(0, times * (Math.sqrt(2) * Math.abs(effective) - diodes * DIODE));
    }
}
