package wrenchnotes.core.diagnosis;

import wrenchnotes.core.unit.Spoken;

/** What was done about a fault. */
public enum Remedy implements Spoken {
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
