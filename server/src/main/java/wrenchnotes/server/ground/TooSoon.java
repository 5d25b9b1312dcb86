package wrenchnotes.server.ground;

import java.time.Duration;

/** Not looked at now: the next try is, after a while. */
public final class TooSoon extends RuntimeException {

    private final long seconds;

    private TooSoon(long seconds, String sentence) {
        super(sentence);
        this.seconds = seconds;
    }

    /** Too many tries that did not fit. */
    public static TooSoon afterTries(Duration left) {
        long seconds = Math.max(1, left.plusMillis(999).toSeconds());
        return new TooSoon(
                seconds,
                "Too many tries that did not fit. Wait " + seconds
                        + " seconds, then try again; a lead can give you a new password meanwhile.");
    }

    /** More come in at once from one place than are looked at. */
    public static TooSoon inACrowd(Duration left) {
        return new TooSoon(
                left.toSeconds(), "Many are coming in at once. Wait " + left.toSeconds() + " seconds, then try again.");
    }

    /** How long to wait, at least 1. */
    public long seconds() {
        return seconds;
    }
}
