package wrenchnotes.core.diagnosis;

import wrenchnotes.core.unit.Spoken;

/** Where a fault came from, as far as the bench can tell. */
public enum Cause implements Spoken {
    AGE,
    FALL,
    LIQUID,
    HEAT,
    EARLIER_REPAIR,
    OWNER_TREATMENT,
    STORAGE;

    /** Whether a unit to which this happened is looked over as a whole, whatever it came for (common practice, no source). */
    public boolean shakes() {
        return this == FALL || this == LIQUID;
    }

    @Override
    public String words() {
        return switch (this) {
            case FALL -> "a fall";
            case EARLIER_REPAIR -> "an earlier repair";
            case OWNER_TREATMENT -> "the owner’s own treatment";
            default -> Spoken.super.words();
        };
    }
}
