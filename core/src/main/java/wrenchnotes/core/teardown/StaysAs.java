package wrenchnotes.core.teardown;

import wrenchnotes.core.unit.Spoken;

/** What is done with something that a step does not take off. */
public enum StaysAs implements Spoken {
    /** Turned back, and tight again on the way back. */
    LOOSENED,
    /** Stands where somebody set it: marked before it is moved, and put back on its mark. */
    ADJUSTED,
    /** Glued, soldered or rusted in: it stays. */
    STUCK,
    /** A dead end or a trap: a panel with nothing behind it, a trimmer, a brittle part. */
    LEAVE_ALONE
}
