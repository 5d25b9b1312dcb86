package wrenchnotes.core.job;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wrenchnotes.core.bench.CheckPlan;
import wrenchnotes.core.bench.Closing;
import wrenchnotes.core.bench.Tally;
import wrenchnotes.core.check.CheckRecord;
import wrenchnotes.core.check.MainsWork;
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
 * @param mains what was done on its mains side, and what was measured after
 * @param testParts parts in it that are for tests only and must not leave the shop, by name
 * @param lent the loan that it is on; empty while it is here
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
        MainsWork mains,
        List<String> testParts,
        Optional<Loan> lent,
        Optional<Instant> handedOver) {

    /** Whether the unit's covers are on: never opened, or closed through the gate since. */
    public boolean closed() {
        return Closing.coversOn(lastIn, closing);
    }

    /** What keeps the unit from being handed over, waits that are not over first; empty if nothing does. */
    public List<String> inTheWayOfHandover(Instant now) {
        List<String> reasons = new ArrayList<>();
        lent.ifPresent(loan -> reasons.add("It is on loan: say first that it came back."));
        holds.stream()
                .filter(hold -> hold.standsAt(now))
                .map(hold -> hold.sentence(now))
                .forEach(reasons::add);
        reasons.addAll(
                HandoverGate.reasons(tally, openSteps, lastIn, closed(), standsForNow(), unchecked(), checks, outcome));
        if (outcome.filter(given -> !given.outcome().saysItWorks()).isEmpty()) {
            mains.inTheWay(lastIn).ifPresent(reasons::add);
        }
        testParts.forEach(part -> reasons.add(stays(part)));
        return reasons;
    }

    private static String stays(String part) {
        return "For a test only, and must not leave the shop: " + part
                + ". Take it out, and strike or correct what says that it went in.";
    }

    /**
     * What keeps the unit from going out unfinished with its owner; empty if nothing does. Failures that stand do not: they go on the
     * paper.
     *
     * @param owned whether it has an owner
     */
    public List<String> inTheWayOfLending(boolean owned, Instant now) {
        List<String> reasons = new ArrayList<>();
        if (!owned) {
            reasons.add("It is the shop's own: there is nobody to lend it to.");
        }
        if (!closed()) {
            reasons.add("It is open: close it, or close it for now.");
        } else if (lastIn.isPresent() && sinceOpened().last(Stage.AFTER_CLOSING).isEmpty()) {
            reasons.add("Nobody has checked it closed: try it, or say not tested.");
        }
        reasons.addAll(Hold.inTheWayOfClosing(holds, true, now));
        mains.inTheWay(lastIn).ifPresent(reasons::add);
        testParts.forEach(part -> reasons.add(stays(part)));
        return reasons;
    }

    /** What goes out with it that whoever uses it must know, a sentence each. */
    public List<String> saidOnPaper() {
        List<String> lines = new ArrayList<>();
        checks.standingFailures().forEach(check -> lines.add("Does not work: " + check.words()));
        checks.remarks()
                .forEach(check -> lines.add("Left as it is: " + check.words() + ", "
                        + check.asRemark().orElse("")));
        sinceOpened().notTested().forEach(check -> lines.add("Not tested: " + check.whyNot()));
        if (mains.inTheWay(lastIn).isPresent()) {
            lines.add("DO NOT PLUG IT IN: worked on its mains side, and the electrical check is not passed.");
        }
        return lines;
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
