package wrenchnotes.core.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import wrenchnotes.core.check.CheckRecord;
import wrenchnotes.core.check.Stage;
import wrenchnotes.core.teardown.Teardown;

/**
 * Whether an opened unit may be closed: every step back in, the ledger balanced, nothing temporary and no fragment left
 * inside, and what the notes plan to be tested before the covers are on. Each reason names what is in the way.
 */
public final class ClosingGate {

    private ClosingGate() {}

    /**
     * @param checks those since the unit was last opened
     * @return what is in the way of closing for good, a sentence each; empty if the unit may be closed
     */
    public static List<String> reasons(Teardown notes, WayIn way, Ledger ledger, OpenEnds ends, CheckRecord checks) {
        List<String> temporary = ends.temporary().stream()
                .map(one -> one.stays()
                        .map(stays -> "For now only: " + one.words() + " (" + stays.why() + "). Put it right.")
                        .orElse("For the test only: " + one.words() + ". Put it right."))
                .toList();
        return reasons(notes, way, ledger.unsettled(), temporary, ends, checks);
    }

    /**
     * As {@link #reasons}, for a unit that its owner needs while something is still to come: what is left out for now, and what is temporary
     * and was said on this run to stay in, is not in the way; everything else is.
     */
    public static List<String> reasonsForNow(
            Teardown notes, WayIn way, Ledger ledger, OpenEnds ends, Optional<RunRecord> run, CheckRecord checks) {
        List<String> temporary = ends.temporary().stream()
                .filter(one -> !one.staysOn(run))
                .map(OpenEnds.ForTheTest::sentence)
                .toList();
        return reasons(notes, way, ledger.unsettledForNow(), temporary, ends, checks);
    }

    private static List<String> reasons(
            Teardown notes,
            WayIn way,
            List<Unsettled> unsettled,
            List<String> temporary,
            OpenEnds ends,
            CheckRecord checks) {
        List<String> reasons = new ArrayList<>();
        way.open().stream()
                .map(notes::step)
                .forEach(step -> reasons.add("\"" + step.title() + "\" is still open: put it back in."));
        unsettled.forEach(open -> reasons.add(open.sentence()));
        ends.fragments().stream()
                .map(OpenEnds.Piece::tally)
                .filter(tally -> tally.stillInside() > 0)
                .forEach(tally -> reasons.add(tally.sentence()));
        reasons.addAll(temporary);
        List<CheckPlan.DueCheck> planned = Stream.of(Stage.OPEN, Stage.BEFORE_CLOSING)
                .flatMap(stage -> CheckPlan.at(stage, notes.overview(), checks).stream())
                .toList();
        if (planned.isEmpty() && checks.last(Stage.BEFORE_CLOSING).isEmpty()) {
            reasons.add("Nothing is checked before closing: try it by hand and under power, or say not tested.");
        }
        planned.stream()
                .map(CheckPlan.DueCheck::missing)
                .filter(missing -> !missing.isEmpty())
                .forEach(reasons::add);
        checks.standingFailures().stream()
                .filter(failed -> planned.stream()
                        .filter(due -> !due.missing().isEmpty())
                        .noneMatch(due -> CheckPlan.is(failed, due.planned())))
                .map(failed -> "\"" + failed.words() + "\" failed: mend it and check again, or take it as a remark.")
                .forEach(reasons::add);
        return reasons;
    }
}
