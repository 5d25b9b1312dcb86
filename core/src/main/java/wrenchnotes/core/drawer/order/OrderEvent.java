package wrenchnotes.core.drawer.order;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Spoken;

/**
 * Something that happened to what was ordered. An entry like any other: it is never changed, and where the line stands follows from all of them.
 *
 * @param count of those that it is about, 1 to 9999
 * @param day when they are expected, as a supplier says it
 */
public record OrderEvent(OrderHappening what, int count, Optional<LocalDate> day, Instant at) {

    /** What can happen. */
    public enum OrderHappening implements Spoken {
        /** Put on an order and sent to the supplier. */
        ORDERED,
        /** The supplier says that it has the order, and when they come. */
        CONFIRMED,
        /** They are on their way. */
        SENT,
        /** Some came, and are what was ordered. */
        CAME,
        /** Some came, and are something else. */
        WRONG,
        /** What was wrong went back; as many are waited for again. */
        SENT_BACK,
        /** Nobody waits for the rest any more. */
        GIVEN_UP
    }

    public OrderEvent {
        Checked.present("what", what);
        Checked.within("count", count, 1, 9_999);
        day = day == null ? Optional.empty() : day;
    }
}
