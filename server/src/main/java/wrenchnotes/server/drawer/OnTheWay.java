package wrenchnotes.server.drawer;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wrenchnotes.core.drawer.order.OrderLine.OrderStanding;
import wrenchnotes.core.drawer.order.Takes;

/** What is on order of the parts in the drawers; known to the room of orders. */
public interface OnTheWay {

    /**
     * A line of which something is still to come.
     *
     * @param supplier empty while it is only wanted
     * @param tag of the unit that waits for it
     */
    record ComingLine(
            long line,
            Optional<String> supplier,
            int left,
            OrderStanding standing,
            Optional<Takes> takes,
            Optional<String> tag) {}

    /** The oldest first. Runs in the caller's transaction. */
    List<ComingLine> of(long part);

    /**
     * When what a wait is for should be here.
     *
     * @param said the day that the supplier said
     * @param half by when half of such orders came
     * @param fourFifths by when four in five did
     */
    record ExpectedHere(Optional<LocalDate> said, Instant half, Instant fourFifths) {}

    /** By wait, of those that a job's orders will end; what is only wanted is expected on no day. */
    Map<Long, ExpectedHere> expected(long job);

    /** How many are still to come of each part that any are on order of; what is only wanted does not count. */
    Map<Long, Integer> ordered();

    /** How long an order of a part takes, from the supplier that it came from last. */
    Takes takes(long part);
}
