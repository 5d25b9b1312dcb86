package wrenchnotes.core.pattern.rises;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wrenchnotes.core.pattern.Share;
import wrenchnotes.core.pattern.rises.Rising.Method;
import wrenchnotes.core.pattern.rises.Rising.RisingAsked;
import wrenchnotes.core.pattern.rises.Rising.RisingRow;
import wrenchnotes.core.pattern.rises.Rising.RisingVerdict;
import wrenchnotes.core.unit.Invalid;

class RisingTest {

    private static RisingVerdict one(List<Integer> jobs, List<Integer> faults) {
        return Rising.of(new RisingAsked(List.of(new RisingRow("one", jobs, faults)), Optional.empty()))
                .rows()
                .get(0);
    }

    /**
     * Smokers among patients of four hospitals, Fleiss, Statistical Methods for Rates and Proportions (1981), as the manual of R's prop.trend.test works
     * it: X² = 8.2249 on one degree of freedom (published; from memory). It falls: upwards there is nothing.
     */
    @Test
    void theTrendIsThePublishedOne() {
        RisingVerdict fleiss = one(List.of(86, 93, 136, 82), List.of(83, 90, 129, 70));
        assertThat(fleiss.method()).isEqualTo(Method.TREND);
        double z = fleiss.z().orElseThrow();
        assertThat(z * z).isCloseTo(8.2249, within(5e-5));
        assertThat(z).isNegative();
        assertThat(fleiss.p()).isCloseTo(1 - 0.004132 / 2, within(5e-6));
        assertThat(fleiss.rising()).isFalse();
    }

    /** The lady tasting tea: Fisher, The Design of Experiments (1935): 17 of 70. */
    @Test
    void fewAreCountedExactly() {
        RisingVerdict tea = one(List.of(4, 2, 1, 1), List.of(1, 2, 1, 0));
        assertThat(tea.method()).isEqualTo(Method.FISHER);
        assertThat(tea.p()).isCloseTo(17 / 70.0, within(1e-9));
        assertThat(tea.z()).isEmpty();
        assertThat(one(List.of(9, 7, 8), List.of(0, 1, 3)).method())
                .as("under four months")
                .isEqualTo(Method.TREND);
    }

    @Test
    void whereNothingVariesNothingRises() {
        for (List<Integer> faults : List.of(List.of(0, 0, 0, 0), List.of(40, 40, 40, 40))) {
            RisingVerdict same = one(List.of(40, 40, 40, 40), faults);
            assertThat(same.z()).isEmpty();
            assertThat(same.p()).isEqualTo(1);
        }
        assertThatThrownBy(() -> new RisingRow("belt", List.of(3, 4), List.of(1)))
                .isInstanceOf(Invalid.class);
        assertThatThrownBy(() -> new RisingRow("belt", List.of(3, 4), List.of(1, 5)))
                .isInstanceOf(Invalid.class)
                .hasMessageContaining("month 2");
    }

    /** The fifteen of Benjamini & Hochberg's own example (their table of 1995; from memory): four are called at 0.05. */
    @Test
    void togetherAsManyAreCalledAsInThePaper() {
        double[] q = Rising.together(new double[] {
            0.0344, 0.0001, 0.4262, 0.0004, 0.0459, 0.0019, 0.0095, 0.5719, 0.0201, 0.0278, 0.0298, 0.3240, 0.6528,
            0.7590, 1.0
        });
        assertThat(java.util.Arrays.stream(q).filter(one -> one <= 0.05)).hasSize(4);
        assertThat(q[6]).isCloseTo(0.0095 * 15 / 4, within(1e-12));
        assertThat(q[8]).isCloseTo(0.0201 * 15 / 5, within(1e-12));
    }

    @Property(tries = 100)
    void theOrderOfRowsChangesNothing(@ForAll long seed) {
        Random random = new Random(seed);
        List<RisingRow> rows = shop(random, 8, 6);
        List<RisingVerdict> before =
                Rising.of(new RisingAsked(rows, Optional.empty())).rows();
        Collections.shuffle(rows, random);
        Rising.of(new RisingAsked(rows, Optional.empty())).rows().forEach(row -> assertThat(before)
                .contains(row));
    }

    /** Two hundred shops in which nothing changes: something is called rising in one of twenty at most, but for chance (99.9 in 100 of binomial luck). */
    @Test
    void whatIsRisingByChanceIsRare() {
        Random random = new Random(23);
        int called = 0;
        for (int shop = 0; shop < 200; shop++) {
            Rising told = Rising.of(new RisingAsked(shop(random, 30, 18), Optional.empty()));
            called += told.rows().stream().anyMatch(RisingVerdict::rising) ? 1 : 0;
        }
        assertThat(called).isLessThanOrEqualTo(20);
    }

    /** And what rises is found: from one in twenty to one in three over the last quarter. Beside it the rate allows another now and then. */
    @Test
    void whatRisesIsFound() {
        List<RisingRow> rows = shop(new Random(5), 30, 18);
        List<Integer> jobs = Collections.nCopies(18, 20);
        List<Integer> faults = new ArrayList<>(Collections.nCopies(15, 1));
        faults.addAll(List.of(5, 7, 8));
        rows.add(new RisingRow("door latch, worn", jobs, faults));
        List<RisingVerdict> told =
                Rising.of(new RisingAsked(rows, Optional.empty())).rows();
        assertThat(told.stream().filter(RisingVerdict::rising).map(RisingVerdict::name))
                .contains("door latch, worn");
        assertThat(told.get(30).q()).isLessThan(1e-3);
    }

    private static List<RisingRow> shop(Random random, int faults, int months) {
        List<RisingRow> rows = new ArrayList<>();
        for (int n = 0; n < faults; n++) {
            double share = 0.02 + 0.3 * random.nextDouble();
            List<Integer> jobs = new ArrayList<>();
            List<Integer> had = new ArrayList<>();
            for (int month = 0; month < months; month++) {
                int all = random.nextInt(25);
                int with = 0;
                for (int job = 0; job < all; job++) {
                    with += random.nextDouble() < share ? 1 : 0;
                }
                jobs.add(all);
                had.add(with);
            }
            rows.add(new RisingRow("fault " + n, jobs, had));
        }
        return rows;
    }

    /** Newcombe, Statistics in Medicine 17 (1998), table II, his method 10 (published; from memory). */
    @ParameterizedTest
    @CsvSource({
        "56, 70, 48, 80, 0.2000, 0.0524, 0.3339",
        "9, 10, 3, 10, 0.6000, 0.1705, 0.8090",
        "10, 10, 0, 10, 1.0000, 0.6075, 1.0000",
        "5, 56, 0, 29, 0.0893, -0.0381, 0.1926"
    })
    void differencesHaveNewcombesInterval(int a, int of, int b, int outOf, double difference, double low, double high) {
        Difference told = Difference.of(Share.of(a, of), Share.of(b, outOf));
        assertThat(told.difference()).isCloseTo(difference, within(5e-5));
        assertThat(told.low()).isCloseTo(low, within(5e-5));
        assertThat(told.high()).isCloseTo(high, within(5e-5));
        assertThat(told.tells()).isEqualTo(low > 0);
    }
}
