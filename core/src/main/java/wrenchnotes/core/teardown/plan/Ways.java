package wrenchnotes.core.teardown.plan;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A set of steps on its way to reaching every target: some steps are settled, some choices are still open. The choices
 * are which step exposes a target, and which member of a group meets a need. Branching over the first open choice until
 * none is left gives every set of steps that is worth doing: a step more never makes a plan cheaper.
 */
final class Ways {

    private final StepGraph graph;
    private final List<String> targets;
    private final Map<String, PlanStep> chosen;
    private final Map<String, String> memberOf;

    private Ways(StepGraph graph, List<String> targets, Map<String, PlanStep> chosen, Map<String, String> memberOf) {
        this.graph = graph;
        this.targets = targets;
        this.chosen = chosen;
        this.memberOf = memberOf;
    }

    static Ways toAll(StepGraph graph, List<String> targets) {
        return new Ways(graph, targets, Map.of(), Map.of());
    }

    /** In the order of the notes, so that among equally good orders the notes' own is taken. */
    List<PlanStep> steps() {
        return graph.all().stream()
                .filter(step -> chosen.containsKey(step.id()))
                .toList();
    }

    Set<String> ids() {
        return chosen.keySet();
    }

    /** Whether every target is reached and every need is met. */
    boolean whole() {
        return openTarget().isEmpty() && openGroup().isEmpty();
    }

    /** The sets that settle the first open choice, one each; none if it cannot be settled. */
    List<Ways> branches() {
        List<PlanStep> choices = openTarget()
                .map(graph::exposers)
                .orElseGet(() -> graph.members(openGroup().orElseThrow()));
        return choices.stream().flatMap(choice -> with(choice).stream()).toList();
    }

    private Optional<String> openTarget() {
        return targets.stream()
                .filter(target -> graph.exposers(target).stream().noneMatch(step -> chosen.containsKey(step.id())))
                .findFirst();
    }

    private Optional<String> openGroup() {
        return chosen.values().stream()
                .flatMap(step -> step.needs().stream())
                .filter(need -> graph.isGroup(need) && !memberOf.containsKey(need))
                .findFirst();
    }

    /** With a step and all that it needs by name; empty if that would do two members of one group. */
    private Optional<Ways> with(PlanStep step) {
        Map<String, PlanStep> steps = new LinkedHashMap<>(chosen);
        Map<String, String> members = new LinkedHashMap<>(memberOf);
        List<PlanStep> open = new ArrayList<>(List.of(step));
        while (!open.isEmpty()) {
            PlanStep next = open.remove(open.size() - 1);
            if (steps.put(next.id(), next) != null) {
                continue;
            }
            if (next.insteadOf().isPresent()) {
                String other = members.put(next.insteadOf().get(), next.id());
                if (other != null && !other.equals(next.id())) {
                    return Optional.empty();
                }
            }
            next.needs().stream()
                    .filter(need -> !graph.isGroup(need))
                    .map(graph::step)
                    .forEach(open::add);
        }
        return Optional.of(new Ways(graph, targets, steps, members));
    }

    /** What each step needs, by id, with groups replaced by the member that is done. */
    Map<String, Set<String>> needs() {
        Map<String, Set<String>> needs = new LinkedHashMap<>();
        chosen.values().forEach(step -> {
            Set<String> first = new HashSet<>();
            step.needs().forEach(need -> first.add(graph.isGroup(need) ? memberOf.get(need) : need));
            needs.put(step.id(), first);
        });
        return needs;
    }
}
