package wrenchnotes.core.job;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import wrenchnotes.core.bench.CheckPlan;
import wrenchnotes.core.bench.Closing;
import wrenchnotes.core.bench.Tally;
import wrenchnotes.core.check.CheckRecord;
import wrenchnotes.core.check.Stage;
import wrenchnotes.core.outcome.HandoverGate;
import wrenchnotes.core.outcome.OutcomeGiven;
import wrenchnotes.core.teardown.Overview;
import wrenchnotes.core.unit.Moment;

/**
 * All that a job's standing follows from.
 *
 * @param due when the unit is promised; empty if no day was named
 * @param openSteps steps in and not out again
 * @param lastIn when a step was last done on the way in; empty if the unit was never opened
 * @param closing when it was last closed through the gate
 * @param plan what the notes that it was opened with plan to be tested
 * @param rework how often it was closed for good and opened again
 * @param checks those that stand
 * @param outcome the one that stands
 */
public record JobFacts(
        Instant checkedIn,
        Optional<Instant> due,
        List<Hold> holds,
        Tally tally,
        int openSteps,
        Optional<Moment> lastIn,
        Optional<Closing> closing,
        Overview plan,
        int rework,
        CheckRecord checks,
        Optional<OutcomeGiven> outcome,
        int findings,
        Optional<Instant> handedOver) {

    /** Whether the unit's covers are on: never opened, or closed through the gate since. */
    public boolean closed() {
        return Closing.coversOn(lastIn, closing);
    }

    /** What keeps the unit from being handed over, waits that are not over first; empty if nothing does. */
    public List<String> inTheWayOfHandover(Instant now) {
        return Stream.concat(
                        holds.stream().filter(hold -> hold.standsAt(now)).map(hold -> hold.sentence(now)),
                        HandoverGate.reasons(
                                tally, openSteps, lastIn, closed(), standsForNow(), unchecked(), checks, outcome)
                                .stream())
                .toList();
    }

    /** Why the unit is closed for now only; empty if it is open, or closed for good. */
    public Optional<String> standsForNow() {
        return lastIn.isPresent() && closed() ? closing.flatMap(Closing::forNow) : Optional.empty();
    }

    /** The checks since it was last opened; all of them if it never was. */
    public CheckRecord sinceOpened() {
        return lastIn.map(checks::since).orElse(checks);
    }

    /** What the plan says to be tested after closing and was not. */
    private List<String> unchecked() {
        return lastIn.stream()
                .flatMap(at -> CheckPlan.at(Stage.AFTER_CLOSING, plan, checks.since(at)).stream())
                .map(CheckPlan.DueCheck::missing)
                .filter(missing -> !missing.isEmpty())
                .toList();
    }
}
