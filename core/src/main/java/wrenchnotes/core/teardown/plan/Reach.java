package wrenchnotes.core.teardown.plan;

import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;

/**
 * How long it takes to get at each component from what is open now: to compare checks by, so one way for each is enough. Of
 * steps that do the same the one with the fewest minutes of its own is taken; the order is that of {@link AccessPlan} for up to
 * {@value #PLANNED} steps, that of the notes beyond. Never less than the access plan.
 */
public final class Reach {

    private static final int PLANNED = 12;

    private final Teardown notes;
    private final Set<String> open;
    private final Costs costs;

    private Reach(Teardown notes, Set<String> open, Costs costs) {
        this.notes = notes;
        this.open = open;
        this.costs = costs;
    }

    /**
     * @param open ids of steps that are open
     * @return minutes by id of component, 0 if it lies open; components that no step exposes are left out
     */
    public static Map<Long, Double> minutes(Teardown notes, Set<String> open, Costs costs) {
        Map<Long, Double> minutes = new HashMap<>();
        ways(notes, open, costs).forEach((component, way) -> minutes.put(component, way.minutes()));
        return minutes;
    }

    /**
     * @param minutes 0 if it lies open
     * @param steps ids of those still to be taken
     */
    public record WayIn(double minutes, Set<String> steps) {

        /** Whether whoever has gone this way stands before the other component too. */
        public boolean passes(WayIn other) {
            return steps.containsAll(other.steps);
        }
    }

    /** The same with the steps of each way: two components that share some share their minutes. */
    public static Map<Long, WayIn> ways(Teardown notes, Set<String> open, Costs costs) {
        return new Reach(notes, open, costs).all();
    }

    private Map<Long, WayIn> all() {
        Map<Long, WayIn> ways = new HashMap<>();
        for (Step step : notes.steps()) {
            WayIn way = way(step);
            step.exposes()
                    .forEach(component ->
                            ways.merge(component, way, (one, other) -> one.minutes() <= other.minutes() ? one : other));
        }
        return ways;
    }

    private WayIn way(Step to) {
        Set<String> needed = new HashSet<>();
        need(to, needed);
        return new WayIn(minutes(needed, to), Set.copyOf(needed));
    }

    private double minutes(Set<String> needed, Step to) {
        if (needed.isEmpty()) {
            return 0;
        }
        List<PlanStep> steps = notes.steps().stream()
                .filter(step -> needed.contains(step.id()))
                .map(step -> planned(step, needed, step == to))
                .toList();
        return steps.size() <= PLANNED
                ? AccessPlan.to(steps, List.of("it"), costs).best().minutes()
                : Plan.of(steps, costs).minutes();
    }

    private void need(Step step, Set<String> needed) {
        if (open.contains(step.id()) || !needed.add(step.id())) {
            return;
        }
        for (String need : step.needs()) {
            if (notes.met(need, open) || notes.met(need, needed)) {
                continue;
            }
            need(
                    notes.has(need)
                            ? notes.step(need)
                            : notes.members(need).stream()
                                    .min(Comparator.comparingDouble(Step::minutes))
                                    .orElseThrow(),
                    needed);
        }
    }

    /** Only what is still to be done counts; of a group just one is left, so it stands for its group by its own id. */
    private PlanStep planned(Step step, Set<String> among, boolean last) {
        List<String> needs = step.needs().stream()
                .filter(need -> !notes.met(need, open))
                .map(need -> notes.has(need)
                        ? need
                        : notes.members(need).stream()
                                .map(Step::id)
                                .filter(among::contains)
                                .findFirst()
                                .orElseThrow())
                .toList();
        return new PlanStep(
                step.id(),
                needs,
                step.side(),
                step.tools(),
                step.minutes(),
                last ? List.of("it") : List.of(),
                Optional.empty(),
                0,
                true);
    }
}
