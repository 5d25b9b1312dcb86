package wrenchnotes.core.teardown.plan;

import java.util.Arrays;
import java.util.List;
import java.util.Random;

/** How long plans take to make: part of {@code make bench}. */
public final class PlanTimes {

    private static final int TIMES = 20;

    private PlanTimes() {}

    public static void main(String[] args) {
        print(14, 50);
        print(18, 1000);
        print(40, 2000);
    }

    private static void print(int steps, double aimMillis) {
        double[] millis = new double[TIMES];
        int exact = 0;
        double worstGap = 0;
        for (int n = -TIMES / 2; n < TIMES; n++) {
            List<PlanStep> notes = AccessPlanTest.hard(new Random(n), steps);
            long begin = System.nanoTime();
            AccessPlan plan = AccessPlan.to(notes, List.of("all"), Costs.USUAL);
            if (n >= 0) {
                millis[n] = (System.nanoTime() - begin) / 1e6;
                exact += plan.exact() ? 1 : 0;
                worstGap = Math.max(worstGap, plan.best().minutes() / plan.lowerBound() - 1);
            }
        }
        Arrays.sort(millis);
        System.out.printf(
                "access plan, %d steps, 6 sides, 6 tools: median %.1f ms, worst of %d %.1f ms, aim %.0f ms; %d exact,"
                        + " worst gap to the bound %.1f %%%n",
                steps, millis[TIMES / 2], TIMES, millis[TIMES - 1], aimMillis, exact, 100 * worstGap);
    }
}
