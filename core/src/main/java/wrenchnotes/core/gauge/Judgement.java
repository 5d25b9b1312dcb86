package wrenchnotes.core.gauge;

/** What a reading says of what was measured. */
public enum Judgement {
    GOOD,
    BAD,
    /** The uncertainty of the reading, or what is not known, leaves it open. */
    CAN_NOT_SAY
}
