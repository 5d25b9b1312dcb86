package wrenchnotes.core.teardown.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import wrenchnotes.core.unit.Invalid;

/**
 * Steps, what each needs, and which do the same. Right by construction: ids are unique, every need is a step or a group,
 * and no step needs itself by a detour that has no alternative.
 */
final class StepGraph {

    private static final int MOST_STEPS = 400;

    private final List<PlanStep> inOrder;
    private final Map<String, PlanStep> steps = new LinkedHashMap<>();
    private final Map<String, List<PlanStep>> groups = new LinkedHashMap<>();
    private final Map<String, List<PlanStep>> exposers = new HashMap<>();

    /** @throws Invalid naming the step at fault, or the circle of steps that need each other */
    StepGraph(List<PlanStep> all) {
        if (all.size() > MOST_STEPS) {
            throw new Invalid("steps", all.size() + " steps; a plan is made over at most " + MOST_STEPS);
        }
        inOrder = List.copyOf(all);
        for (int at = 0; at < all.size(); at++) {
            PlanStep step = all.get(at);
            if (steps.put(step.id(), step) != null) {
                throw new Invalid("steps[" + at + "].id", "Two steps have the id " + step.id());
            }
            step.insteadOf().ifPresent(group -> groups.computeIfAbsent(group, name -> new ArrayList<>())
                    .add(step));
            step.exposes().stream().distinct().forEach(component -> exposers.computeIfAbsent(
                            component, name -> new ArrayList<>())
                    .add(step));
        }
        for (int at = 0; at < all.size(); at++) {
            PlanStep step = all.get(at);
            if (step.insteadOf().filter(steps::containsKey).isPresent()) {
                throw new Invalid(
                        "steps[" + at + "].insteadOf",
                        "The group " + step.insteadOf().get() + " has the id of a step: give it another name");
            }
            for (String need : step.needs()) {
                if (!steps.containsKey(need) && !groups.containsKey(need)) {
                    throw new Invalid(
                            "steps[" + at + "].needs",
                            "Step " + step.id() + " needs " + need + ", which is neither a step nor a group");
                }
            }
        }
        refuseCircles();
    }

    PlanStep step(String id) {
        return steps.get(id);
    }

    boolean isGroup(String need) {
        return groups.containsKey(need);
    }

    List<PlanStep> members(String group) {
        return groups.get(group);
    }

    List<PlanStep> exposers(String component) {
        return exposers.getOrDefault(component, List.of());
    }

    /** In the order of the notes. */
    List<PlanStep> all() {
        return inOrder;
    }

    private void refuseCircles() {
        Set<String> clear = new LinkedHashSet<>();
        for (String id : steps.keySet()) {
            follow(id, new LinkedHashSet<>(), clear);
        }
    }

    /** Only along needs that name a step: one that names a group can be met by another of its members. */
    private void follow(String id, LinkedHashSet<String> path, Set<String> clear) {
        if (clear.contains(id)) {
            return;
        }
        if (!path.add(id)) {
            List<String> round = new ArrayList<>(path);
            round = new ArrayList<>(round.subList(round.indexOf(id), round.size()));
            round.add(id);
            throw new Invalid("needs", "These steps need each other in a circle: " + String.join(" → ", round));
        }
        for (String need : steps.get(id).needs()) {
            if (steps.containsKey(need)) {
                follow(need, path, clear);
            }
        }
        path.remove(id);
        clear.add(id);
    }
}
