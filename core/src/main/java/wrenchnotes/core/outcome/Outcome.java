package wrenchnotes.core.outcome;

import java.util.Optional;
import wrenchnotes.core.unit.Spoken;

/** How a job ended. */
public enum Outcome implements Spoken {
    FIXED,
    FIXED_WITH_REMARK,
    PARTLY_FIXED,
    NOT_FIXED,
    NO_FAULT_FOUND,
    NOT_WORTH_IT,
    KEPT_FOR_PARTS;

    /** Whether it says that the unit works, or works in part: such a word needs a check that did not fail. */
    public boolean saysItWorks() {
        return switch (this) {
            case FIXED, FIXED_WITH_REMARK, PARTLY_FIXED, NO_FAULT_FOUND -> true;
            case NOT_FIXED, NOT_WORTH_IT, KEPT_FOR_PARTS -> false;
        };
    }

    /**
     * Whether it could be mended; empty for a unit that nobody tried to mend: that says nothing of how likely it could have been.
     *
     * @param tried whether anybody worked on it: one that was given up then, for what it is worth or for parts, could not be mended
     */
    public Optional<Boolean> mended(boolean tried) {
        return switch (this) {
            case FIXED, FIXED_WITH_REMARK, PARTLY_FIXED -> Optional.of(true);
            case NOT_FIXED -> Optional.of(false);
            case NOT_WORTH_IT, KEPT_FOR_PARTS -> tried ? Optional.of(false) : Optional.empty();
            case NO_FAULT_FOUND -> Optional.empty();
        };
    }

    @Override
    public String words() {
        return switch (this) {
            case FIXED -> "fixed";
            case FIXED_WITH_REMARK -> "fixed with a remark";
            case PARTLY_FIXED -> "partly fixed";
            case NOT_FIXED -> "not fixed";
            case NO_FAULT_FOUND -> "no fault found";
            case NOT_WORTH_IT -> "not worth it";
            case KEPT_FOR_PARTS -> "kept for parts";
        };
    }
}
