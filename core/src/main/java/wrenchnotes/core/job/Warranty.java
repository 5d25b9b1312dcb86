package wrenchnotes.core.job;

import java.time.Duration;
import java.time.Instant;

/** How long the shop stands for a repair: six months (common practice, no source; local law may give the owner more). */
public final class Warranty {

    public static final Duration LENGTH = Duration.ofDays(183);

    private Warranty() {}

    /** Whether a repair that was handed over then is still covered. */
    public static boolean covers(Instant handedOver, Instant now) {
        return Duration.between(handedOver, now).compareTo(LENGTH) <= 0;
    }
}
