package wrenchnotes.core.job;

/** Where a job stands. */
public enum Standing {
    NOT_STARTED,
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
