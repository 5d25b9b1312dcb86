package wrenchnotes.server.ground;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Notices a clock that was set back: what was written last is then still to come by the clock. Order does not suffer, since it
 * is not by the clock; waits and dates do.
 */
@Component
public class ClockWatch {

    private static final Logger LOG = LoggerFactory.getLogger(ClockWatch.class);
    private static final Duration JITTER = Duration.ofSeconds(10);

    private volatile Instant ahead = Instant.MIN;

    /** @param last when something was written last, by the clock then */
    void compare(Instant now, Instant last) {
        if (last.isAfter(now.plus(JITTER)) && !last.equals(ahead)) {
            if (ahead.isBefore(now)) {
                LOG.warn("The clock of this machine was set back: {} was written already. Set it right.", last);
            }
            ahead = last;
        }
    }

    /** A sentence while the clock is behind what was written already. */
    public Optional<String> trouble(Instant now) {
        return ahead.isAfter(now.plus(JITTER))
                ? Optional.of(
                        "The clock of this machine was set back by "
                                + Duration.between(now, ahead).toMinutes()
                                + " minutes or more: set its date and time right. What is written keeps its order all the same.")
                : Optional.empty();
    }
}
