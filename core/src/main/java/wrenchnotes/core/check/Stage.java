package wrenchnotes.core.check;

/** When in the work a check is made. */
public enum Stage {
    ARRIVAL,
    BEFORE_CLOSING,
    AFTER_CLOSING;

    public String words() {
        return switch (this) {
            case ARRIVAL -> "on arrival";
            case BEFORE_CLOSING -> "before closing";
            case AFTER_CLOSING -> "after closing";
        };
    }
}
