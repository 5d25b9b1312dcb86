package wrenchnotes.core.teardown;

/**
 * How a fastener holds. Fine, even machine threads go into metal; coarse, sharp tapping threads go into plastic (common
 * practice).
 */
public enum ThreadForm {
    MACHINE,
    TAPPING,
    NONE
}
