package wrenchnotes.core.check;

/** How a check ended. */
public enum Verdict {
    PASSED,
    FAILED,
    NOT_TESTED
}
