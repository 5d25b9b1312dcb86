package wrenchnotes.server.bench;

import java.util.List;
import java.util.stream.Stream;
import wrenchnotes.core.bench.BothWays;
import wrenchnotes.core.bench.CheckPlan;
import wrenchnotes.core.check.Check;
import wrenchnotes.core.check.CheckRecord;
import wrenchnotes.core.check.Stage;
import wrenchnotes.core.job.JobFacts;
import wrenchnotes.core.teardown.FastenerGroup;

/**
 * What stands between the unit and its closing.
 *
 * @param reasons in the way of closing for good
 * @param reasonsForNow in the way of closing for now
 * @param planned the checks of the plan before closing, or after it once the unit is closed
 * @param watch what is often wrong with this revision
 * @param notTested what goes on untested, and why
 * @param sinceArrival what went and what stayed of what was tried as it came
 * @param borneBy components that were replaced, where nobody knows which thing of the notes they are: asked once
 * @param brokenUnsaid what broke and has no finding yet
 * @param bothWays where the way out does not agree with the way in, or was not counted
 */
public record Gate(
        List<String> reasons,
        List<String> reasonsForNow,
        List<CheckPlan.DueCheck> planned,
        List<Watch> watch,
        List<EndsStore.Temporary> temporary,
        List<EndsStore.FragmentTally> fragments,
        List<String> bothWays,
        List<String> notTested,
        List<String> sinceArrival,
        List<BorneByNobody> borneBy,
        List<String> brokenUnsaid) {

    /** A component that a finding calls replaced, and nothing in the notes is called so. @param things it could be */
    public record BorneByNobody(long component, String name, List<Candidate> things) {}

    public record Candidate(String thing, String label) {}

    /**
     * Something that is often wrong with this revision.
     *
     * @param words what to look at, and how often it was at fault here
     */
    public record Watch(long component, String words, boolean looked) {}

    static Gate of(BenchState state, Beside beside, JobFacts facts) {
        CheckRecord checks = facts.sinceOpened();
        return new Gate(
                state.run().inTheWayOfClosing(beside.ends(), beside.checks(), false),
                state.run().inTheWayOfClosing(beside.ends(), beside.checks(), true),
                planned(state, facts.closed(), checks),
                Watches.of(state, beside.lookedAt(), beside.usual()),
                beside.temporary(),
                beside.fragments(),
                state.run().bothWays().stream()
                        .map(BothWays.CountLine::sentence)
                        .toList(),
                checks.notTested().stream().map(Check::whyNot).toList(),
                beside.checks().sinceArrival(),
                state.run().agreed().borneByNobodyKnows(beside.replaced()).stream()
                        .map(one ->
                                new BorneByNobody(one.component(), one.names().get(0), candidates(state)))
                        .toList(),
                state.run()
                        .agreed()
                        .brokenUnsaid(beside.foundAt().stream()
                                .map(Beside.FoundAt::at)
                                .toList()));
    }

    /** What came off and is no screw. */
    private static List<Candidate> candidates(BenchState state) {
        return state.run().agreed().cameOff().stream()
                .filter(thing -> !(thing instanceof FastenerGroup))
                .map(thing -> new Candidate(thing.id(), thing.label()))
                .toList();
    }

    private static List<CheckPlan.DueCheck> planned(BenchState state, boolean closed, CheckRecord checks) {
        Stream<Stage> stages = closed
                ? Stream.of(state.run().lastIn().isPresent() ? Stage.AFTER_CLOSING : Stage.ARRIVAL)
                : Stream.of(Stage.OPEN, Stage.BEFORE_CLOSING);
        return stages.flatMap(stage -> CheckPlan.at(stage, state.run().notes().overview(), checks).stream())
                .toList();
    }
}
