package wrenchnotes.core.bench;

import java.util.Optional;
import wrenchnotes.core.teardown.Staying;

/**
 * What somebody has to say before a step, in or out: one thing at a time.
 *
 * @param hazard whose wait it is, or whose caution; empty for the others
 * @param adjusted what is to be marked, or stands on its mark again; empty for the others
 */
public record SayFirst(What what, Optional<Hazard> hazard, Optional<Adjusted> adjusted) {

    /**
     * Something that a step moves without taking it off.
     *
     * @param mark as it was marked, on the way back; empty on the way in
     */
    public record Adjusted(String step, Staying stays, Optional<PlaceMark> mark) {}

    static SayFirst of(What what, Optional<Hazard> hazard) {
        return new SayFirst(what, hazard, Optional.empty());
    }

    static SayFirst of(Adjusted adjusted) {
        What what = adjusted.mark().isPresent() ? What.STANDS_AGAIN : What.MARK;
        return new SayFirst(what, Optional.empty(), Optional.of(adjusted));
    }

    /** In the order in which they are asked. */
    public enum What {
        /** That the unit is off and unplugged. */
        UNPLUG,
        /** Since when it is, while the wait is not over. */
        WAIT,
        /** That the caution was heeded. */
        HEED,
        /** Where something stands, before it is moved. */
        MARK,
        /** That it stands where it stood. */
        STANDS_AGAIN
    }
}
