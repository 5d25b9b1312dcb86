package wrenchnotes.server.bench;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import wrenchnotes.core.bench.Account;
import wrenchnotes.core.bench.Ledger;
import wrenchnotes.core.bench.Tally;
import wrenchnotes.core.job.JobFacts;
import wrenchnotes.core.job.Status;
import wrenchnotes.core.teardown.Assembled;
import wrenchnotes.core.teardown.Connector;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.FastenerShape;
import wrenchnotes.core.teardown.LoosePiece;
import wrenchnotes.core.teardown.Side;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Thing;

/**
 * The bench as the screen shows it.
 *
 * @param version to be sent back in If-Match with the next key press
 * @param stepsInAll how many steps it takes to open all of it; of several ways to the same end one counts
 * @param nextIn the next step in, if there is one
 * @param nextOut the next step out, if one is open
 * @param inTheWay what keeps the unit from being closed up
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
        Optional<Instant> lastIn,
        List<StepView> steps,
        int stepsInAll,
        Optional<String> nextIn,
        Optional<String> nextOut,
        Tally tally,
        String tallyWords,
        List<String> inTheWay,
        boolean canStepBack,
        String before,
        List<Inside.SubAssembly> inside,
        Status status) {

    /**
     * @param open whether it is in and not out again
     * @param revisionId the revision in whose notes it is written: a sub-assembly's for what is inside one
     * @param written its id there
     */
    public record StepView(
            String id,
            long revisionId,
            String written,
            String title,
            String how,
            String caution,
            Set<String> needs,
            Side side,
            String tool,
            double minutes,
            String mustBeTrue,
            String closeUp,
            String insteadOf,
            boolean open,
            List<ThingView> things) {}

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

    static BenchView of(BenchState state, JobFacts facts, List<Inside.SubAssembly> inside) {
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
                facts.lastIn(),
                state.teardown().steps().stream().map(step -> view(step, state)).toList(),
                state.teardown().depth(),
                state.way().nextIn().map(Step::id),
                state.way().nextOut().map(Step::id),
                state.ledger().tally(),
                state.ledger().tally().words(),
                state.inTheWay(facts),
                state.lastStep(facts).isPresent(),
                state.teardown().overview().before(),
                inside,
                Status.of(facts, Instant.now()));
    }

    private static StepView view(Step step, BenchState state) {
        Assembled.Written written = Assembled.written(step.id());
        return new StepView(
                step.id(),
                state.revisionOf(written),
                written.id(),
                step.title(),
                step.how(),
                step.caution(),
                step.needs(),
                step.side(),
                step.tool(),
                step.minutes(),
                step.mustBeTrue(),
                step.closeUp(),
                step.insteadOf(),
                state.way().isOpen(step.id()),
                step.things().stream().map(thing -> view(thing, state.ledger())).toList());
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
