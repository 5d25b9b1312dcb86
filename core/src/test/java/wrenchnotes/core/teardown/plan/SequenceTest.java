package wrenchnotes.core.teardown.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.teardown.Side;

/** One set of steps in its best order: how little is looked at for it, and what is still true when there is no time. */
class SequenceTest {

    private static final Costs COSTS = new Costs(1, 0.5, Side.TOP);
    private static final double NONE = Double.POSITIVE_INFINITY;

    private static PlanStep step(String id, Set<String> needs, Side side, String tool) {
        return new PlanStep(id, List.copyOf(needs), side, tool, 2, List.of(), Optional.empty(), 0, true);
    }

    /** Loosely tied: each step needs one earlier, in two of three cases. */
    private static List<PlanStep> steps(Random random, int count, int sides, int tools) {
        List<PlanStep> steps = new ArrayList<>();
        for (int n = 0; n < count; n++) {
            Set<String> needs =
                    n == 0 || random.nextInt(3) == 0 ? Set.of() : Set.of("s" + Math.max(0, n - 1 - random.nextInt(4)));
            String tool = random.nextInt(8) == 0 ? "" : "T" + random.nextInt(tools);
            steps.add(step("s" + n, needs, Side.values()[random.nextInt(sides)], tool));
        }
        return steps;
    }

    private static Map<String, Set<String>> needs(List<PlanStep> steps) {
        return steps.stream().collect(Collectors.toMap(PlanStep::id, step -> Set.copyOf(step.needs())));
    }

    private static Sequence.Found best(List<PlanStep> steps, double ceiling, long sets) {
        return Sequence.best(steps, needs(steps), COSTS, ceiling, new Budget(sets));
    }

    private static double minutes(Sequence.Found found, List<PlanStep> steps) {
        List<PlanStep> order = found.order().orElseThrow();
        assertThat(order).containsExactlyInAnyOrderElementsOf(steps);
        Set<String> done = new HashSet<>();
        order.forEach(step -> {
            assertThat(done).containsAll(step.needs());
            done.add(step.id());
        });
        return Plan.of(order, COSTS).minutes();
    }

    /** How many sets of done steps it takes until the answer is exact. */
    private static long setsFor(List<PlanStep> steps) {
        long enough = 1;
        while (!best(steps, NONE, enough).exact()) {
            enough *= 2;
        }
        long low = enough / 2;
        while (enough - low > 1) {
            long middle = (low + enough) / 2;
            if (best(steps, NONE, middle).exact()) {
                enough = middle;
            } else {
                low = middle;
            }
        }
        return enough;
    }

    /**
     * The estimate sees the flips and changes that must still be paid, free steps are taken at once, and the fuller of two equal sets
     * goes first: together they keep what is looked at to a few sets of the 2^19 there are. Counted, not timed, on eight ways.
     */
    @Test
    void fewSetsAreLookedAt() {
        long looked = 0;
        for (int seed = 0; seed < 8; seed++) {
            List<PlanStep> steps = steps(new Random(seed), 19, 3, 3);
            looked += setsFor(steps);
        }
        List<PlanStep> longest = steps(new Random(0), 19, 3, 3);
        assertThat(minutes(best(longest, NONE, 100_000), longest))
                .isCloseTo(HeldKarp.leastMinutes(longest, COSTS), within(1e-9));
        assertThat(looked).isLessThanOrEqualTo(3_300);
    }

    /** Whenever it stops, there is an order that can be done, and no order is quicker than the bound; more time never makes it worse. */
    @Test
    void stoppedAnywhereItSaysHowFarOffItMayBe() {
        int better = 0;
        for (int seed = 0; seed < 12; seed++) {
            List<PlanStep> steps = steps(new Random(seed), 22, 5, 5);
            Sequence.Found whole = best(steps, NONE, 1_000_000);
            assertThat(whole.exact()).isTrue();
            double least = minutes(whole, steps);
            assertThat(whole.bound()).isCloseTo(least, within(1e-9));
            Rollout greedy = new Rollout(new StepTable(steps, needs(steps), COSTS), 0, Side.TOP.ordinal(), 0);
            greedy.toTheEnd();
            double first = 22 * 2 + greedy.lost();
            for (long sets : new long[] {0, 1, 5, 40}) {
                Sequence.Found stopped = best(steps, NONE, sets);
                double found = minutes(stopped, steps);
                assertThat(found).isBetween(least - 1e-9, first + 1e-9);
                assertThat(stopped.bound()).isBetween(44.0, least + 1e-9);
                assertThat(stopped.bound()).isGreaterThanOrEqualTo(Sequence.leastMinutes(steps, COSTS) - 1e-9);
                better += found < first - 1e-9 ? 1 : 0;
            }
        }
        assertThat(better).as("stopped searches that beat the greedy order").isGreaterThanOrEqualTo(33);
    }

    /** Steps that take up several tools, the same one with another trait among them: never worse than the textbook's, which knows no short cut. */
    @Test
    void stepsOfSeveralToolsAreOrderedAsTheTextbookDoes() {
        int changed = 0;
        for (int seed = 0; seed < 150; seed++) {
            Random random = new Random(seed);
            List<PlanStep> steps = new ArrayList<>();
            for (PlanStep one : steps(random, 9, 2, 3)) {
                List<String> tools = new ArrayList<>(one.tools());
                for (int more = random.nextInt(3); more > 0; more--) {
                    tools.add("T" + random.nextInt(3) + (random.nextBoolean() ? " long" : ""));
                }
                steps.add(new PlanStep(
                        one.id(), one.needs(), one.side(), tools, 2, List.of(), Optional.empty(), 0, true));
            }
            double least = HeldKarp.leastMinutes(steps, COSTS);
            Sequence.Found found = best(steps, NONE, 100_000);
            assertThat(minutes(found, steps)).as("seed %s", seed).isCloseTo(least, within(1e-9));
            assertThat(Sequence.leastMinutes(steps, COSTS)).isLessThanOrEqualTo(least + 1e-9);
            changed += steps.stream().anyMatch(step -> !step.firstTool().equals(step.lastTool())) ? 1 : 0;
        }
        assertThat(changed).isGreaterThan(140);
    }

    /** By hand: two other sides and two tools are 2 · 1 + 2 · 0.5 over 4 · 2 minutes; what is up already and bare hands cost nothing. */
    @Test
    void leastMinutesAreOneFlipASideAndOneChangeATool() {
        List<PlanStep> steps = List.of(
                step("a", Set.of(), Side.TOP, "PH1"),
                step("b", Set.of(), Side.BOTTOM, "PH1"),
                step("c", Set.of(), Side.BOTTOM, ""),
                step("d", Set.of(), Side.FRONT, "PH0"));
        assertThat(Sequence.leastMinutes(steps, COSTS)).isEqualTo(8 + 2 + 1);
        assertThat(minutes(best(steps, NONE, 0), steps)).isEqualTo(11);
    }

    @Test
    void anOrderThatIsNoBetterThanTheCeilingIsNotTold() {
        List<PlanStep> steps = steps(new Random(3), 12, 3, 3);
        double least = minutes(best(steps, NONE, 0), steps);
        assertThat(minutes(best(steps, least + 0.01, 0), steps)).isEqualTo(least);
        for (double ceiling : new double[] {least, least - 0.01, 24}) {
            Sequence.Found none = best(steps, ceiling, 0);
            assertThat(none.order()).isEmpty();
            assertThat(none.exact()).isTrue();
            assertThat(none.bound()).isBetween(Math.min(ceiling, least) - 1e-9, least + 1e-9);
        }
    }

    /** More steps than a set of them holds: greedily, and exact where that meets the bound. */
    @Test
    void aVeryLongWayIsGreedyWithABound() {
        List<PlanStep> flat = new ArrayList<>();
        List<PlanStep> zigzag = new ArrayList<>();
        for (int n = 0; n < 70; n++) {
            Set<String> before = n == 0 ? Set.of() : Set.of("s" + (n - 1));
            flat.add(step("s" + n, before, Side.BOTTOM, "PH1"));
            zigzag.add(step("s" + n, before, n % 2 == 0 ? Side.BOTTOM : Side.TOP, "PH1"));
        }
        Collections.reverse(flat);
        Sequence.Found once = best(flat, NONE, 0);
        assertThat(minutes(once, flat)).isEqualTo(140 + 1 + 0.5);
        assertThat(once.exact()).isTrue();
        assertThat(once.bound()).isEqualTo(141.5);
        assertThat(best(flat, 141.5, 0).order()).isEmpty();
        Sequence.Found often = best(zigzag, NONE, 0);
        assertThat(minutes(often, zigzag)).isEqualTo(140 + 70 + 0.5);
        assertThat(often.exact()).isFalse();
        assertThat(often.bound()).isEqualTo(141.5);
    }

    @Test
    void aCircleHasNoOrder() {
        List<PlanStep> steps = List.of(step("a", Set.of("b"), Side.TOP, ""), step("b", Set.of("a"), Side.TOP, ""));
        Sequence.Found none = best(steps, NONE, 0);
        assertThat(none.order()).isEmpty();
        assertThat(none.bound()).isInfinite();
    }
}
