package wrenchnotes.server.teardown;

import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import wrenchnotes.core.teardown.Caution;
import wrenchnotes.core.teardown.Connector;
import wrenchnotes.core.teardown.Doing;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.LoosePiece;
import wrenchnotes.core.teardown.Order;
import wrenchnotes.core.teardown.Photo;
import wrenchnotes.core.teardown.Side;
import wrenchnotes.core.teardown.Staying;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Things;
import wrenchnotes.core.teardown.Toll;
import wrenchnotes.core.unit.Invalid;

/**
 * A step as it goes over the API. Lists, sets, texts and what follows {@code exposes} may be left out (null): they are then
 * empty, and the step is the only way, costs no parts and can be undone.
 */
public record StepSaid(
        String id,
        String title,
        String how,
        String caution,
        Set<String> needs,
        Side side,
        String tool,
        double minutes,
        List<FastenerGroup> fasteners,
        List<Connector> connectors,
        List<LoosePiece> pieces,
        Set<Long> exposes,
        String insteadOf,
        Long partsMinor,
        Boolean reversible,
        String mustBeTrue,
        String closeUp,
        Set<String> backAfter,
        Integer waitHours,
        List<Photo> photos,
        Boolean live,
        Boolean leadOnly,
        List<Staying> stays) {

    static StepSaid of(Step step) {
        return new StepSaid(
                step.id(),
                step.title(),
                step.how(),
                step.caution(),
                step.needs(),
                step.side(),
                step.tool(),
                step.minutes(),
                step.off().fasteners(),
                step.off().connectors(),
                step.off().pieces(),
                step.exposes(),
                step.insteadOf(),
                step.partsMinor(),
                step.reversible(),
                step.mustBeTrue(),
                step.closeUp(),
                step.backAfter(),
                step.waitHours(),
                step.photos(),
                step.danger().live(),
                step.danger().leadOnly(),
                step.stays());
    }

    static List<StepSaid> of(List<Step> steps) {
        return steps.stream().map(StepSaid::of).toList();
    }

    /** @throws Invalid naming the step by its place, and the field at fault */
    static List<Step> steps(List<StepSaid> said) {
        return IntStream.range(0, said.size())
                .mapToObj(at -> said.get(at).step("steps[" + at + "]"))
                .toList();
    }

    /** @throws Invalid naming the field at fault, below {@code at} */
    Step step(String at) {
        try {
            return step();
        } catch (Invalid e) {
            throw new Invalid(at + "." + e.field(), e.getMessage());
        }
    }

    private Step step() {
        return new Step(
                id,
                title,
                new Doing(how, side, tool, minutes, mustBeTrue, closeUp),
                new Caution(
                        caution,
                        waitHours == null ? 0 : waitHours,
                        Boolean.TRUE.equals(live),
                        Boolean.TRUE.equals(leadOnly)),
                new Order(needs, insteadOf, backAfter),
                new Toll(partsMinor == null ? 0 : partsMinor, reversible == null || reversible),
                new Things(fasteners, connectors, pieces),
                exposes,
                photos,
                stays);
    }
}
