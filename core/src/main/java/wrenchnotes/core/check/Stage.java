package wrenchnotes.core.check;

import wrenchnotes.core.unit.Spoken;

/** When in the work a check is made. */
public enum Stage implements Spoken {
    ARRIVAL,
    OPEN,
    BEFORE_CLOSING,
    AFTER_CLOSING;

    @Override
    public String words() {
        return switch (this) {
            case ARRIVAL -> "on arrival";
            case OPEN -> "while it is open";
            case BEFORE_CLOSING -> "before closing";
            case AFTER_CLOSING -> "after closing";
        };
    }
}
