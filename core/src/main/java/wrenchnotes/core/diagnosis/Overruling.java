package wrenchnotes.core.diagnosis;

/** A person's word against the odds. */
public enum Overruling {
    THIS_FIRST,
    NOT_THIS,
    /** Taken back. */
    AS_COMPUTED
}
