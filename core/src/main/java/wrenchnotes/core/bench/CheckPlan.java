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
     * The planned checks of a stage, in the order of the plan. A check answers a planned one if it is the one, or says the same words; it
     * is done when the last that does passed as planned (with that load, so often, covers on where it says so), or says that it was not tested.
     *
     * @param checks those since the unit was last opened
     */
    public static List<DueCheck> at(Stage stage, Overview plan, CheckRecord checks) {
        return plan.checksAt(stage).stream()
                .map(planned -> new DueCheck(planned, missing(planned, checks)))
                .toList();
    }

    /**
     * What the plan wants tried before a step goes back and was not, a sentence each. Passing it over is saying that it is not tested, and why.
     *
     * @param checks those since the unit was last opened
     */
    static List<String> before(String step, Overview plan, CheckRecord checks) {
        return plan.checks().stream()
                .filter(planned -> planned.terms().beforeStep().equals(step))
                .map(planned -> missing(planned, checks))
                .filter(missing -> !missing.isEmpty())
                .toList();
    }

    private static String missing(PlannedCheck planned, CheckRecord checks) {
        String name = "\"" + planned.what() + "\"";
        List<Check> tried = checks.checks().stream()
                .filter(check -> check.stage() == planned.stage() && is(check, planned))
                .toList();
        Optional<Check> last = tried.stream()
                .filter(check ->
                        check.verdict() == Verdict.NOT_TESTED || check.load().equalsIgnoreCase(planned.load()))
                .reduce((earlier, later) -> later);
        if (last.isEmpty()) {
            return tried.isEmpty()
                    ? "Not checked " + planned.stage().words() + " yet: " + name + often(planned) + "."
                    : name + " was tried " + with(tried.get(tried.size() - 1).load()) + "; the plan says "
                            + with(planned.load()) + ".";
        }
        Check check = last.get();
        if (check.verdict() == Verdict.FAILED) {
            return check.asRemark().isPresent() ? "" : name + " failed: mend it and check again.";
        }
        if (check.verdict() == Verdict.NOT_TESTED) {
            return "";
        }
        if (planned.terms().coversOn() && !check.coversOn()) {
            return name + " was tried with the covers off; the plan says covers on.";
        }
        return check.times() >= planned.times()
                ? ""
                : name + " was tried " + times(check.times()) + "; the plan says " + times(planned.times()) + ".";
    }

    /** Whether a check is this one of the plan, with whatever load. */
    public static boolean is(Check check, PlannedCheck planned) {
        return check.planned().filter(planned.id()::equals).isPresent()
                || check.what().equalsIgnoreCase(planned.what());
    }

    private static String with(String load) {
        return load.isEmpty() ? "without a load" : "with " + load;
    }

    private static String often(PlannedCheck planned) {
        String load = planned.load().isEmpty() ? "" : ", with " + planned.load();
        return (planned.times() == 1 ? "" : ", " + times(planned.times())) + load;
    }

    private static String times(int n) {
        return n == 1 ? "once" : n == 2 ? "twice" : n + " times";
    }
}
