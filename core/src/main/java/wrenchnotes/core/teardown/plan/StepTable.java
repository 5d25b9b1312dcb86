package wrenchnotes.core.teardown.plan;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Steps by number: which side each wants up, which tool in hand to begin and which it ends with (0: none), which other steps before it, and
 * what changing over costs. What is changed within a step is changed in every order and is part of its own minutes.
 */
final class StepTable {

    /** So many steps fit a set that is a {@code long}. */
    static final int MOST_IN_A_SET = 62;

    private final Costs costs;
    private final int[] side;
    private final int[] first;
    private final int[] last;
    private final int[][] needs;
    private final long[] needSet;

    /** @param needed what each step needs, by id; only ids of these steps */
    StepTable(List<PlanStep> steps, Map<String, Set<String>> needed, Costs costs) {
        this.costs = costs;
        int n = steps.size();
        side = new int[n];
        first = new int[n];
        last = new int[n];
        needs = new int[n][];
        needSet = new long[n];
        Map<String, Integer> index = new HashMap<>();
        Map<String, Integer> tools = new HashMap<>(Map.of("", 0));
        for (int at = 0; at < n; at++) {
            index.put(steps.get(at).id(), at);
            side[at] = steps.get(at).side().ordinal();
            first[at] = tools.computeIfAbsent(steps.get(at).firstTool(), name -> tools.size());
        }
        for (int at = 0; at < n; at++) {
            last[at] = tools.computeIfAbsent(steps.get(at).lastTool(), name -> tools.size());
            needs[at] =
                    needed.get(steps.get(at).id()).stream().mapToInt(index::get).toArray();
            for (int need : needs[at]) {
                needSet[at] |= n <= MOST_IN_A_SET ? 1L << need : 0;
            }
        }
    }

    int size() {
        return side.length;
    }

    int side(int at) {
        return side[at];
    }

    /** What is in hand once a step is done. */
    int inHandAfter(int inHand, int at) {
        return last[at] == 0 ? inHand : last[at];
    }

    /** Whether a step can come next. */
    boolean ready(long done, int at) {
        return (done >> at & 1) == 0 && (done & needSet[at]) == needSet[at];
    }

    /** As {@link #ready(long, int)}, for any number of steps. */
    boolean ready(boolean[] done, int at) {
        boolean ready = !done[at];
        for (int need : needs[at]) {
            ready &= done[need];
        }
        return ready;
    }

    /** Whether a step can be done as the unit lies and with what is in hand. */
    boolean changesNothing(int up, int inHand, int at) {
        return side[at] == up && startsWith(inHand, at) && inHandAfter(inHand, at) == inHand;
    }

    /** Whether it ends with another tool than it begins with: no other step is as good as it in its place. */
    boolean changesTools(int at) {
        return first[at] != last[at];
    }

    private boolean startsWith(int inHand, int at) {
        return first[at] == 0 || first[at] == inHand;
    }

    /** What a step costs beside its own minutes: the flip and the tool change before it. */
    double price(int up, int inHand, int at) {
        return (side[at] == up ? 0 : costs.flipMinutes()) + (startsWith(inHand, at) ? 0 : costs.toolMinutes());
    }

    /**
     * What is left must pay at least one flip for each other side in it, and one change for each tool that a step begins with, unless it is in
     * hand or another step that is left may end with it.
     */
    double leastToPay(long done, int up, int inHand) {
        long sides = 0;
        long tools = 0;
        long endedWith = 0;
        for (int at = 0; at < size(); at++) {
            if ((done >> at & 1) == 0) {
                sides |= 1L << side[at];
                tools |= bit(first[at]);
                endedWith |= changesTools(at) ? bit(last[at]) : 0;
            }
        }
        sides &= ~(1L << up);
        tools &= ~(1L | bit(inHand) | endedWith);
        return Long.bitCount(sides) * costs.flipMinutes() + Long.bitCount(tools) * costs.toolMinutes();
    }

    /** Tools that a step begins with are numbered first, so all of them fit the set; the others are never counted. */
    private static long bit(int tool) {
        return tool < Long.SIZE ? 1L << tool : 0;
    }
}
