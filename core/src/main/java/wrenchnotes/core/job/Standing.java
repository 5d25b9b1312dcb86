package wrenchnotes.core.job;

import wrenchnotes.core.unit.Spoken;

/** Where a job stands. */
public enum Standing implements Spoken {
    NOT_STARTED,
    ON_LOAN,
    WAITING,
    OPEN_ON_BENCH,
    TO_CLOSE,
    CLOSED_FOR_NOW,
    CHECK_FAILED,
    TO_CHECK,
    TO_DECIDE,
    READY,
    HANDED_OVER
}
