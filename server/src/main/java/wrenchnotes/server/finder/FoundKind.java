package wrenchnotes.server.finder;

import wrenchnotes.core.unit.Spoken;

/** What was found, in the order in which it is shown. */
public enum FoundKind implements Spoken {
    UNIT,
    FINDING,
    SAID,
    CHECK,
    READING,
    HOLD,
    OUTCOME,
    OWNER,
    PART,
    COMPONENT,
    STEP,
    MODEL,
    PAST;

    @Override
    public String words() {
        return switch (this) {
            case UNIT -> "units";
            case FINDING -> "findings";
            case SAID -> "remarks and decisions";
            case CHECK -> "checks";
            case READING -> "readings";
            case HOLD -> "what was waited for";
            case OUTCOME -> "how it ended";
            case OWNER -> "owners";
            case PART -> "in the drawers";
            case COMPONENT -> "components and their faults";
            case STEP -> "steps of notes";
            case MODEL -> "models";
            case PAST -> "jobs brought in";
        };
    }
}
