package wrenchnotes.core.diagnosis;

/** What was done about a fault. */
public enum Remedy {
    REPLACED,
    CLEANED,
    REVIVED,
    STRAIGHTENED,
    RESEATED,
    LUBRICATED,
    ADJUSTED,
    RESOLDERED,
    OBJECT_REMOVED,
    IMPROVISED,
    LEFT_AS_IT_IS
}
