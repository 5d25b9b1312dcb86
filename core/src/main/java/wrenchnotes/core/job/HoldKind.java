package wrenchnotes.core.job;

/** What a job is waiting for. */
public enum HoldKind {
    CURE,
    DRY,
    REST,
    BLEED,
    SOAK,
    PART,
    OWNER;

    /** "curing", "for the owner's answer": follows "Waits: ". */
    public String words() {
        return switch (this) {
            case CURE -> "curing";
            case DRY -> "drying";
            case REST -> "resting";
            case BLEED -> "charge bleeding off";
            case SOAK -> "soak test";
            case PART -> "for a part";
            case OWNER -> "for the owner's answer";
        };
    }
}
