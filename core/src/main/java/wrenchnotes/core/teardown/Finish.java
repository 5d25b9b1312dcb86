package wrenchnotes.core.teardown;

/** What colour a fastener is to the eye: often the quickest way to tell two alike ones apart. */
public enum Finish {
    BLACK,
    SILVER,
    BRASS
}
