package wrenchnotes.core.job;

import java.time.Instant;
import java.util.Optional;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * A unit went out unfinished, with its owner, until its part comes: no handover, its job stays open.
 *
 * @param notFor what it must not be used for, 1 to 300 characters; stands on everything that speaks of the unit
 * @param due when it is to come back; empty if no day was named
 * @param back when it came back; empty while it is out
 */
public record Loan(Instant from, String notFor, Optional<Instant> due, Optional<Instant> back) {

    public Loan {
        Checked.present("from", from);
        notFor = Checked.text("notFor", notFor, 300);
        if (due.filter(day -> !day.isAfter(from)).isPresent()) {
            throw new Invalid("due", "It would have to be back before it goes: give a later day");
        }
    }

    public boolean isOut() {
        return back.isEmpty();
    }
}
