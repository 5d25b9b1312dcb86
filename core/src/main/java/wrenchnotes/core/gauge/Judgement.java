package wrenchnotes.core.gauge;

import wrenchnotes.core.unit.Spoken;

/** What a reading says of what was measured. */
public enum Judgement implements Spoken {
    GOOD,
    BAD,
    /** The uncertainty of the reading, or what is not known, leaves it open. */
    CAN_NOT_SAY;

    @Override
    public String words() {
        return this == CAN_NOT_SAY ? "cannot say" : Spoken.super.words();
    }
}
