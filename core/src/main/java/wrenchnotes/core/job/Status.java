package wrenchnotes.core.job;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import wrenchnotes.core.check.Check;
import wrenchnotes.core.check.Stage;
import wrenchnotes.core.unit.Words;

/**
 * Where a job stands and why, in words for the rack.
 *
 * @param until when the wait ends by itself, if it waits and that is known
 */
public record Status(Standing standing, String words, Optional<Instant> until) {

    /** Computed from the facts alone. The first rule that fits decides; a wait goes before all work. */
    public static Status of(JobFacts facts, Instant now) {
        if (facts.handedOver().isPresent()) {
            return says(
                    Standing.HANDED_OVER,
                    facts.outcome()
                            .map(given -> "Handed over, " + given.outcome().words())
                            .orElse("Handed over"));
        }
        if (facts.lent().isPresent()) {
            Loan loan = facts.lent().get();
            return new Status(Standing.ON_LOAN, "On loan with its owner. Not for: " + loan.notFor(), loan.due());
        }
        Optional<Hold> hold = longestHold(facts, now);
        if (hold.isPresent()) {
            return new Status(
                    Standing.WAITING,
                    "Waits: " + hold.get().kind().words() + ". " + hold.get().why() + openToo(facts),
                    hold.get().until());
        }
        if (facts.openSteps() > 0) {
            return says(
                    Standing.OPEN_ON_BENCH,
                    "Open, " + Words.count(facts.openSteps(), "step", "steps") + " in: "
                            + facts.tally().words() + " off");
        }
        if (!facts.closed()) {
            return says(
                    Standing.TO_CLOSE,
                    facts.tally().balances() ? "Back together: close it up" : "Back together, but " + missing(facts));
        }
        if (facts.standsForNow().isPresent()) {
            return says(Standing.CLOSED_FOR_NOW, forNow(facts));
        }
        List<Check> failures = facts.checks().standingFailures();
        if (!failures.isEmpty() && !facts.inTheWayOfHandover(now).isEmpty()) {
            return says(
                    Standing.CHECK_FAILED,
                    "Check " + failures.get(0).stage().words() + " failed: "
                            + failures.stream().map(Check::what).collect(Collectors.joining("; ")));
        }
        return closedStatus(facts, now);
    }

    private static Status closedStatus(JobFacts facts, Instant now) {
        boolean opened = facts.lastIn().isPresent();
        if (facts.inTheWayOfHandover(now).isEmpty()) {
            return says(
                    Standing.READY,
                    "Ready to go: " + facts.outcome().orElseThrow().outcome().words());
        }
        boolean unchecked = opened
                && facts.checks()
                        .since(facts.lastIn().get())
                        .last(Stage.AFTER_CLOSING)
                        .isEmpty();
        if (unchecked) {
            return says(Standing.TO_CHECK, "Closed: check it before it goes");
        }
        if (opened || facts.findings() > 0) {
            return says(Standing.TO_DECIDE, "Done: say how it ended");
        }
        return says(Standing.NOT_STARTED, "Not looked at yet");
    }

    private static Optional<Hold> longestHold(JobFacts facts, Instant now) {
        return facts.holds().stream().filter(hold -> hold.activeAt(now)).max(Comparator.comparing(hold -> hold.until()
                .orElse(Instant.MAX)));
    }

    private static String openToo(JobFacts facts) {
        if (facts.standsForNow().isPresent()) {
            return ". " + forNow(facts);
        }
        return facts.tally().inTray() > 0 ? " (" + facts.tally().words() + " off)" : "";
    }

    /** "Closed for now, 1 thing left out: the owner needs it until the part comes". */
    private static String forNow(JobFacts facts) {
        int out = facts.tally().forNow();
        return "Closed for now" + (out > 0 ? ", " + Words.count(out, "thing", "things") + " left out" : "") + ": "
                + facts.standsForNow().orElseThrow();
    }

    private static String missing(JobFacts facts) {
        return facts.tally().inTray() > 0
                ? facts.tally().words() + " still off"
                : Words.count(facts.tally().undecided(), "thing", "things") + " absent and undecided";
    }

    private static Status says(Standing standing, String words) {
        return new Status(standing, words, Optional.empty());
    }
}
