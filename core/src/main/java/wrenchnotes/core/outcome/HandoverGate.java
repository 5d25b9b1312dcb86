package wrenchnotes.core.outcome;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wrenchnotes.core.bench.Tally;
import wrenchnotes.core.check.Check;
import wrenchnotes.core.check.CheckRecord;
import wrenchnotes.core.check.Stage;
import wrenchnotes.core.unit.Moment;
import wrenchnotes.core.unit.Words;

/**
 * Whether a unit may leave the shop. A failed check that stands holds every unit that is said to work; one that is said not to
 * be fixed may leave with its failure on the sheet, if that was said after the failure.
 */
public final class HandoverGate {

    private HandoverGate() {}

    /**
     * @param openSteps steps in and not out again
     * @param lastIn when the unit was last opened; empty if it never was
     * @param closed whether it was closed through the gate after that
     * @param forNow why it was closed for now only; empty if it was not, or was closed for good since
     * @param unchecked what the notes plan to be tested after closing and was not, a sentence each
     * @return what is in the way, a sentence each; empty if it may be handed over
     */
    public static List<String> reasons(
            Tally tally,
            int openSteps,
            Optional<Moment> lastIn,
            boolean closed,
            Optional<String> forNow,
            List<String> unchecked,
            CheckRecord checks,
            Optional<OutcomeGiven> outcome) {
        List<String> reasons = new ArrayList<>();
        if (tally.inTray() > 0) {
            reasons.add("The tray is not empty: " + tally.words() + ".");
        }
        if (tally.undecided() > 0) {
            reasons.add(Words.count(tally.undecided(), "thing is", "things are")
                    + " absent and undecided: replace, or leave out and say why.");
        }
        if (openSteps > 0) {
            reasons.add(Words.count(openSteps, "step is", "steps are") + " still open: put them back in.");
        } else if (lastIn.isPresent() && !closed) {
            reasons.add("The unit is not closed up yet: close it at the bench.");
        }
        forNow.ifPresent(
                why -> reasons.add("It is closed for now only (" + why + "): open it and put right what is left out."));
        List<Check> failed = checks.standingFailures().stream()
                .filter(check -> !saysSo(outcome, check))
                .toList();
        failed.forEach(check -> reasons.add("Failed " + check.stage().words() + ", and not passed since: "
                + check.words() + ". Check it again, take it as a remark, or say that it is not fixed."));
        if (outcome.filter(given -> given.outcome() == Outcome.FIXED).isPresent()) {
            checks.remarks()
                    .forEach(check -> reasons.add("\"" + check.words()
                            + "\" is left as a remark: say fixed with a remark, or check it again."));
        }
        boolean saysItWorks =
                outcome.map(given -> given.outcome().saysItWorks()).orElse(true);
        if (lastIn.isPresent()
                && saysItWorks
                && checks.since(lastIn.get()).last(Stage.AFTER_CLOSING).isEmpty()) {
            reasons.add("Nobody has checked it closed: try it, or say not tested.");
        } else if (lastIn.isPresent() && saysItWorks && failed.isEmpty()) {
            reasons.addAll(unchecked);
        }
        if (outcome.isEmpty()) {
            reasons.add("No outcome yet: say how it ended.");
        } else if (lastIn.isPresent() && outcome.get().at().isBefore(lastIn.get())) {
            reasons.add("The outcome was given before the unit was opened again: say how it ended now.");
        }
        return reasons;
    }

    /** Whether the outcome was given after a failure and does not say that the unit works. */
    private static boolean saysSo(Optional<OutcomeGiven> outcome, Check failed) {
        return outcome.filter(given -> !given.outcome().saysItWorks())
                .filter(given -> !given.at().isBefore(failed.at()))
                .isPresent();
    }
}
