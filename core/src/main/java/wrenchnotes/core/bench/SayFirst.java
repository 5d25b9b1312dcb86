package wrenchnotes.core.bench;

import java.util.Optional;

/**
 * What somebody has to say before a step, in or out: one thing at a time.
 *
 * @param hazard whose wait it is, or whose caution; empty for {@link What#UNPLUG}
 */
public record SayFirst(What what, Optional<Hazard> hazard) {

    /** In the order in which they are asked. */
    public enum What {
        /** That the unit is off and unplugged. */
        UNPLUG,
        /** Since when it is, while the wait is not over. */
        WAIT,
        /** That the caution was heeded. */
        HEED
    }
}
