package wrenchnotes.core.teardown.plan;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.Head;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.teardown.Thing;

/**
 * A plan made from a revision's notes, with all that a bench wants to know before it starts.
 *
 * @param plan the order and its price
 * @param notesMinutes what the same steps cost in the order of the notes
 * @param likely how long it will take in this shop
 * @param tools to lay out, in the order they are taken up
 * @param fasteners how many will be off, by head, of those that are counted and whose head is known; in the order of the heads
 * @param notCounted how many groups of fasteners or pieces nobody has counted or seen close to yet
 * @param connectors how many will be unplugged
 * @param pieces how many loose pieces will lie on the mat
 * @param cautions of its steps, each once, in the order they are met
 * @param waitHours how long the unit must have been left off, the longest of its steps
 * @param back the steps in the order they go back in, the notes' exceptions respected
 */
public record Access(
        Plan plan,
        double notesMinutes,
        LikelyTime likely,
        List<String> tools,
        Map<Head, Integer> fasteners,
        int notCounted,
        int connectors,
        int pieces,
        List<String> cautions,
        int waitHours,
        List<String> back) {

    /**
     * @param exact whether the first offer is proved to be the least
     * @param lowerBound no way takes fewer minutes
     * @param time the quickest
     * @param parts the one that costs least in parts
     * @param undo the quickest that leaves the unit as made; empty if there is none
     */
    public record Offers(boolean exact, double lowerBound, Access time, Access parts, Optional<Access> undo) {}

    /**
     * @param targets ids of components
     * @param recorded minutes that the steps took in this shop, by step id
     * @throws wrenchnotes.core.unit.Invalid if they cannot be reached with these notes
     */
    public static Offers to(Teardown notes, Set<Long> targets, Costs costs, Map<String, List<Double>> recorded) {
        List<PlanStep> steps = notes.steps().stream().map(Access::asPlanned).toList();
        AccessPlan plan =
                AccessPlan.to(steps, targets.stream().map(String::valueOf).toList(), costs);
        Function<Plan, Access> tell = one -> of(notes, steps, one, costs, recorded);
        return new Offers(
                plan.exact(),
                plan.lowerBound(),
                tell.apply(plan.best()),
                tell.apply(plan.cheapest()),
                plan.undoable().map(tell));
    }

    private static PlanStep asPlanned(Step step) {
        return new PlanStep(
                step.id(),
                List.copyOf(step.needs()),
                step.side(),
                step.tools(),
                step.minutes(),
                step.exposes().stream().map(String::valueOf).toList(),
                Optional.of(step.insteadOf()),
                step.partsMinor(),
                step.reversible());
    }

    private static Access of(
            Teardown notes, List<PlanStep> planned, Plan plan, Costs costs, Map<String, List<Double>> recorded) {
        List<Step> steps = plan.order().stream().map(notes::step).toList();
        return new Access(
                plan,
                AccessPlan.inNotesOrder(planned, plan, costs).minutes(),
                LikelyTime.of(plan, notes, recorded),
                List.copyOf(steps.stream()
                        .flatMap(step -> step.tools().stream())
                        .collect(Collectors.toCollection(LinkedHashSet::new))),
                steps.stream()
                        .flatMap(step -> step.fasteners().stream())
                        .filter(group -> group.hasCount() && group.head().isPresent())
                        .collect(Collectors.groupingBy(
                                group -> group.head().orElseThrow(),
                                () -> new EnumMap<>(Head.class),
                                Collectors.summingInt(FastenerGroup::asMade))),
                (int) steps.stream()
                        .flatMap(step -> step.things().stream())
                        .filter(thing -> !thing.hasCount()
                                || thing instanceof FastenerGroup group
                                        && group.head().isEmpty())
                        .count(),
                asMade(steps, step -> step.off().connectors()),
                asMade(steps, step -> step.off().pieces()),
                steps.stream()
                        .map(Step::caution)
                        .filter(caution -> !caution.isEmpty())
                        .distinct()
                        .toList(),
                steps.stream().mapToInt(Step::waitHours).max().orElse(0),
                back(notes, plan.order()));
    }

    private static int asMade(List<Step> steps, Function<Step, List<? extends Thing>> some) {
        return steps.stream()
                .flatMap(step -> some.apply(step).stream())
                .filter(Thing::hasCount)
                .mapToInt(Thing::asMade)
                .sum();
    }

    /** Last in first out, but for what must wait for something else. */
    private static List<String> back(Teardown notes, List<String> order) {
        List<String> open = new ArrayList<>(order);
        List<String> back = new ArrayList<>();
        while (!open.isEmpty()) {
            for (int at = open.size() - 1; at >= 0; at--) {
                if (notes.goBackBefore(open.get(at)).stream().noneMatch(step -> open.contains(step.id()))) {
                    back.add(open.remove(at));
                    break;
                }
            }
        }
        return back;
    }
}
