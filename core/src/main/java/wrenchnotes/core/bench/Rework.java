package wrenchnotes.core.bench;

import wrenchnotes.core.unit.Spoken;

/** Why a unit that was closed for good, or something in it that was back already, is opened again in the same stay. */
public enum Rework implements Spoken {
    FORGOTTEN_PLUG,
    MISSED_CHECK,
    WRONG_PART,
    SECOND_FAULT,
    OTHER,
    FAILED_CHECK,
    TRIAL_FIT;

    /** Whether something went wrong: a trial fit is part of the work and is counted apart. */
    public boolean counts() {
        return this != TRIAL_FIT;
    }

    /** As said on the floor: "something was forgotten". */
    @Override
    public String words() {
        return switch (this) {
            case FORGOTTEN_PLUG -> "something was forgotten";
            case MISSED_CHECK -> "a check was missed";
            case WRONG_PART -> "the wrong part was put in";
            case SECOND_FAULT -> "there is a second fault";
            case OTHER -> "another reason";
            case FAILED_CHECK -> "a check failed";
            case TRIAL_FIT -> "it was a trial fit";
        };
    }
}
