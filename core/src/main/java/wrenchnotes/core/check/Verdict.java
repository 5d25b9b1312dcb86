package wrenchnotes.core.check;

import wrenchnotes.core.unit.Spoken;

/** How a check ended. */
public enum Verdict implements Spoken {
    PASSED,
    FAILED,
    NOT_TESTED
}
