package wrenchnotes.core.bench;

import java.util.List;
import java.util.Optional;
import wrenchnotes.core.check.Check;
import wrenchnotes.core.check.CheckRecord;
import wrenchnotes.core.check.Stage;
import wrenchnotes.core.check.Verdict;
import wrenchnotes.core.teardown.Overview;
import wrenchnotes.core.teardown.Overview.PlannedCheck;

/** What the notes plan to be tested, against what was. */
public final class CheckPlan {

    private CheckPlan() {}

    /**
     * A planned check as it stands.
     *
     * @param missing what is still to be done about it; empty if it is done
     */
    public record DueCheck(PlannedCheck planned, String missing) {}

    /**
     * The planned checks of a stage, in the order of the plan. A check answers a planned one if it says the same words; it
     * is done when the last that does passed often enough, or says that it was not tested.
     *
     * @param checks those since the unit was last opened
     */
    public static List<DueCheck> at(Stage stage, Overview plan, CheckRecord checks) {
        return plan.checksAt(stage).stream()
                .map(planned -> new DueCheck(planned, missing(planned, checks)))
                .toList();
    }

    private static String missing(PlannedCheck planned, CheckRecord checks) {
        Optional<Check> last = checks.checks().stream()
                .filter(check ->
                        check.stage() == planned.stage() && check.what().equalsIgnoreCase(planned.what()))
                .reduce((earlier, later) -> later);
        String name = "\"" + planned.what() + "\"";
        if (last.isEmpty()) {
            return "Not checked " + planned.stage().words() + " yet: " + name + often(planned) + ".";
        }
        if (last.get().verdict() == Verdict.FAILED) {
            return name + " failed: mend it and check again.";
        }
        return last.get().verdict() == Verdict.NOT_TESTED || last.get().times() >= planned.times()
                ? ""
                : name + " was tried " + times(last.get().times()) + "; the plan says " + times(planned.times()) + ".";
    }

    private static String often(PlannedCheck planned) {
        String load = planned.load().isEmpty() ? "" : ", with " + planned.load();
        return (planned.times() == 1 ? "" : ", " + times(planned.times())) + load;
    }

    private static String times(int n) {
        return n == 1 ? "once" : n == 2 ? "twice" : n + " times";
    }
}
