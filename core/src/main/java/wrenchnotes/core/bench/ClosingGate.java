package wrenchnotes.core.bench;

import java.util.ArrayList;
import java.util.List;
import wrenchnotes.core.check.CheckRecord;
import wrenchnotes.core.check.Stage;
import wrenchnotes.core.check.Verdict;
import wrenchnotes.core.teardown.Teardown;

/**
 * Whether an opened unit may be closed: every step back in, the ledger balanced, and a look at it before the covers are
 * on. Each reason names what is in the way.
 */
public final class ClosingGate {

    private ClosingGate() {}

    /**
     * @param checks those since the unit was last opened
     * @return what is in the way, a sentence each; empty if the unit may be closed
     */
    public static List<String> reasons(Teardown notes, WayIn way, Ledger ledger, CheckRecord checks) {
        List<String> reasons = new ArrayList<>();
        way.open().stream()
                .map(notes::step)
                .forEach(step -> reasons.add("\"" + step.title() + "\" is still open: put it back in."));
        ledger.unsettled().forEach(open -> reasons.add(open.sentence()));
        checks.last(Stage.BEFORE_CLOSING)
                .ifPresentOrElse(
                        last -> {
                            if (last.verdict() == Verdict.FAILED) {
                                reasons.add("The last check before closing failed: mend it and check again.");
                            }
                        },
                        () -> reasons.add(
                                "Nothing is checked before closing: try it by hand and under power, or say not tested."));
        return reasons;
    }
}
