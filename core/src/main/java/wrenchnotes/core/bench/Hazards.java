package wrenchnotes.core.bench;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import wrenchnotes.core.teardown.Caution;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.unit.Moment;

/**
 * Which cautions a step stands under. What a step exposes hurts whoever works in the hole that it opened: its caution covers every step
 * that needs it, directly or not, for as long as it is open. Passing it over takes the thing away from nobody's hands, so its caution goes on to
 * them too.
 */
final class Hazards {

    private final Teardown notes;
    private final WayIn way;
    private final PowerLog power;
    private final List<Acknowledgement> acknowledged;

    Hazards(Teardown notes, WayIn way, PowerLog power, List<Acknowledgement> acknowledged) {
        this.notes = notes;
        this.way = way;
        this.power = power;
        this.acknowledged = acknowledged;
    }

    /** In the order of the notes; of live work only its own, since what waits for no power cannot be kept under power. */
    List<Hazard> over(Step step, Instant now) {
        Stream<Step> covering = step.danger().live() ? Stream.of(step) : covering(step).stream();
        return covering.filter(one -> !one.danger().equals(Caution.NONE))
                .map(one -> Hazard.of(one, power, heededAt(one.id()), now))
                .toList();
    }

    /** What is in the way of doing a step, in or out; empty if nothing is. */
    List<String> inTheWay(Step step, Instant now) {
        List<String> reasons = new ArrayList<>();
        if (!step.danger().live() && !power.is(Power.UNPLUGGED)) {
            reasons.add("The unit is "
                    + power.now().map(PowerEntry::power).orElse(Power.OFF).words()
                    + ": switch it off, unplug it and say so, before \"" + step.title() + "\".");
            return reasons;
        }
        over(step, now).forEach(hazard -> hazard.inTheWay().ifPresent(reasons::add));
        return reasons;
    }

    /** What has to be said, one thing after the other; nothing when the step can be done. What follows on power and a wait only they can tell. */
    List<SayFirst> all(Step step, Instant now) {
        if (!step.danger().live() && !power.is(Power.UNPLUGGED)) {
            return List.of(SayFirst.of(SayFirst.What.UNPLUG, Optional.empty()));
        }
        List<Hazard> over = over(step, now);
        Optional<Hazard> wait = over.stream().filter(hazard -> !hazard.waited()).findFirst();
        return wait.isPresent()
                ? List.of(SayFirst.of(SayFirst.What.WAIT, wait))
                : over.stream()
                        .filter(hazard -> !hazard.heeded())
                        .map(hazard -> SayFirst.of(SayFirst.What.HEED, Optional.of(hazard)))
                        .toList();
    }

    private List<Step> covering(Step step) {
        Set<String> met = new HashSet<>();
        follow(step, met);
        return notes.steps().stream().filter(one -> met.contains(one.id())).toList();
    }

    private void follow(Step step, Set<String> met) {
        if (met.add(step.id())) {
            step.needs().stream()
                    .flatMap(need -> notes.has(need) ? Stream.of(notes.step(need)) : notes.members(need).stream())
                    .filter(need -> way.isOpen(need.id()) || way.skipped().contains(need.id()))
                    .forEach(need -> follow(need, met));
        }
    }

    /** When a caution was heeded last, since the last power-up. */
    private Optional<Instant> heededAt(String step) {
        Optional<Moment> live = power.lastLive();
        return acknowledged.stream()
                .filter(one -> one.step().equals(step))
                .filter(one -> live.isEmpty() || !one.moment().isBefore(live.get()))
                .map(one -> one.moment().at())
                .max(Comparator.naturalOrder());
    }
}
