package wrenchnotes.core.job;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import wrenchnotes.core.bench.Tally;
import wrenchnotes.core.check.CheckRecord;
import wrenchnotes.core.outcome.HandoverGate;
import wrenchnotes.core.outcome.OutcomeGiven;

/**
 * All that a job's standing follows from.
 *
 * @param due when the unit is promised; empty if no day was named
 * @param openSteps steps in and not out again
 * @param lastIn when a step was last done on the way in; empty if the unit was never opened
 * @param closedAt when it was last closed through the gate
 * @param checks those that stand
 * @param outcome the one that stands
 */
public record JobFacts(
        Instant checkedIn,
        Optional<Instant> due,
        List<Hold> holds,
        Tally tally,
        int openSteps,
        Optional<Instant> lastIn,
        Optional<Instant> closedAt,
        CheckRecord checks,
        Optional<OutcomeGiven> outcome,
        int findings,
        Optional<Instant> handedOver) {

    /** Whether the unit's covers are on: never opened, or closed through the gate since. */
    public boolean closed() {
        return lastIn.isEmpty()
                || closedAt.map(at -> !at.isBefore(lastIn.get())).orElse(false);
    }

    /** What keeps the unit from being handed over; empty if nothing does. */
    public List<String> inTheWayOfHandover() {
        return HandoverGate.reasons(tally, openSteps, lastIn, closed(), checks, outcome);
    }
}
