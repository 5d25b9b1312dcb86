package wrenchnotes.core.teardown;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import wrenchnotes.core.unit.Invalid;

/**
 * The notes of one revision in the order they are written. Right by construction: step and thing ids are unique, every
 * need names a step of these notes, and no step needs itself by a detour.
 */
public final class Teardown {

    private static final int MOST_STEPS = 200;

    private final List<Step> steps;
    private final Map<String, Step> byId = new HashMap<>();

    private Teardown(List<Step> steps) {
        this.steps = List.copyOf(steps);
        if (steps.size() > MOST_STEPS) {
            throw new Invalid("steps", steps.size() + " steps; notes hold at most " + MOST_STEPS);
        }
        Set<String> things = new HashSet<>();
        for (int at = 0; at < steps.size(); at++) {
            Step step = steps.get(at);
            if (byId.put(step.id(), step) != null) {
                throw new Invalid("steps[" + at + "].id", "Two steps have the id " + step.id());
            }
            for (Thing thing : step.things()) {
                if (!things.add(thing.id())) {
                    throw new Invalid("steps[" + at + "]", "Two things have the id " + thing.id());
                }
            }
        }
        for (int at = 0; at < steps.size(); at++) {
            for (String need : steps.get(at).needs()) {
                if (!byId.containsKey(need)) {
                    throw new Invalid(
                            "steps[" + at + "].needs",
                            "Step \"" + steps.get(at).title() + "\" needs a step that is not in the notes: " + need);
                }
            }
        }
        refuseCircles();
    }

    /** @throws Invalid naming the step and field at fault, or the circle of steps that need each other */
    public static Teardown of(List<Step> steps) {
        return new Teardown(steps);
    }

    public static Teardown empty() {
        return new Teardown(List.of());
    }

    public List<Step> steps() {
        return steps;
    }

    /** @throws Invalid if these notes have no such step */
    public Step step(String id) {
        Step step = byId.get(id);
        if (step == null) {
            throw new Invalid("step", "These notes have no step " + id);
        }
        return step;
    }

    /** The steps that need this one first, in the order of the notes. */
    public List<Step> dependents(String id) {
        return steps.stream().filter(step -> step.needs().contains(id)).toList();
    }

    public List<Thing> things() {
        return steps.stream().flatMap(step -> step.things().stream()).toList();
    }

    private void refuseCircles() {
        Set<String> clear = new HashSet<>();
        for (Step step : steps) {
            follow(step.id(), new LinkedHashSet<>(), clear);
        }
    }

    private void follow(String id, LinkedHashSet<String> path, Set<String> clear) {
        if (clear.contains(id)) {
            return;
        }
        if (!path.add(id)) {
            throw new Invalid("needs", "These steps need each other in a circle: " + circle(id, path));
        }
        for (String need : byId.get(id).needs()) {
            follow(need, path, clear);
        }
        path.remove(id);
        clear.add(id);
    }

    private String circle(String from, LinkedHashSet<String> path) {
        List<String> round = new ArrayList<>(path);
        round = new ArrayList<>(round.subList(round.indexOf(from), round.size()));
        round.add(from);
        return round.stream().map(id -> byId.get(id).title()).collect(Collectors.joining(" → "));
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Teardown that && steps.equals(that.steps);
    }

    @Override
    public int hashCode() {
        return steps.hashCode();
    }
}
