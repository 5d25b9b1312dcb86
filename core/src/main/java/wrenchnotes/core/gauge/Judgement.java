package wrenchnotes.core.gauge;

import java.util.Collection;
import wrenchnotes.core.unit.Spoken;

/** What a reading says of what was measured. */
public enum Judgement implements Spoken {
    GOOD,
    BAD,
    /** The uncertainty of the reading, or what is not known, leaves it open. */
    CAN_NOT_SAY;

    /** Of several that must all be good: bad if one is, not known if one is not, good otherwise. */
    static Judgement worst(Collection<Judgement> all) {
        return all.contains(BAD) ? BAD : all.contains(CAN_NOT_SAY) ? CAN_NOT_SAY : GOOD;
    }

    @Override
    public String words() {
        return this == CAN_NOT_SAY ? "cannot say" : Spoken.super.words();
    }
}
