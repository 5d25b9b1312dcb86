package wrenchnotes.core.teardown;

import wrenchnotes.core.unit.Spoken;

/**
 * How a fastener holds. Fine, even machine threads go into metal; coarse, sharp tapping threads go into plastic or sheet
 * metal (common practice).
 */
public enum ThreadForm implements Spoken {
    MACHINE,
    TAPPING,
    NONE;

    @Override
    public String words() {
        return switch (this) {
            case MACHINE -> "machine, into metal";
            case TAPPING -> "tapping, into plastic or sheet metal";
            case NONE -> "no thread";
        };
    }

    /** In a list of sizes: "tapping". */
    public String form() {
        return Spoken.super.words();
    }
}
