package wrenchnotes.core.teardown.plan;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wrenchnotes.core.teardown.Side;

/**
 * The textbook way to order steps: dynamic programming over every set of done steps, side and tool, with no estimate and
 * no short cut (Held and Karp, J. SIAM 10 (1962), with the state widened by what is in the hand). Too slow for the bench,
 * and for that reason easy to trust.
 */
final class HeldKarp {

    private HeldKarp() {}

    /** Least minutes in which all of these steps can be done. */
    static double leastMinutes(List<PlanStep> steps, Costs costs) {
        int n = steps.size();
        Map<String, Integer> index = new HashMap<>();
        Map<String, Integer> tools = new HashMap<>(Map.of("", 0));
        for (int at = 0; at < n; at++) {
            index.put(steps.get(at).id(), at);
            steps.get(at).tools().forEach(tool -> tools.putIfAbsent(tool, tools.size()));
        }
        int sides = Side.values().length;
        int places = sides * tools.size();
        double[][] least = new double[1 << n][places];
        for (double[] row : least) {
            Arrays.fill(row, Double.POSITIVE_INFINITY);
        }
        least[0][costs.startSide().ordinal() * tools.size()] = 0;
        for (int done = 0; done < 1 << n; done++) {
            for (int place = 0; place < places; place++) {
                if (least[done][place] == Double.POSITIVE_INFINITY) {
                    continue;
                }
                for (int at = 0; at < n; at++) {
                    PlanStep step = steps.get(at);
                    int had = done;
                    boolean ready = (done >> at & 1) == 0
                            && step.needs().stream().allMatch(need -> (had >> index.get(need) & 1) == 1);
                    if (!ready) {
                        continue;
                    }
                    int up = place / tools.size();
                    int inHand = place % tools.size();
                    int held = inHand;
                    int changes = 0;
                    for (String tool : step.tools()) {
                        changes += tools.get(tool) == held ? 0 : 1;
                        held = tools.get(tool);
                    }
                    double paid = least[done][place]
                            + step.minutes()
                            + (step.side().ordinal() == up ? 0 : costs.flipMinutes())
                            + changes * costs.toolMinutes();
                    int then = step.side().ordinal() * tools.size() + held;
                    least[done | 1 << at][then] = Math.min(least[done | 1 << at][then], paid);
                }
            }
        }
        return Arrays.stream(least[(1 << n) - 1]).min().orElseThrow();
    }
}
