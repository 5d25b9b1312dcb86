package wrenchnotes.server.drawer;

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

    /** How many are still to come of each part that any are on order of; what is only wanted does not count. */
    Map<Long, Integer> ordered();

    /** How long an order of a part takes, from the supplier that it came from last. */
    Takes takes(long part);
}
