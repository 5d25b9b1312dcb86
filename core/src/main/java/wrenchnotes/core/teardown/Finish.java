package wrenchnotes.core.teardown;

import wrenchnotes.core.unit.Spoken;

/** What colour a fastener is to the eye: often the quickest way to tell two alike ones apart. */
public enum Finish implements Spoken {
    BLACK,
    SILVER,
    BRASS
}
