package wrenchnotes.core.checkin;

/** What can be seen of a unit's state when it comes in. */
public enum ArrivalMark {
    SEAL_WHOLE,
    SEAL_BROKEN,
    SEAL_OURS,
    SCREWS_MISSING,
    DENTS,
    BENT,
    LIQUID,
    EARLIER_ATTEMPT,
    SWOLLEN_CELL,
    BURNT_SMELL
}
