package wrenchnotes.core.teardown.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/** The dull way to plan: tries every order of every set of steps. Shares nothing with the search but the price. */
final class Exhaustive {

    private final List<PlanStep> steps;
    private final List<String> targets;
    private final Costs costs;
    final List<Plan> plans = new ArrayList<>();

    Exhaustive(List<PlanStep> steps, List<String> targets, Costs costs) {
        this.steps = steps;
        this.targets = targets;
        this.costs = costs;
        extend(new ArrayList<>(), new HashSet<>());
    }

    private void extend(List<PlanStep> done, Set<String> met) {
        if (targets.stream().allMatch(target -> done.stream()
                .anyMatch(step -> step.exposes().contains(target)))) {
            plans.add(Plan.of(done, costs));
            return;
        }
        for (PlanStep step : steps) {
            boolean anotherWayDone = step.insteadOf().isPresent()
                    && met.contains(step.insteadOf().get());
            if (!met.contains(step.id()) && !anotherWayDone && met.containsAll(step.needs())) {
                Set<String> then = new HashSet<>(met);
                then.add(step.id());
                step.insteadOf().ifPresent(then::add);
                done.add(step);
                extend(done, then);
                done.remove(done.size() - 1);
            }
        }
    }

    Optional<Plan> best(Comparator<Plan> by, Predicate<Plan> allowed) {
        return plans.stream().filter(allowed).min(by);
    }
}
