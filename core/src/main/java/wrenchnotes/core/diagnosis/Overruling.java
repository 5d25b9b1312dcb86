package wrenchnotes.core.diagnosis;

import wrenchnotes.core.unit.Spoken;

/** A person's word against the odds. */
public enum Overruling implements Spoken {
    THIS_FIRST,
    NOT_THIS,
    /** Taken back. */
    AS_COMPUTED
}
