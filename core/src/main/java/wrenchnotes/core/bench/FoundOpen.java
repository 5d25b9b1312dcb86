package wrenchnotes.core.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wrenchnotes.core.check.CheckRecord;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.teardown.Thing;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Refused;

/** A unit that came half apart is entered as it lies: nobody of this shop opened it, so no caution stands before what is open already. */
final class FoundOpen {

    private Run now;
    private final By by;
    private final Map<String, Integer> lying;
    private final List<Moving.Made> made = new ArrayList<>();

    private FoundOpen(Run before, By by, Map<String, Integer> lying) {
        this.now = before;
        this.by = by;
        this.lying = lying;
    }

    /** The entries that say so, one a step, each as it follows from those before. */
    static List<Moving.Made> made(Run before, By by, Press.FoundOpen said) {
        if (before.lastIn().isPresent()) {
            throw Refused.because("Something was taken off here already: enter what else is off step by step.");
        }
        if (said.steps().isEmpty()) {
            throw new Invalid("steps", "Say which steps were done already");
        }
        Teardown notes = before.notes();
        List<Step> left = new ArrayList<>(notes.steps().stream()
                .filter(step -> said.steps().contains(step.id()))
                .toList());
        said.steps().forEach(notes::step);
        said.lying().keySet().stream()
                .filter(thing -> left.stream().noneMatch(step -> step.things().stream()
                        .anyMatch(one -> one.id().equals(thing))))
                .findFirst()
                .ifPresent(thing -> {
                    throw new Invalid("lying", "No step that is open takes off " + thing);
                });
        FoundOpen open = new FoundOpen(before, by, said.lying());
        while (!left.isEmpty()) {
            Step next = left.stream()
                    .filter(step -> step.needs().stream()
                            .allMatch(need -> notes.met(need, open.now.way().open())))
                    .findFirst()
                    .orElse(left.get(0));
            open.enter(next);
            left.remove(next);
        }
        return open.made;
    }

    private void enter(Step step) {
        List<TakenOff> found = step.things().stream()
                .flatMap(thing -> counted(step, thing).stream())
                .toList();
        Moving.Made one = new Moving(now, by)
                .in(new Press.StepIn(step.id(), found, Basis.TOLD, true, new CheckRecord(List.of())));
        made.add(one);
        now = Run.replayed(now.notes(), now.log().plus(one.entry()));
    }

    /** What was counted: the rest of what should be there came missing, or was used up by whoever opened it. */
    private Optional<TakenOff> counted(Step step, Thing thing) {
        return Optional.ofNullable(lying.get(thing.id())).map(count -> {
            int there = now.ledger().count(thing.id(), Account.FITTED);
            int rest = now.ledger().isCounted(thing.id()) ? Math.max(0, there - count) : 0;
            boolean gone = TakenOff.isUsedUp(step, thing);
            return new TakenOff(thing.id(), count, gone ? 0 : rest, 0, gone ? rest : 0, Basis.COUNTED);
        });
    }
}
