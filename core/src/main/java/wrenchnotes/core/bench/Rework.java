package wrenchnotes.core.bench;

import wrenchnotes.core.unit.Spoken;

/** Why a unit that was closed for good is opened again in the same stay. */
public enum Rework implements Spoken {
    FORGOTTEN_PLUG,
    MISSED_CHECK,
    WRONG_PART,
    SECOND_FAULT,
    OTHER;

    /** As said on the floor: "a forgotten plug". */
    @Override
    public String words() {
        return switch (this) {
            case FORGOTTEN_PLUG -> "a plug was forgotten";
            case MISSED_CHECK -> "a check was missed";
            case WRONG_PART -> "the wrong part was put in";
            case SECOND_FAULT -> "there is a second fault";
            case OTHER -> "another reason";
        };
    }
}
