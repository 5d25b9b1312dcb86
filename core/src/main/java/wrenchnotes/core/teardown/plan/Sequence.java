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

    private static final int MOST_IN_A_MASK = 62;
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
    private final int[] side;
    private final int[] tool;
    private final int[][] needs;
    private final long[] needMask;
    private final double work;

    private Sequence(List<PlanStep> steps, Map<String, Set<String>> needed, Costs costs) {
        this.steps = steps;
        this.costs = costs;
        int n = steps.size();
        side = new int[n];
        tool = new int[n];
        needs = new int[n][];
        needMask = new long[n];
        Map<String, Integer> index = new HashMap<>();
        Map<String, Integer> tools = new HashMap<>(Map.of("", 0));
        for (int at = 0; at < n; at++) {
            index.put(steps.get(at).id(), at);
            side[at] = steps.get(at).side().ordinal();
            tool[at] = tools.computeIfAbsent(steps.get(at).tool(), name -> tools.size());
        }
        for (int at = 0; at < n; at++) {
            needs[at] =
                    needed.get(steps.get(at).id()).stream().mapToInt(index::get).toArray();
            for (int need : needs[at]) {
                needMask[at] |= n <= MOST_IN_A_MASK ? 1L << need : 0;
            }
        }
        work = steps.stream().mapToDouble(PlanStep::minutes).sum();
    }

    /**
     * @param needed what each step needs, by id; only ids of these steps
     * @param ceiling orders that take as long or longer are of no interest
     * @param budget how many sets of done steps may still be looked at; used up only by more than {@link #EXACT_STEPS}
     */
    static Found best(
            List<PlanStep> steps, Map<String, Set<String>> needed, Costs costs, double ceiling, Budget budget) {
        return new Sequence(steps, needed, costs).search(ceiling, budget);
    }

    /** No set of steps that holds these can be done in less: what {@link #best} starts from, for sets still growing. */
    static double leastMinutes(List<PlanStep> steps, Costs costs) {
        double minutes = steps.stream().mapToDouble(PlanStep::minutes).sum();
        long sides = steps.stream()
                .map(PlanStep::side)
                .filter(one -> one != costs.startSide())
                .distinct()
                .count();
        long tools = steps.stream()
                .map(PlanStep::tool)
                .filter(one -> !one.isEmpty())
                .distinct()
                .count();
        return minutes + sides * costs.flipMinutes() + tools * costs.toolMinutes();
    }

    private Found search(double ceiling, Budget budget) {
        int n = steps.size();
        Rollout start = new Rollout(0, costs.startSide().ordinal(), 0);
        Optional<List<Integer>> greedy = start.toTheEnd();
        if (greedy.isEmpty()) {
            return new Found(Optional.empty(), Double.POSITIVE_INFINITY, true);
        }
        List<Integer> best = greedy.get();
        double lost = start.lost;
        double least = leastMinutes(steps, costs);
        if (n > MOST_IN_A_MASK) {
            boolean exact = work + lost <= least + EPSILON;
            return new Found(below(best, lost, ceiling), exact ? work + lost : least, exact);
        }
        long all = n == 0 ? 0 : -1L >>> (64 - n);
        PriorityQueue<Node> open = new PriorityQueue<>((one, other) -> {
            int byEstimate = Double.compare(one.estimate(), other.estimate());
            return byEstimate != 0
                    ? byEstimate
                    : Long.compare(
                            Long.bitCount(other.state().done()),
                            Long.bitCount(one.state().done()));
        });
        Map<State, Double> reached = new HashMap<>();
        State first = free(new State(0, costs.startSide().ordinal(), 0));
        open.add(new Node(first, 0, estimate(first), null, -1));
        reached.put(first, 0.0);
        boolean limited = n > EXACT_STEPS;
        while (!open.isEmpty()) {
            Node node = open.poll();
            if (node.estimate() >= lost - EPSILON) {
                // Nothing that is left can beat the order in hand.
                return new Found(below(best, lost, ceiling), work + lost, true);
            }
            if (work + node.estimate() >= ceiling - EPSILON) {
                return new Found(Optional.empty(), work + node.estimate(), true);
            }
            if (node.state().done() == all) {
                return new Found(below(read(node), node.lost(), ceiling), work + node.lost(), true);
            }
            if (node.lost() > reached.get(node.state()) + EPSILON) {
                continue;
            }
            if (limited && !budget.take()) {
                open.add(node);
                for (int rolled = 0; rolled < ROLLED_OUT && !open.isEmpty(); rolled++) {
                    Node from = open.poll();
                    Rollout rollout = new Rollout(
                            from.state().done(),
                            from.state().side(),
                            from.state().tool());
                    Optional<List<Integer>> rest = rollout.toTheEnd();
                    if (rest.isPresent() && from.lost() + rollout.lost < lost - EPSILON) {
                        lost = from.lost() + rollout.lost;
                        best = new ArrayList<>(read(from));
                        best.addAll(rest.get());
                    }
                }
                return new Found(below(best, lost, ceiling), work + Math.min(lost, node.estimate()), false);
            }
            for (int next : moves(node.state())) {
                State there = after(node.state(), next);
                double paid = node.lost() + price(node.state(), next);
                if (paid < reached.getOrDefault(there, Double.POSITIVE_INFINITY) - EPSILON) {
                    reached.put(there, paid);
                    open.add(new Node(there, paid, paid + estimate(there), node, next));
                }
            }
        }
        throw new IllegalStateException("The greedy order ends, so the search must");
    }

    private Optional<List<PlanStep>> below(List<Integer> order, double lost, double ceiling) {
        return work + lost >= ceiling - EPSILON
                ? Optional.empty()
                : Optional.of(order.stream().map(steps::get).toList());
    }

    /** One step for each side and tool that could come next. */
    private Iterable<Integer> moves(State state) {
        Map<Integer, Integer> byPlace = new LinkedHashMap<>();
        for (int at = 0; at < steps.size(); at++) {
            if (ready(state.done(), at)) {
                int hand = tool[at] == 0 ? state.tool() : tool[at];
                byPlace.putIfAbsent(side[at] * (steps.size() + 1) + hand, at);
            }
        }
        return byPlace.values();
    }

    private boolean ready(long done, int at) {
        return (done >> at & 1) == 0 && (done & needMask[at]) == needMask[at];
    }

    private State after(State state, int at) {
        return free(new State(state.done() | 1L << at, side[at], tool[at] == 0 ? state.tool() : tool[at]));
    }

    private State free(State state) {
        long done = state.done();
        for (boolean more = true; more; ) {
            more = false;
            for (int at = 0; at < steps.size(); at++) {
                if (ready(done, at) && costsNothing(state, at)) {
                    done |= 1L << at;
                    more = true;
                }
            }
        }
        return new State(done, state.side(), state.tool());
    }

    private boolean costsNothing(State state, int at) {
        return side[at] == state.side() && (tool[at] == 0 || tool[at] == state.tool());
    }

    private double price(State state, int at) {
        return (side[at] == state.side() ? 0 : costs.flipMinutes())
                + (tool[at] == 0 || tool[at] == state.tool() ? 0 : costs.toolMinutes());
    }

    private double estimate(State state) {
        long sides = 0;
        long tools = 0;
        for (int at = 0; at < steps.size(); at++) {
            if ((state.done() >> at & 1) == 0) {
                sides |= 1L << side[at];
                tools |= 1L << tool[at];
            }
        }
        sides &= ~(1L << state.side());
        tools &= ~(1L | 1L << state.tool());
        return Long.bitCount(sides) * costs.flipMinutes() + Long.bitCount(tools) * costs.toolMinutes();
    }

    /** The steps that led to a node, in order, with those that came for free. */
    private List<Integer> read(Node node) {
        List<Integer> moves = new ArrayList<>();
        for (Node at = node; at.before() != null; at = at.before()) {
            moves.add(at.first());
        }
        Collections.reverse(moves);
        List<Integer> order = new ArrayList<>();
        State state = new State(0, costs.startSide().ordinal(), 0);
        state = takeFree(state, order);
        for (int move : moves) {
            order.add(move);
            state = takeFree(
                    new State(state.done() | 1L << move, side[move], tool[move] == 0 ? state.tool() : tool[move]),
                    order);
        }
        return order;
    }

    private State takeFree(State state, List<Integer> order) {
        State now = state;
        for (int at = 0; at < steps.size(); ) {
            if (ready(now.done(), at) && costsNothing(now, at)) {
                order.add(at);
                now = new State(now.done() | 1L << at, now.side(), now.tool());
                at = 0;
            } else {
                at++;
            }
        }
        return now;
    }

    /** The rest of an order, always by the cheapest next step; works for sets of any size. */
    private final class Rollout {

        private final boolean[] done = new boolean[steps.size()];
        private int up;
        private int inHand;
        private double lost;

        Rollout(long mask, int up, int inHand) {
            for (int at = 0; at < Math.min(done.length, MOST_IN_A_MASK); at++) {
                done[at] = (mask >> at & 1) == 1;
            }
            this.up = up;
            this.inHand = inHand;
        }

        /** Empty if the rest need each other in a circle. */
        Optional<List<Integer>> toTheEnd() {
            List<Integer> order = new ArrayList<>();
            int left = 0;
            for (boolean one : done) {
                left += one ? 0 : 1;
            }
            for (; left > 0; left--) {
                int next = cheapest();
                if (next < 0) {
                    return Optional.empty();
                }
                lost += price(next);
                done[next] = true;
                up = side[next];
                inHand = tool[next] == 0 ? inHand : tool[next];
                order.add(next);
            }
            return Optional.of(order);
        }

        private int cheapest() {
            int best = -1;
            for (int at = 0; at < done.length; at++) {
                if (!done[at] && isReady(at) && (best < 0 || price(at) < price(best))) {
                    best = at;
                }
            }
            return best;
        }

        private boolean isReady(int at) {
            for (int need : needs[at]) {
                if (!done[need]) {
                    return false;
                }
            }
            return true;
        }

        private double price(int at) {
            return (side[at] == up ? 0 : costs.flipMinutes())
                    + (tool[at] == 0 || tool[at] == inHand ? 0 : costs.toolMinutes());
        }
    }
}
