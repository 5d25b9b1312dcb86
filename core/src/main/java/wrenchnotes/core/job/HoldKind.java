package wrenchnotes.core.job;

import java.util.Optional;
import wrenchnotes.core.unit.Spoken;

/** What a job is waiting for. */
public enum HoldKind implements Spoken {
    CURE,
    DRY,
    REST,
    BLEED,
    SOAK,
    PART,
    OWNER,
    SET_ASIDE;

    /** Whether hands are kept off for safety: no lead overrules it. */
    public boolean isSafety() {
        return this == REST || this == BLEED;
    }

    /** Whether a unit that waits for it may be worked back together and closed for now. */
    public boolean letsItClose() {
        return this == PART || this == OWNER || this == SET_ASIDE;
    }

    /** What is asked when its time is over: it holds until that is answered. Empty if the time alone ends it. */
    public Optional<String> question() {
        return switch (this) {
            case CURE -> Optional.of("Is the witness hard?");
            case DRY -> Optional.of("Is it dry, under the parts too?");
            case SOAK -> Optional.of("Did it run all the time without a fault?");
            case SET_ASIDE -> Optional.of("Is it taken up again?");
            case REST, BLEED, PART, OWNER -> Optional.empty();
        };
    }

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
            case SET_ASIDE -> "set aside";
        };
    }
}
