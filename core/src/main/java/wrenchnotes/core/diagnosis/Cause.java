package wrenchnotes.core.diagnosis;

/** Where a fault came from, as far as the bench can tell. */
public enum Cause {
    AGE,
    FALL,
    LIQUID,
    HEAT,
    EARLIER_REPAIR,
    OWNER_TREATMENT,
    STORAGE
}
