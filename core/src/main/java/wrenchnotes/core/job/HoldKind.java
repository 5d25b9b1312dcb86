package wrenchnotes.core.job;

import wrenchnotes.core.unit.Spoken;

/** What a job is waiting for. */
public enum HoldKind implements Spoken {
    CURE,
    DRY,
    REST,
    BLEED,
    SOAK,
    PART,
    OWNER;

    /** "curing", "for the owner's answer": follows "Waits: ". */
    @Override
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
