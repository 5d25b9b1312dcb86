package wrenchnotes.core.teardown.plan;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The best order of one set of steps: fewest minutes lost to flips and tool changes, with what needs what respected.
 *
 * <p>A* (Hart, Nilsson and Raphael, "A Formal Basis for the Heuristic Determination of Minimum Cost Paths", IEEE Trans.
 * SSC 4 (1968)) over the sets of done steps, as in Held and Karp's dynamic programme for sequencing (J. SIAM 10 (1962)).
 * Two things keep the sets few. A step that costs nothing now, since its side is up and its tool in hand (or none is
 * needed), is done at once: taking it out of a later place never adds a change, putting it here adds none, and what needs
 * it only gets freer. And what is still to do must pay at least one flip for each other side in it and one change for
 * each tool that is not in hand: that estimate never exceeds the truth and never falls by more than a move costs, so the
 * first finished order is the best.
 */
final class Sequence {

    /** Sets of at most so many steps are always ordered exactly. */
    static final int EXACT_STEPS = 18;

    private static final int ROLLED_OUT = 200;
    private static final double EPSILON = 1e-9;

    /**
     * @param order empty if the steps need each other in a circle, or if no order is below the ceiling
     * @param bound no order of these steps takes less, in minutes; equal to the order's own when it is exact
     */
    record Found(Optional<List<PlanStep>> order, double bound, boolean exact) {}

    private record State(long done, int side, int tool) {}

    /** @param first the step that led here; what follows from it for free is worked out again when the order is read */
    private record Node(State state, double lost, double estimate, Node before, int first) {}

    private final List<PlanStep> steps;
    private final Costs costs;
    private final StepTable table;
    private final double ceiling;
    private final double work;
    /** The best order in hand, and what it loses. */
    private List<Integer> best = List.of();

    private double lost;

    private Sequence(List<PlanStep> steps, Map<String, Set<String>> needed, Costs costs, double ceiling) {
        this.steps = steps;
        this.costs = costs;
        this.table = new StepTable(steps, needed, costs);
        this.ceiling = ceiling;
        this.work = work(steps, costs);
    }

    /**
     * @param needed what each step needs, by id; only ids of these steps
     * @param ceiling orders that take as long or longer are of no interest
     * @param budget how many sets of done steps may still be looked at; used up only by more than {@link #EXACT_STEPS}
     */
    static Found best(
            List<PlanStep> steps, Map<String, Set<String>> needed, Costs costs, double ceiling, Budget budget) {
        return new Sequence(steps, needed, costs, ceiling).search(budget);
    }

    /** No set of steps that holds these can be done in less: what {@link #best} starts from, for sets still growing. */
    static double leastMinutes(List<PlanStep> steps, Costs costs) {
        double minutes = work(steps, costs);
        Set<String> endedWith = steps.stream()
                .filter(one -> !one.firstTool().equals(one.lastTool()))
                .map(PlanStep::lastTool)
                .collect(Collectors.toSet());
        long sides = steps.stream()
                .map(PlanStep::side)
                .filter(one -> one != costs.startSide())
                .distinct()
                .count();
        long tools = steps.stream()
                .map(PlanStep::firstTool)
                .filter(one -> !one.isEmpty() && !endedWith.contains(one))
                .distinct()
                .count();
        return minutes + sides * costs.flipMinutes() + tools * costs.toolMinutes();
    }

    /** What is the same in every order: the steps' own minutes, and what is changed within them. */
    private static double work(List<PlanStep> steps, Costs costs) {
        return steps.stream()
                .mapToDouble(step -> step.minutes() + step.changesWithin() * costs.toolMinutes())
                .sum();
    }

    private Found search(Budget budget) {
        Rollout greedy = new Rollout(table, 0, costs.startSide().ordinal(), 0);
        Optional<List<Integer>> order = greedy.toTheEnd();
        if (order.isEmpty()) {
            return new Found(Optional.empty(), Double.POSITIVE_INFINITY, true);
        }
        best = order.get();
        lost = greedy.lost();
        if (table.size() <= StepTable.MOST_IN_A_SET) {
            return searchSets(budget);
        }
        double least = leastMinutes(steps, costs);
        boolean exact = work + lost <= least + EPSILON;
        return new Found(belowCeiling(), exact ? work + lost : least, exact);
    }

    private Found searchSets(Budget budget) {
        int n = table.size();
        long all = n == 0 ? 0 : -1L >>> (64 - n);
        PriorityQueue<Node> open = new PriorityQueue<>(Sequence::cheapestThenFullest);
        Map<State, Double> reached = new HashMap<>();
        State first = free(new State(0, costs.startSide().ordinal(), 0));
        open.add(new Node(first, 0, estimate(first), null, -1));
        reached.put(first, 0.0);
        while (!open.isEmpty()) {
            Node node = open.poll();
            if (node.estimate() >= lost - EPSILON) {
                // Nothing that is left can beat the order in hand.
                return new Found(belowCeiling(), work + lost, true);
            }
            if (work + node.estimate() >= ceiling - EPSILON) {
                return new Found(Optional.empty(), work + node.estimate(), true);
            }
            if (node.state().done() == all) {
                inHand(read(node), node.lost());
                return new Found(belowCeiling(), work + lost, true);
            }
            if (node.lost() > reached.get(node.state()) + EPSILON) {
                continue;
            }
            if (n > EXACT_STEPS && !budget.take()) {
                open.add(node);
                rollOut(open);
                return new Found(belowCeiling(), work + Math.min(lost, node.estimate()), false);
            }
            goOn(node, reached, open);
        }
        throw new IllegalStateException("The greedy order ends, so the search must");
    }

    private static int cheapestThenFullest(Node one, Node other) {
        int byEstimate = Double.compare(one.estimate(), other.estimate());
        return byEstimate != 0
                ? byEstimate
                : Long.compare(
                        Long.bitCount(other.state().done()),
                        Long.bitCount(one.state().done()));
    }

    private void goOn(Node node, Map<State, Double> reached, PriorityQueue<Node> open) {
        State here = node.state();
        for (int next : moves(here)) {
            State there = free(done(here, next));
            double paid = node.lost() + table.price(here.side(), here.tool(), next);
            if (paid < reached.getOrDefault(there, Double.POSITIVE_INFINITY) - EPSILON) {
                reached.put(there, paid);
                open.add(new Node(there, paid, paid + estimate(there), node, next));
            }
        }
    }

    /** There is no time for more: the most promising beginnings are ended greedily, and the best of them is taken. */
    private void rollOut(PriorityQueue<Node> open) {
        for (int rolled = 0; rolled < ROLLED_OUT && !open.isEmpty(); rolled++) {
            Node from = open.poll();
            State at = from.state();
            Rollout rollout = new Rollout(table, at.done(), at.side(), at.tool());
            Optional<List<Integer>> rest = rollout.toTheEnd();
            if (rest.isPresent() && from.lost() + rollout.lost() < lost - EPSILON) {
                List<Integer> order = new ArrayList<>(read(from));
                order.addAll(rest.get());
                inHand(order, from.lost() + rollout.lost());
            }
        }
    }

    private void inHand(List<Integer> order, double loses) {
        best = order;
        lost = loses;
    }

    private Optional<List<PlanStep>> belowCeiling() {
        return work + lost >= ceiling - EPSILON
                ? Optional.empty()
                : Optional.of(best.stream().map(steps::get).toList());
    }

    /** One step for each side and tool that could come next, and each that ends with another tool than it begins with. */
    private Iterable<Integer> moves(State state) {
        Map<Integer, Integer> byPlace = new LinkedHashMap<>();
        for (int at = 0; at < table.size(); at++) {
            if (table.ready(state.done(), at)) {
                int place = table.side(at) * (2 * table.size() + 1) + table.inHandAfter(state.tool(), at);
                byPlace.putIfAbsent(table.changesTools(at) ? -1 - at : place, at);
            }
        }
        return byPlace.values();
    }

    private State done(State state, int at) {
        return new State(state.done() | 1L << at, table.side(at), table.inHandAfter(state.tool(), at));
    }

    private State free(State state) {
        return takeFree(state, new ArrayList<>());
    }

    /** Does whatever costs nothing now, and what that makes free. */
    private State takeFree(State state, List<Integer> order) {
        State now = state;
        for (int at = 0; at < table.size(); ) {
            if (table.ready(now.done(), at) && table.changesNothing(now.side(), now.tool(), at)) {
                order.add(at);
                now = done(now, at);
                at = 0;
            } else {
                at++;
            }
        }
        return now;
    }

    private double estimate(State state) {
        return table.leastToPay(state.done(), state.side(), state.tool());
    }

    /** The steps that led to a node, in order, with those that came for free. */
    private List<Integer> read(Node node) {
        List<Integer> moves = new ArrayList<>();
        for (Node at = node; at.before() != null; at = at.before()) {
            moves.add(at.first());
        }
        Collections.reverse(moves);
        List<Integer> order = new ArrayList<>();
        State state = takeFree(new State(0, costs.startSide().ordinal(), 0), order);
        for (int move : moves) {
            order.add(move);
            state = takeFree(done(state, move), order);
        }
        return order;
    }
}
