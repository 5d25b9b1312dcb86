package wrenchnotes.core.teardown.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.teardown.Side;
import wrenchnotes.core.unit.Invalid;

/** The plan against an exhaustive search, and against a case worked by hand. */
class AccessPlanTest {

    private static final Offset<Double> ROUNDING = within(1e-6);
    private static final Comparator<Plan> TIME =
            Comparator.comparingDouble(Plan::minutes).thenComparingLong(Plan::partsCost);
    private static final Comparator<Plan> PARTS =
            Comparator.comparingLong(Plan::partsCost).thenComparingDouble(Plan::minutes);

    @Property(tries = 4000)
    void noOrderOfAnySetIsBetter(@ForAll long seed) {
        Random random = new Random(seed);
        List<PlanStep> steps = randomSteps(random, 1 + random.nextInt(7));
        List<String> targets = random.nextInt(3) == 0 ? List.of("c0", "c1") : List.of("c0");
        Costs costs = new Costs(random.nextInt(4) * 0.5, random.nextInt(3) * 0.25, Side.TOP);
        Exhaustive dull = new Exhaustive(steps, targets, costs);
        if (dull.plans.isEmpty()) {
            assertThatThrownBy(() -> AccessPlan.to(steps, targets, costs)).isInstanceOf(Invalid.class);
            return;
        }
        AccessPlan plan = AccessPlan.to(steps, targets, costs);

        assertThat(plan.exact()).isTrue();
        Plan quickest = dull.best(TIME, any -> true).orElseThrow();
        assertThat(plan.best().minutes()).isCloseTo(quickest.minutes(), ROUNDING);
        assertThat(plan.lowerBound()).isCloseTo(quickest.minutes(), ROUNDING);
        assertThat(plan.best().partsCost()).isEqualTo(quickest.partsCost());
        Plan cheapest = dull.best(PARTS, any -> true).orElseThrow();
        assertThat(plan.cheapest().partsCost()).isEqualTo(cheapest.partsCost());
        assertThat(plan.cheapest().minutes()).isCloseTo(cheapest.minutes(), ROUNDING);
        Optional<Plan> undoable = dull.best(TIME, Plan::reversible);
        assertThat(plan.undoable().isPresent()).isEqualTo(undoable.isPresent());
        undoable.ifPresent(
                best -> assertThat(plan.undoable().orElseThrow().minutes()).isCloseTo(best.minutes(), ROUNDING));
        for (Plan answer : List.of(plan.best(), plan.cheapest(), plan.undoable().orElse(plan.best()))) {
            assertCanBeDone(answer, steps, targets, costs);
        }
    }

    /** Stopped after any number of sets there is a way that can be done, and nothing is quicker than the bound. */
    @Property(tries = 400)
    void stoppedEarlyItIsAWayWithABound(@ForAll long seed) {
        Random random = new Random(seed);
        List<PlanStep> steps = randomSteps(random, 3 + random.nextInt(5));
        Costs costs = new Costs(random.nextInt(4) * 0.5, random.nextInt(3) * 0.25, Side.TOP);
        Exhaustive dull = new Exhaustive(steps, List.of("c0"), costs);
        if (dull.plans.isEmpty()) {
            return;
        }
        Plan quickest = dull.best(TIME, any -> true).orElseThrow();
        for (int most = 0; most < 4; most++) {
            AccessPlan plan = AccessPlan.to(steps, List.of("c0"), costs, most);
            assertCanBeDone(plan.best(), steps, List.of("c0"), costs);
            assertThat(plan.best().minutes()).isGreaterThanOrEqualTo(quickest.minutes() - 1e-6);
            assertThat(plan.lowerBound()).isBetween(0.0, quickest.minutes() + 1e-6);
            if (plan.exact()) {
                assertThat(plan.best().minutes()).isCloseTo(quickest.minutes(), ROUNDING);
            }
        }
    }

    /** Larger than an exhaustive search can be: up to 13 steps, against the textbook's dynamic programme. */
    @Property(tries = 150)
    void agreesWithHeldAndKarpOnLongerWays(@ForAll long seed) {
        Random random = new Random(seed);
        List<PlanStep> steps = hard(random, 8 + random.nextInt(6));
        Costs costs = new Costs(random.nextInt(4) * 0.5, random.nextInt(3) * 0.25, Side.BOTTOM);
        AccessPlan plan = AccessPlan.to(steps, List.of("all"), costs);
        assertThat(plan.exact()).isTrue();
        assertThat(plan.best().minutes()).isCloseTo(HeldKarp.leastMinutes(steps, costs), ROUNDING);
        assertCanBeDone(plan.best(), steps, List.of("all"), costs);
    }

    /** The price of a plan never falls when what it must reach grows, or when turning and changing get dearer. */
    @Property(tries = 300)
    void moreToReachAndDearerChangesNeverCostLess(@ForAll long seed) {
        Random random = new Random(seed);
        List<PlanStep> steps = randomSteps(random, 3 + random.nextInt(5));
        Costs cheap = new Costs(0.5, 0.25, Side.TOP);
        Costs dear = new Costs(1.5, 0.75, Side.TOP);
        Optional<AccessPlan> one = planned(steps, List.of("c0"), cheap);
        Optional<AccessPlan> both = planned(steps, List.of("c0", "c1"), cheap);
        Optional<AccessPlan> dearer = planned(steps, List.of("c0"), dear);
        assertThat(dearer.isPresent()).isEqualTo(one.isPresent());
        one.ifPresent(plan -> {
            assertThat(dearer.orElseThrow().best().minutes())
                    .isGreaterThanOrEqualTo(plan.best().minutes() - 1e-6);
            both.ifPresent(wider -> assertThat(wider.best().minutes())
                    .isGreaterThanOrEqualTo(plan.best().minutes() - 1e-6));
        });
        assertThat(one.isEmpty() && both.isPresent())
                .as("both, but not one of them")
                .isFalse();
    }

    private static Optional<AccessPlan> planned(List<PlanStep> steps, List<String> targets, Costs costs) {
        try {
            return Optional.of(AccessPlan.to(steps, targets, costs));
        } catch (Invalid e) {
            return Optional.empty();
        }
    }

    private static void assertCanBeDone(Plan plan, List<PlanStep> steps, List<String> targets, Costs costs) {
        Set<String> met = new HashSet<>();
        Set<String> reached = new HashSet<>();
        List<PlanStep> order = plan.order().stream()
                .map(id -> steps.stream()
                        .filter(step -> step.id().equals(id))
                        .findFirst()
                        .orElseThrow())
                .toList();
        for (PlanStep step : order) {
            assertThat(met).as("before %s in %s", step.id(), plan.order()).containsAll(step.needs());
            assertThat(met.add(step.id())).isTrue();
            step.insteadOf()
                    .ifPresent(group ->
                            assertThat(met.add(group)).as("one of " + group).isTrue());
            reached.addAll(step.exposes());
        }
        assertThat(reached).containsAll(targets);
        assertThat(Plan.of(order, costs)).isEqualTo(plan);
    }

    /** Needs point back, so that there are circles only by way of a group. */
    private static List<PlanStep> randomSteps(Random random, int count) {
        List<PlanStep> steps = new ArrayList<>();
        List<String> groups = new ArrayList<>();
        List<Optional<String>> memberOf = new ArrayList<>();
        for (int n = 0; n < count; n++) {
            Optional<String> group = random.nextInt(3) == 0 ? Optional.of("g" + random.nextInt(2)) : Optional.empty();
            memberOf.add(group);
            group.ifPresent(groups::add);
        }
        for (int n = 0; n < count; n++) {
            List<String> needs = new ArrayList<>();
            for (int earlier = 0; earlier < n; earlier++) {
                if (random.nextInt(3) == 0) {
                    needs.add("s" + earlier);
                }
            }
            if (!groups.isEmpty() && random.nextInt(3) == 0) {
                needs.add(groups.get(random.nextInt(groups.size())));
            }
            List<String> exposes = new ArrayList<>();
            for (int component = 0; component < 2; component++) {
                if (random.nextInt(count) < 2) {
                    exposes.add("c" + component);
                }
            }
            steps.add(new PlanStep(
                    "s" + n,
                    needs,
                    Side.values()[random.nextInt(3)],
                    List.of("", "PH0", "PH1").get(random.nextInt(3)),
                    random.nextInt(5) * 0.5,
                    exposes,
                    memberOf.get(n),
                    random.nextInt(3) * 100L,
                    random.nextInt(4) > 0));
        }
        return steps;
    }

    @Test
    void rivetsOrFrame() {
        // Worked by hand: 1 flip (0.5) and the tool changes PH1, cutter or PH1, PH0 (0.25 each).
        List<PlanStep> steps = List.of(
                step("foot", List.of(), Side.BOTTOM, "PH1", 3),
                new PlanStep("rivets", List.of("foot"), Side.BOTTOM, "cutter", 4, null, Optional.of("plate"), 0, false),
                new PlanStep("frame", List.of("foot"), Side.BOTTOM, "PH1", 40, null, Optional.of("plate"), 3200, true),
                new PlanStep("lens", List.of("plate"), Side.TOP, "PH0", 2, List.of("lens"), Optional.empty(), 0, true));
        AccessPlan plan = AccessPlan.to(steps, List.of("lens"), new Costs(0.5, 0.25, Side.TOP));
        assertThat(plan.best().order()).containsExactly("foot", "rivets", "lens");
        assertThat(plan.best().minutes()).isCloseTo(3 + 4 + 2 + 2 * 0.5 + 3 * 0.25, ROUNDING);
        assertThat(plan.best().reversible()).isFalse();
        assertThat(plan.cheapest()).isEqualTo(plan.best());
        assertThat(plan.undoable().orElseThrow().order()).containsExactly("foot", "frame", "lens");
        assertThat(plan.undoable().orElseThrow().minutes()).isCloseTo(3 + 40 + 2 + 2 * 0.5 + 2 * 0.25, ROUNDING);
        assertThat(plan.undoable().orElseThrow().partsCost()).isEqualTo(3200);
    }

    @Test
    void goesRoundTheUnitOnceWhereTheNotesTurnItFourTimes() {
        List<PlanStep> notes = List.of(
                step("a", List.of(), Side.BOTTOM, "PH1", 1),
                step("b", List.of(), Side.TOP, "PH1", 1),
                step("c", List.of("a"), Side.BOTTOM, "PH0", 1),
                step("d", List.of("b"), Side.TOP, "PH0", 1),
                new PlanStep("e", List.of("c", "d"), Side.TOP, "", 1, List.of("fan"), Optional.empty(), 0, true));
        Costs costs = new Costs(1, 0.5, Side.BOTTOM);
        AccessPlan plan = AccessPlan.to(notes, List.of("fan"), costs);
        assertThat(plan.best().flips()).isEqualTo(1);
        assertThat(AccessPlan.inNotesOrder(notes, plan.best(), costs).flips()).isEqualTo(3);
    }

    @Test
    void namesWhatIsMissingAndWhatGoesRound() {
        PlanStep lid = step("lid", List.of(), Side.TOP, "", 1);
        assertThatThrownBy(() -> AccessPlan.to(List.of(lid), List.of("lens"), Costs.USUAL))
                .isInstanceOf(Invalid.class)
                .hasMessageContaining("lens");
        assertThatThrownBy(() -> AccessPlan.to(
                        List.of(step("lid", List.of("cap"), Side.TOP, "", 1)), List.of("lens"), Costs.USUAL))
                .hasMessageContaining("cap");
        assertThatThrownBy(() -> AccessPlan.to(
                        List.of(step("x", List.of("y"), Side.TOP, "", 1), step("y", List.of("x"), Side.TOP, "", 1)),
                        List.of("lens"),
                        Costs.USUAL))
                .hasMessageContaining("x → y → x");
        // The only member of the group needs what needs the group.
        PlanStep member = new PlanStep("m", List.of("n"), Side.TOP, "", 1, null, Optional.of("ways"), 0, true);
        PlanStep behind = new PlanStep("n", List.of("ways"), Side.TOP, "", 1, List.of("lens"), null, 0, true);
        assertThatThrownBy(() -> AccessPlan.to(List.of(member, behind), List.of("lens"), Costs.USUAL))
                .hasMessageContaining("circle")
                .hasMessageContaining("m → n");
    }

    @Test
    void aLargeJobHasAPlanAndABoundThatAgree() {
        Random random = new Random(7);
        List<PlanStep> steps = hard(random, 60);
        List<String> targets = List.of("all");
        AccessPlan plan = AccessPlan.to(steps, targets, Costs.USUAL);
        assertCanBeDone(plan.best(), steps, targets, Costs.USUAL);
        assertThat(plan.best().order()).hasSize(60);
        assertThat(plan.lowerBound()).isLessThanOrEqualTo(plan.best().minutes()).isPositive();
        assertThat(plan.exact()).isEqualTo(plan.lowerBound() == plan.best().minutes());
    }

    /** Many sides and tools, thinly tied together, and all of it needed: what the estimate sees least of. */
    static List<PlanStep> hard(Random random, int count) {
        List<PlanStep> steps = new ArrayList<>();
        List<String> all = new ArrayList<>();
        for (int n = 0; n < count - 1; n++) {
            List<String> needs = n < 3 || random.nextInt(3) == 0
                    ? List.of()
                    : List.of("s" + (n - 1 - random.nextInt(Math.min(n, 5))));
            steps.add(step("s" + n, needs, Side.values()[random.nextInt(6)], "T" + random.nextInt(6), 1));
            all.add("s" + n);
        }
        steps.add(new PlanStep("last", all, Side.TOP, "", 1, List.of("all"), Optional.empty(), 0, true));
        return steps;
    }

    private static PlanStep step(String id, List<String> needs, Side side, String tool, double minutes) {
        return new PlanStep(id, needs, side, tool, minutes, List.of(), Optional.empty(), 0, true);
    }
}
