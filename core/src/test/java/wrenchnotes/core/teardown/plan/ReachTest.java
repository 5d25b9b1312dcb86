package wrenchnotes.core.teardown.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import wrenchnotes.core.teardown.Side;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;

/** The way to each component, held against the access plan. */
class ReachTest {

    private static Teardown notes(Random random, int count) {
        List<Step> steps = new ArrayList<>();
        for (int n = 0; n < count; n++) {
            Set<String> needs = n == 0 ? Set.of() : Set.of("s" + random.nextInt(n));
            steps.add(Step.plain(
                    "s" + n,
                    "step " + n,
                    needs,
                    Side.values()[random.nextInt(3)],
                    "T" + random.nextInt(3),
                    1 + random.nextInt(5),
                    List.of(),
                    Set.of((long) n)));
        }
        return Teardown.of(steps);
    }

    @Property(tries = 100)
    void itIsTheAccessPlanWhereOneWayLeadsThere(
            @ForAll @IntRange(min = 1, max = 10) int count, @ForAll @IntRange(max = 9999) int seed) {
        Teardown notes = notes(new Random(seed), count);
        Map<Long, Double> minutes = Reach.minutes(notes, Set.of(), Costs.USUAL);
        for (long component = 0; component < count; component++) {
            double planned = Access.to(notes, Set.of(component), Costs.USUAL, Map.of())
                    .time()
                    .plan()
                    .minutes();
            assertThat(minutes.get(component)).isCloseTo(planned, within(1e-9));
        }
    }

    /** What lies open costs nothing, and opening more never makes anything farther but for a tool or a side. */
    @Property(tries = 100)
    void whatIsOpenIsNear(@ForAll @IntRange(min = 2, max = 10) int count, @ForAll @IntRange(max = 9999) int seed) {
        Teardown notes = notes(new Random(seed), count);
        Map<Long, Double> closed = Reach.minutes(notes, Set.of(), Costs.USUAL);
        Set<String> open = new HashSet<>();
        String at = "s" + (count - 1);
        while (at != null) {
            open.add(at);
            at = notes.step(at).needs().stream().findFirst().orElse(null);
        }
        Map<Long, Double> opened = Reach.minutes(notes, open, Costs.USUAL);
        assertThat(opened.get(count - 1L)).isZero();
        opened.forEach((component, minutes) -> assertThat(minutes)
                .isLessThanOrEqualTo(closed.get(component) + Costs.USUAL.flipMinutes() + Costs.USUAL.toolMinutes()));
    }
}
