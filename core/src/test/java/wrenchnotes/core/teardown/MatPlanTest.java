package wrenchnotes.core.teardown;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wrenchnotes.core.teardown.MatPlan.MatCell;
import wrenchnotes.core.teardown.MatPlan.MatPage;

/** The mat on paper: everything has its place, once, at its true size. */
class MatPlanTest {

    private static FastenerGroup screws(String id, double diameter, double length, int count) {
        return new FastenerGroup(
                id, id, Head.CROSS, "PH1", ThreadForm.MACHINE, diameter, length, Finish.BLACK, count, "", List.of());
    }

    private static Step step(int n, List<FastenerGroup> fasteners) {
        return Step.plain("step" + n, "Step " + n, Set.of(), Side.TOP, "PH1", 1, fasteners, Set.of());
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void everythingHasAPlaceOfItsOwnOnThePage(long seed) {
        Random random = new Random(seed);
        List<Step> steps = IntStream.range(0, 1 + random.nextInt(14))
                .mapToObj(n -> step(
                        n,
                        IntStream.range(0, 1 + random.nextInt(3))
                                .mapToObj(g -> screws(
                                        n + "-" + g,
                                        1.6 + random.nextInt(5) * 0.5,
                                        3 + random.nextInt(random.nextInt(4) == 0 ? 110 : 20),
                                        1 + random.nextInt(random.nextInt(5) == 0 ? 99 : 8)))
                                .toList()))
                .toList();
        MatPlan plan = MatPlan.of(steps);

        Map<String, Integer> laid = new HashMap<>();
        for (MatPage page : plan.pages()) {
            for (MatCell cell : page.cells()) {
                assertThat(cell.x()).isGreaterThanOrEqualTo(MatPlan.MARGIN);
                assertThat(cell.x() + cell.width()).isLessThanOrEqualTo(MatPlan.PAGE_WIDTH - MatPlan.MARGIN + 1e-6);
                assertThat(cell.y() + cell.height()).isLessThanOrEqualTo(MatPlan.PAGE_HEIGHT - MatPlan.MARGIN + 1e-6);
                double below = cell.y();
                for (MatPlan.MatRow row : cell.rows()) {
                    double half = FastenerShape.of((FastenerGroup) row.thing()).headDiameterMm() / 2;
                    assertThat(row.middle() - half).isGreaterThanOrEqualTo(below);
                    below = row.middle() + half;
                    double right = cell.x();
                    for (double left : row.lefts()) {
                        assertThat(left).isGreaterThanOrEqualTo(right);
                        right = left + MatPlan.width(row.thing());
                    }
                    assertThat(right).isLessThanOrEqualTo(cell.x() + cell.width());
                    laid.merge(row.thing().id(), row.lefts().size(), Integer::sum);
                }
                assertThat(below).isLessThanOrEqualTo(cell.y() + cell.height());
            }
            apart(page.cells());
        }
        steps.forEach(step -> step.things()
                .forEach(thing -> assertThat(laid.remove(thing.id())).isEqualTo(thing.asMade())));
        assertThat(laid).isEmpty();
        // Whoever follows the numbers goes down one column after the other.
        List<Integer> numbers = plan.pages().stream()
                .flatMap(page -> page.cells().stream())
                .map(cell -> Integer.valueOf(cell.label().split(" ")[0]))
                .toList();
        assertThat(numbers).isSorted();
    }

    private static void apart(List<MatCell> cells) {
        for (MatCell one : cells) {
            List<MatCell> others = new ArrayList<>(cells);
            others.remove(one);
            assertThat(others)
                    .noneMatch(other -> one.x() < other.x() + other.width()
                            && other.x() < one.x() + one.width()
                            && one.y() < other.y() + other.height()
                            && other.y() < one.y() + one.height());
        }
    }

    /** A pan head M3 is 5.6 mm wide (ISO 7045, from memory): a hand lays the screw on its drawing. */
    @Test
    void aScrewIsDrawnAsLongAsItIs() {
        assertThat(MatPlan.width(screws("lid", 3, 12, 4)))
                .isCloseTo(5.6 + MatPlan.HEAD_TO_SIDE + 5.6 * 0.4 + 12, within(1e-9));
    }

    @Test
    void nothingToLayIsOneEmptyPage() {
        assertThat(MatPlan.of(List.of()).pages()).containsExactly(new MatPage(List.of()));
    }
}
