package wrenchnotes.server.bench;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import wrenchnotes.core.bench.Account;
import wrenchnotes.core.bench.BothWays;
import wrenchnotes.core.bench.CheckPlan;
import wrenchnotes.core.bench.LastReach;
import wrenchnotes.core.bench.Ledger;
import wrenchnotes.core.bench.LookAlikes;
import wrenchnotes.core.bench.Rework;
import wrenchnotes.core.bench.Tally;
import wrenchnotes.core.check.CheckRecord;
import wrenchnotes.core.check.Stage;
import wrenchnotes.core.job.JobFacts;
import wrenchnotes.core.job.Status;
import wrenchnotes.core.teardown.Assembled;
import wrenchnotes.core.teardown.Connector;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.FastenerShape;
import wrenchnotes.core.teardown.LoosePiece;
import wrenchnotes.core.teardown.Photo;
import wrenchnotes.core.teardown.Side;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Thing;
import wrenchnotes.core.unit.Moment;

/**
 * The bench as the screen shows it.
 *
 * @param version to be sent back in If-Match with the next key press
 * @param run the run that is under way; empty while the unit is closed
 * @param startsAgain whether a run can begin only with a reason, since the unit was closed for good
 * @param reworks how often it was, and why
 * @param stepsInAll how many steps the way has; of several ways to the same end one counts
 * @param nextIn the next step in, if there is one
 * @param waits what the next step in has to wait for
 * @param keepApart what must not be swapped once the next step is in, a sentence each
 * @param nextOut the next step out, if one is open
 * @param lastReach what is still off and can no longer be reached once the next step is out
 * @param gate what stands between the unit and its closing
 * @param canStepBack whether there is a step to take back
 * @param before the state the unit must be in before step one
 * @param inside sub-assemblies that can be gone into now
 */
public record BenchView(
        long jobId,
        String tag,
        String model,
        String revision,
        long revisionId,
        String complaint,
        long version,
        boolean opened,
        boolean closed,
        Optional<RunView> run,
        boolean startsAgain,
        List<String> reworks,
        Optional<Instant> lastIn,
        List<StepView> steps,
        int stepsInAll,
        Optional<String> nextIn,
        Optional<Waits.Wait> waits,
        List<String> keepApart,
        Optional<String> nextOut,
        List<ThingView> lastReach,
        Tally tally,
        String tallyWords,
        Gate gate,
        boolean canStepBack,
        String before,
        List<Inside.SubAssembly> inside,
        Status status) {

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

    public enum ThingKind {
        FASTENER,
        CONNECTOR,
        PIECE
    }

    /**
     * @param hint orientation mark of a connector, or how a loose piece sits
     * @param accounts where its places are, by account; none that hold nothing
     * @param group the fastener as the notes have it; empty for connectors and pieces
     */
    public record ThingView(
            String id,
            ThingKind kind,
            String label,
            String hint,
            int count,
            Map<Account, Integer> accounts,
            Optional<FastenerGroup> group,
            Optional<FastenerShape> shape) {}

    static BenchView of(BenchState state, Beside beside, List<Inside.SubAssembly> inside, Instant now) {
        JobFacts facts = state.facts(beside);
        Optional<Step> nextIn = state.nextIn();
        Optional<Step> nextOut = state.way().nextOut();
        return new BenchView(
                state.job().id(),
                state.job().tag(),
                state.job().model(),
                state.job().revision(),
                state.job().revisionId(),
                state.job().complaint(),
                state.job().benchVersion(),
                state.opened(),
                facts.closed(),
                state.run()
                        .map(run -> new RunView(
                                run.started().at(),
                                run.startedBy(),
                                run.targets(),
                                run.route(),
                                run.rework(),
                                run.words(),
                                run.pausedSince())),
                state.run().isEmpty()
                        && facts.lastIn().isPresent()
                        && facts.closedForNow().isEmpty(),
                state.runs().reworks().stream()
                        .map(run -> run.rework().orElseThrow().words()
                                + (run.words().isEmpty() ? "" : ": " + run.words()))
                        .toList(),
                facts.lastIn().map(Moment::at),
                state.teardown().steps().stream().map(step -> view(step, state)).toList(),
                state.runs().route().isEmpty()
                        ? state.teardown().depth()
                        : state.runs().route().size(),
                nextIn.map(Step::id),
                nextIn.flatMap(step -> Waits.of(step, state.run(), now)),
                nextIn.map(step -> LookAlikes.of(step, state.ledger())).orElse(List.of()),
                nextOut.map(Step::id),
                nextOut
                        .map(step -> LastReach.before(state.teardown(), state.way(), state.ledger(), step.id()))
                        .orElse(List.of())
                        .stream()
                        .map(thing -> view(thing, state.ledger()))
                        .toList(),
                state.ledger().tally(),
                state.ledger().tally().words(),
                gate(state, beside, facts),
                state.lastStep().isPresent(),
                state.teardown().overview().before(),
                inside,
                Status.of(facts, now));
    }

    private static Gate gate(BenchState state, Beside beside, JobFacts facts) {
        Stage stage = facts.closed() ? Stage.AFTER_CLOSING : Stage.BEFORE_CLOSING;
        CheckRecord checks = facts.lastIn().map(facts.checks()::since).orElse(new CheckRecord(List.of()));
        return new Gate(
                state.inTheWay(facts, beside.ends()),
                state.inTheWayForNow(facts, beside.ends()),
                CheckPlan.at(stage, state.teardown().overview(), checks),
                Watches.of(state, beside.lookedAt(), beside.usual()),
                beside.temporary(),
                beside.fragments(),
                state.bothWays().stream().map(BothWays.CountLine::sentence).toList());
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
                state.way().isOpen(step.id()),
                state.way().skipped().contains(step.id()),
                step.things().stream().map(thing -> view(thing, state.ledger())).toList(),
                step.photos());
    }

    private static ThingView view(Thing thing, Ledger ledger) {
        Map<Account, Integer> accounts = ledger.accounts(thing.id());
        if (thing instanceof FastenerGroup group) {
            return new ThingView(
                    group.id(),
                    ThingKind.FASTENER,
                    group.label(),
                    "",
                    group.count(),
                    accounts,
                    Optional.of(group),
                    Optional.of(FastenerShape.of(group)));
        }
        if (thing instanceof Connector connector) {
            return plain(thing, ThingKind.CONNECTOR, connector.mark(), accounts);
        }
        return plain(thing, ThingKind.PIECE, ((LoosePiece) thing).hint(), accounts);
    }

    private static ThingView plain(Thing thing, ThingKind kind, String hint, Map<Account, Integer> accounts) {
        return new ThingView(
                thing.id(), kind, thing.label(), hint, thing.count(), accounts, Optional.empty(), Optional.empty());
    }
}
