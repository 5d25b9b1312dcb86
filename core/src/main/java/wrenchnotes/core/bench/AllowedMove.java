package wrenchnotes.core.bench;

/**
 * Where some of a thing may go next.
 *
 * @param most how many of it at most, 1 and up
 */
public record AllowedMove(Account from, Account to, int most) {

    public boolean wantsReason() {
        return to.wantsReason();
    }

    /** As it is offered on the bench: "Found: it is on the mat". */
    public String words() {
        return switch (to) {
            case FITTED -> "Back in its place";
            case TRAY ->
                switch (from) {
                    case LEFT_OUT -> "It goes back after all";
                    case OUT_FOR_NOW -> "It goes back now";
                    default -> "Found: it is on the mat";
                };
            case MISSING_ON_ARRIVAL -> "Never was there: it was not counted";
            case LOST -> "Cannot be found";
            case BROKEN -> "Broken";
            case DESTROYED -> "Used up";
            case REPLACED -> "Replaced by another";
            case BEYOND_NOTES -> "There never is one: the notes say too many";
            case LEFT_OUT -> "Leave it out: it may go so";
            case OUT_FOR_NOW -> "Leave it out for now";
        };
    }
}
