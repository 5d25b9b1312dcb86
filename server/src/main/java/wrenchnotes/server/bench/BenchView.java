package wrenchnotes.server.bench;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import wrenchnotes.core.bench.BothWays;
import wrenchnotes.core.bench.CheckPlan;
import wrenchnotes.core.bench.LookAlikes;
import wrenchnotes.core.bench.Rework;
import wrenchnotes.core.bench.Run;
import wrenchnotes.core.bench.RunRecord;
import wrenchnotes.core.bench.Tally;
import wrenchnotes.core.bench.Wait;
import wrenchnotes.core.check.CheckRecord;
import wrenchnotes.core.check.Stage;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.job.JobFacts;
import wrenchnotes.core.job.Status;
import wrenchnotes.core.teardown.Assembled;
import wrenchnotes.core.teardown.Photo;
import wrenchnotes.core.teardown.Side;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.unit.Moment;

/**
 * The bench as the screen shows it.
 *
 * @param version to be sent back in If-Match with the next key press
 * @param run the run that is under way; empty while the unit is closed
 * @param gate what stands between the unit and its closing
 * @param canStepBack whether there is a step to take back
 * @param inside sub-assemblies that can be gone into now
 */
public record BenchView(
        UnitView unit,
        long version,
        StandView stand,
        Optional<RunView> run,
        WayView way,
        Gate gate,
        boolean canStepBack,
        List<Inside.SubAssembly> inside) {

    /** @param before the state the unit must be in before step one */
    public record UnitView(
            long jobId, String tag, String model, String revision, long revisionId, String complaint, String before) {}

    /**
     * How far the unit is open.
     *
     * @param opened whether it was ever opened
     * @param startsAgain whether a run can begin only with a reason, since the unit was closed for good
     * @param reworks how often it was, and why
     */
    public record StandView(
            boolean opened,
            boolean closed,
            boolean startsAgain,
            List<String> reworks,
            Optional<Instant> lastIn,
            Tally tally,
            String tallyWords,
            Status status) {}

    /**
     * @param stepsInAll how many steps the way has; of several ways to the same end one counts
     * @param nextIn the next step in, if there is one
     * @param waits what the next step in has to wait for
     * @param keepApart what must not be swapped once the next step is in, a sentence each
     * @param nextOut the next step out, if one is open
     * @param lastReach what is still off and can no longer be reached once the next step is out
     */
    public record WayView(
            List<StepView> steps,
            int stepsInAll,
            Optional<String> nextIn,
            Optional<Wait> waits,
            List<String> keepApart,
            Optional<String> nextOut,
            List<ThingView> lastReach) {}

    /**
     * @param route ids of the steps of the way that was chosen; none for all of the notes
     * @param pausedSince empty unless the clock stands still
     */
    public record RunView(
            Instant startedAt,
            String startedBy,
            List<Long> targets,
            List<String> route,
            Optional<Rework> rework,
            String words,
            Optional<Instant> pausedSince) {}

    /**
     * What stands between the unit and its closing.
     *
     * @param reasons in the way of closing for good
     * @param reasonsForNow in the way of closing for now
     * @param planned the checks of the plan before closing, or after it once the unit is closed
     * @param watch what is often wrong with this revision
     * @param bothWays where the way out does not agree with the way in, or was not counted
     */
    public record Gate(
            List<String> reasons,
            List<String> reasonsForNow,
            List<CheckPlan.DueCheck> planned,
            List<Watch> watch,
            List<EndsStore.Temporary> temporary,
            List<EndsStore.FragmentTally> fragments,
            List<String> bothWays) {}

    /**
     * Something that is often wrong with this revision.
     *
     * @param words what to look at, and how often it was at fault here
     */
    public record Watch(long component, String words, boolean looked) {}

    /**
     * @param open whether it is in and not out again
     * @param skipped whether it was passed over on this run
     * @param cell what its cell of the mat is called: what lies in it
     * @param revisionId the revision in whose notes it is written: a sub-assembly's for what is inside one
     * @param written its id there
     */
    public record StepView(
            String id,
            long revisionId,
            String written,
            String title,
            String cell,
            String how,
            String caution,
            Set<String> needs,
            Side side,
            String tool,
            double minutes,
            String mustBeTrue,
            String closeUp,
            String insteadOf,
            boolean reversible,
            boolean open,
            boolean skipped,
            List<ThingView> things,
            List<Photo> photos) {}

    static BenchView of(BenchState state, Beside beside, List<Inside.SubAssembly> inside, Instant now) {
        JobFacts facts = state.facts(beside);
        return new BenchView(
                unit(state),
                state.job().benchVersion(),
                stand(state, beside, facts, now),
                state.run().underWay().map(BenchView::run),
                way(state, now),
                gate(state, beside, facts),
                state.run().lastStep().isPresent(),
                inside);
    }

    private static UnitView unit(BenchState state) {
        Job job = state.job();
        return new UnitView(
                job.id(),
                job.tag(),
                job.unit().model(),
                job.unit().revision(),
                job.revisionId(),
                job.brought().complaint(),
                state.run().notes().overview().before());
    }

    private static StandView stand(BenchState state, Beside beside, JobFacts facts, Instant now) {
        Run run = state.run();
        return new StandView(
                state.opened(),
                facts.closed(),
                run.wasClosedForGood(beside.lastClosing()),
                run.reworks().stream().map(one -> one.why().sentence()).toList(),
                run.lastIn().map(Moment::at),
                run.ledger().tally(),
                run.ledger().tally().words(),
                Status.of(facts, now));
    }

    private static RunView run(RunRecord run) {
        return new RunView(
                run.started().at(),
                run.startedBy(),
                run.route().targets(),
                run.route().steps(),
                run.why().rework(),
                run.why().words(),
                run.pausedSince());
    }

    private static WayView way(BenchState state, Instant now) {
        Run run = state.run();
        Optional<Step> nextIn = run.nextIn();
        return new WayView(
                run.notes().steps().stream().map(step -> view(step, state)).toList(),
                run.stepsInAll(),
                nextIn.map(Step::id),
                nextIn.flatMap(step -> run.waitBefore(step, now)),
                nextIn.map(step -> LookAlikes.of(step, run.ledger())).orElse(List.of()),
                run.way().nextOut().map(Step::id),
                run.lastReach().stream()
                        .map(thing -> ThingView.of(thing, run.ledger()))
                        .toList());
    }

    private static Gate gate(BenchState state, Beside beside, JobFacts facts) {
        Stage stage = facts.closed() ? Stage.AFTER_CLOSING : Stage.BEFORE_CLOSING;
        CheckRecord checks = facts.lastIn().map(facts.checks()::since).orElse(new CheckRecord(List.of()));
        return new Gate(
                state.run().inTheWayOfClosing(beside.ends(), beside.checks(), false),
                state.run().inTheWayOfClosing(beside.ends(), beside.checks(), true),
                CheckPlan.at(stage, state.run().notes().overview(), checks),
                Watches.of(state, beside.lookedAt(), beside.usual()),
                beside.temporary(),
                beside.fragments(),
                state.run().bothWays().stream()
                        .map(BothWays.CountLine::sentence)
                        .toList());
    }

    private static StepView view(Step step, BenchState state) {
        Assembled.Written written = Assembled.written(step.id());
        return new StepView(
                step.id(),
                state.revisionOf(written),
                written.id(),
                step.title(),
                step.cell(),
                step.how(),
                step.caution(),
                step.needs(),
                step.side(),
                step.tool(),
                step.minutes(),
                step.mustBeTrue(),
                step.closeUp(),
                step.insteadOf(),
                step.reversible(),
                state.run().way().isOpen(step.id()),
                state.run().way().skipped().contains(step.id()),
                step.things().stream()
                        .map(thing -> ThingView.of(thing, state.run().ledger()))
                        .toList(),
                step.photos());
    }
}
