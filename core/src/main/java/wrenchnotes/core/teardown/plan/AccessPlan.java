package wrenchnotes.core.teardown.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Spoken;

/**
 * The least work to reach some components: over all sets of steps that would do, and all their orders,
 *
 * <pre>time = Σ step minutes + flips × flip minutes + tool changes × tool minutes</pre>
 *
 * <p>A flip is a change of the side that faces up between consecutive steps, from the start side at first. A tool change
 * is a step that needs a tool other than the one in hand; none is in hand at first, and a step without a tool leaves the
 * one in hand where it is. Sets are searched best first by a bound that no order of them can beat (branch and bound,
 * Land and Doig, Econometrica 28 (1960)), so that only sets that could still win are put in order.
 *
 * @param exact whether {@code best} is proved to be the least; always so while no set in question has more than 18 steps
 *     and there are fewer than some hundred thousand of them
 * @param lowerBound no way takes fewer minutes than this; equal to the best's own when exact
 * @param best least time
 * @param cheapest least cost of parts, then least time
 * @param undoable least time among those that can be undone as made; empty if none can
 */
public record AccessPlan(boolean exact, double lowerBound, Plan best, Plan cheapest, Optional<Plan> undoable) {

    private static final long SETS = 200_000;
    private static final long ORDERS = 60_000;
    private static final double EPSILON = 1e-9;

    /**
     * @param targets names of components; each is reached by any one of the steps that expose it
     * @throws Invalid if a need or a target is unknown, if steps need each other in a circle, or if the targets cannot
     *     be reached; names the circle or the missing piece
     */
    public static AccessPlan to(List<PlanStep> steps, List<String> targets, Costs costs) {
        return to(steps, targets, costs, SETS);
    }

    /** @param most sets of steps that may be looked at for each of the three answers */
    static AccessPlan to(List<PlanStep> steps, List<String> targets, Costs costs, long most) {
        StepGraph graph = new StepGraph(steps);
        List<String> all = targets.stream().distinct().toList();
        if (all.isEmpty()) {
            throw new Invalid("targets", "Say what is to be reached: at least one component");
        }
        for (String target : all) {
            if (graph.exposers(target).isEmpty()) {
                throw new Invalid("targets", "No step exposes " + target + ": write down which one does");
            }
        }
        Search time = new Search(graph, all, costs, Objective.TIME, most).run();
        Plan best = time.best.orElseThrow(() -> new Invalid("targets", time.whyNone()));
        // The quickest way that costs nothing is the cheapest too, and one that can be undone is the one to undo.
        Plan cheapest = best.partsCost() == 0
                ? best
                : new Search(graph, all, costs, Objective.PARTS, most)
                        .run()
                        .best
                        .orElse(best);
        Optional<Plan> undoable =
                best.reversible() ? Optional.of(best) : new Search(graph, all, costs, Objective.UNDO, most).run().best;
        return new AccessPlan(time.exact, Math.min(time.bound, best.minutes()), best, cheapest, undoable);
    }

    /** These steps in the order of the notes: always the first written that needs nothing more, as the bench goes. */
    public static Plan inNotesOrder(List<PlanStep> notes, Plan plan, Costs costs) {
        List<PlanStep> left = new ArrayList<>(
                notes.stream().filter(step -> plan.order().contains(step.id())).toList());
        Set<String> met = new HashSet<>();
        List<PlanStep> order = new ArrayList<>();
        while (!left.isEmpty()) {
            PlanStep next = left.stream()
                    .filter(step -> met.containsAll(step.needs()))
                    .findFirst()
                    .orElseThrow(() -> new Invalid("order", "These steps cannot be done in the order of the notes"));
            left.remove(next);
            order.add(next);
            met.add(next.id());
            next.insteadOf().ifPresent(met::add);
        }
        return Plan.of(order, costs);
    }

    private enum Objective implements Spoken {
        TIME(Candidate::minutes, Candidate::parts, way -> true),
        PARTS(Candidate::parts, Candidate::minutes, way -> true),
        UNDO(Candidate::minutes, Candidate::parts, way -> way.steps().stream().allMatch(PlanStep::reversible));

        private final ToDoubleFunction<Candidate> first;
        private final ToDoubleFunction<Candidate> second;
        private final Predicate<Ways> allows;

        Objective(ToDoubleFunction<Candidate> first, ToDoubleFunction<Candidate> second, Predicate<Ways> allows) {
            this.first = first;
            this.second = second;
            this.allows = allows;
        }

        /** Negative if one is better by more than rounding. */
        int compare(Candidate one, Candidate other) {
            double difference = first.applyAsDouble(one) - first.applyAsDouble(other);
            if (Math.abs(difference) <= EPSILON) {
                difference = second.applyAsDouble(one) - second.applyAsDouble(other);
            }
            return Math.abs(difference) <= EPSILON ? 0 : (int) Math.signum(difference);
        }

        Comparator<Candidate> order() {
            return Comparator.comparingDouble(first).thenComparingDouble(second);
        }
    }

    /** A set with the least it can cost, or, once it is in order, with what it does cost. */
    private record Candidate(Ways ways, double minutes, double parts) {

        static Candidate of(Ways ways, Costs costs) {
            List<PlanStep> steps = ways.steps();
            return new Candidate(
                    ways,
                    Sequence.leastMinutes(steps, costs),
                    steps.stream().mapToLong(PlanStep::partsCost).sum());
        }
    }

    private static final class Search {

        private final StepGraph graph;
        private final Costs costs;
        private final Objective objective;
        private final List<String> targets;
        private final Budget sets;
        private final Budget orders = new Budget(ORDERS);
        private Optional<Candidate> incumbent = Optional.empty();
        private Optional<Plan> best = Optional.empty();
        private Optional<Ways> stuck = Optional.empty();
        private boolean exact = true;
        private double bound = Double.POSITIVE_INFINITY;

        Search(StepGraph graph, List<String> targets, Costs costs, Objective objective, long most) {
            this.graph = graph;
            this.targets = targets;
            this.costs = costs;
            this.objective = objective;
            this.sets = new Budget(most);
        }

        Search run() {
            PriorityQueue<Candidate> open = new PriorityQueue<>(objective.order());
            Set<Set<String>> seen = new HashSet<>();
            open.add(Candidate.of(Ways.toAll(graph, targets), costs));
            while (!open.isEmpty()) {
                Candidate next = open.poll();
                if (incumbent.isPresent() && objective.compare(next, incumbent.get()) >= 0) {
                    break;
                }
                if (next.ways().whole()) {
                    putInOrder(next);
                } else if (sets.take()) {
                    next.ways().branches().stream()
                            .filter(objective.allows)
                            .filter(way -> seen.add(way.ids()))
                            .map(way -> Candidate.of(way, costs))
                            .forEach(open::add);
                } else {
                    giveUpOn(next, open);
                    break;
                }
            }
            best.ifPresent(plan -> bound = Math.min(bound, plan.minutes()));
            return this;
        }

        private void putInOrder(Candidate set) {
            List<PlanStep> steps = set.ways().steps();
            // A dearer set that is as quick may still be wanted for its parts, and the other way round.
            double ceiling = incumbent
                    .filter(standing -> standing.parts() <= set.parts())
                    .map(Candidate::minutes)
                    .orElse(Double.POSITIVE_INFINITY);
            Sequence.Found found = Sequence.best(steps, set.ways().needs(), costs, ceiling, orders);
            if (found.bound() == Double.POSITIVE_INFINITY) {
                stuck = Optional.of(set.ways());
                return;
            }
            if (!found.exact()) {
                exact = false;
                bound = Math.min(bound, found.bound());
            }
            found.order().ifPresent(order -> {
                Plan plan = Plan.of(order, costs);
                Candidate priced = new Candidate(set.ways(), plan.minutes(), set.parts());
                if (incumbent.isEmpty() || objective.compare(priced, incumbent.get()) < 0) {
                    incumbent = Optional.of(priced);
                    best = Optional.of(plan);
                }
            });
        }

        /** Too many sets: the most promising are finished off one by one, the rest only bound the answer. */
        private void giveUpOn(Candidate next, PriorityQueue<Candidate> open) {
            exact = false;
            open.add(next);
            bound = Math.min(
                    bound, open.stream().mapToDouble(Candidate::minutes).min().orElse(bound));
            Budget dives = new Budget(SETS / 10);
            List<Candidate> stack = new ArrayList<>(open);
            stack.sort(objective.order().reversed());
            while (!stack.isEmpty() && best.isEmpty() && dives.take()) {
                Candidate at = stack.remove(stack.size() - 1);
                if (at.ways().whole()) {
                    putInOrder(at);
                } else {
                    at.ways().branches().stream()
                            .filter(objective.allows)
                            .map(way -> Candidate.of(way, costs))
                            .sorted(objective.order().reversed())
                            .forEach(stack::add);
                }
            }
        }

        String whyNone() {
            return stuck.map(way -> "These steps need each other in a circle: " + circle(way.needs()))
                    .orElse("These cannot be reached together: " + String.join(", ", targets)
                            + ". What they need are ways that stand in each other's place");
        }

        private static String circle(Map<String, Set<String>> needs) {
            // Whoever has all it needs is no part of a circle; walking on from what is left must come round.
            Map<String, Set<String>> left = new java.util.LinkedHashMap<>(needs);
            while (left.entrySet().removeIf(step -> step.getValue().stream().noneMatch(left::containsKey))) {
                continue;
            }
            LinkedHashSet<String> path = new LinkedHashSet<>();
            String at = left.keySet().iterator().next();
            while (path.add(at)) {
                at = left.get(at).stream().filter(left::containsKey).findFirst().orElseThrow();
            }
            List<String> round = new ArrayList<>(path);
            round = new ArrayList<>(round.subList(round.indexOf(at), round.size()));
            round.add(at);
            return String.join(" → ", round);
        }
    }
}
