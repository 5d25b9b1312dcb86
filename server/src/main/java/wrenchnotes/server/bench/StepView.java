package wrenchnotes.server.bench;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import wrenchnotes.core.bench.Hazard;
import wrenchnotes.core.bench.SayFirst;
import wrenchnotes.core.diagnosis.advice.WorkHazard;
import wrenchnotes.core.teardown.Assembled;
import wrenchnotes.core.teardown.Photo;
import wrenchnotes.core.teardown.Side;
import wrenchnotes.core.teardown.Staying;
import wrenchnotes.core.teardown.Step;

/**
 * A step as the bench shows it.
 *
 * @param open whether it is in and not out again
 * @param skipped whether it was passed over on this run
 * @param live whether it is work under power
 * @param sayFirst what has to be said before it; empty when it can be done
 * @param over the cautions that it stands under, its own among them
 * @param tryFirst what the plan wants tried before it goes back, and was not
 * @param mind what can hurt in work with such tools and things
 * @param saidIn what was said of it while it was open
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
        boolean live,
        boolean leadOnly,
        Optional<SayFirst> sayFirst,
        List<Hazard> over,
        List<String> mind,
        List<String> tryFirst,
        List<ThingView> things,
        List<Photo> photos,
        List<Staying> stays,
        List<SaidThen> saidIn) {

    static StepView of(Step step, BenchState state, Beside beside, Instant now) {
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
                step.danger().live(),
                step.danger().leadOnly(),
                state.run().sayFirst(step, now),
                state.run().over(step, now),
                WorkHazard.of(Optional.empty(), step.tool(), step.title(), step.how()).stream()
                        .map(WorkHazard::caution)
                        .toList(),
                state.run().inTheWayOfGoingBack(step, beside.checks()),
                step.things().stream()
                        .map(thing ->
                                ThingView.of(step, thing, state.run().ledger()).in(beside.altered()))
                        .toList(),
                step.photos(),
                step.stays(),
                beside.said().stream().filter(said -> said.isOf(step)).toList());
    }
}
