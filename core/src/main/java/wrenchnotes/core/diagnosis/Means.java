package wrenchnotes.core.diagnosis;

import wrenchnotes.core.unit.Spoken;

/**
 * How somebody knows that a component is good or bad. A look is not a measurement: each means has a chance to find a fault that
 * is there, a chance to raise one that is not, and the minutes it takes once the component lies open. Common practice, no
 * source; the figures are ours.
 */
public enum Means implements Spoken {
    /** Looked at, listened to, felt. */
    LOOKED(0.60, 0.08, 1),
    /** A reading, or a tester. */
    MEASURED(0.92, 0.03, 4),
    /** Taken out, and the rest recovered or did not. */
    TAKEN_OUT(0.90, 0.05, 5),
    /** Swapped with a good one. */
    SWAPPED(0.97, 0.01, 6);

    private final double finds;
    private final double falseAlarm;
    private final double minutes;

    Means(double finds, double falseAlarm, double minutes) {
        this.finds = finds;
        this.falseAlarm = falseAlarm;
        this.minutes = minutes;
    }

    /** How likely it shows a fault that is there. */
    public double finds() {
        return finds;
    }

    /** How likely it shows a fault though there is none. */
    public double falseAlarm() {
        return falseAlarm;
    }

    /** What it takes once one can get at the component. */
    public double minutes() {
        return minutes;
    }

    /** As it is told: "by eye". */
    public String how() {
        return this == LOOKED ? "by eye" : words();
    }

    @Override
    public String words() {
        return switch (this) {
            case TAKEN_OUT -> "taken out to see";
            case SWAPPED -> "swapped with a good one";
            default -> Spoken.super.words();
        };
    }
}
