package wrenchnotes.core.drawer.need;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.apache.commons.statistics.distribution.DiscreteDistribution;
import org.apache.commons.statistics.distribution.PascalDistribution;
import org.apache.commons.statistics.distribution.PoissonDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wrenchnotes.core.drawer.order.Takes;
import wrenchnotes.core.unit.Invalid;

class ReorderTest {

    /** Tables of the cumulative Poisson distribution, as in any handbook of statistics (published; from memory). */
    @ParameterizedTest
    @CsvSource({
        "1, 0.9, 2, 0.9197",
        "1, 0.95, 3, 0.9810",
        "2, 0.95, 5, 0.9834",
        "5, 0.95, 9, 0.9682",
        "10, 0.99, 18, 0.9928"
    })
    void theLevelIsThatOfThePoissonTable(double mean, double service, int at, double reached) {
        LeadDemand.Level level = new LeadDemand(mean, mean).least(service);
        assertThat(level.at()).isEqualTo(at);
        assertThat(level.reached()).isCloseTo(reached, within(5e-5));
    }

    /** Beside a general-purpose library: Apache Commons Statistics. */
    @Property(tries = 200)
    void levelsAndShortagesAreThoseOfTheLibrary(
            @ForAll @DoubleRange(min = 0.02, max = 40) double perWeek,
            @ForAll @DoubleRange(min = 0.5, max = 8) double weeks,
            @ForAll boolean varies,
            @ForAll @DoubleRange(min = 0.5, max = 0.99) double service) {
        // With σ = L/2 the number of successes waited for, L²/σ², is 4.
        double deviation = varies ? weeks / 2 : 0;
        LeadDemand lead = LeadDemand.of(new Demand(perWeek), weeks, deviation);
        DiscreteDistribution library =
                varies ? PascalDistribution.of(4, lead.mean() / lead.variance()) : PoissonDistribution.of(lead.mean());
        LeadDemand.Level level = lead.least(service);
        assertThat(level.reached())
                .isGreaterThanOrEqualTo(service)
                .isCloseTo(library.cumulativeProbability(level.at()), within(1e-9));
        if (level.at() > 0) {
            assertThat(library.cumulativeProbability(level.at() - 1)).isLessThan(service + 1e-9);
        }
        double missing = 0;
        for (int more = level.at() + 1; more < level.at() + 3000; more++) {
            missing += (more - level.at()) * library.probability(more);
        }
        assertThat(level.expectedShort()).isCloseTo(missing, within(1e-6));
    }

    /** Worked by hand: 2 after 2 months, then 3 after 3: size 2.1, interval 2.1, so one a month, times 0.95. */
    @Test
    void slowDemandIsSizeByIntervalLessItsBias() {
        assertThat(Demand.ofMonths(List.of(0.0, 2.0, 0.0, 0.0, 3.0)).perWeek())
                .isCloseTo(0.95 * 12 / 52, within(1e-12));
        assertThat(Demand.ofMonths(List.of(0.0, 0.0)).perWeek()).isZero();
        assertThat(Demand.ofMonths(List.of(4.0)).perWeek()).isCloseTo(0.95 * 4 * 12 / 52, within(1e-12));
    }

    /** Harris's own example (Factory, 1913; from memory): 1000 a month at $0.10, an order $2, a tenth a year: 2190. */
    @Test
    void theQuantityIsHarrissAndThenWholePacks() {
        assertThat(Reorder.of(asked(12_000 / 52.0, 200, 0.1, 10, 1)).orderQuantity())
                .isEqualTo(2191);
        assertThat(Reorder.of(asked(12_000 / 52.0, 200, 0.1, 10, 100)).orderQuantity())
                .isEqualTo(2200);
        assertThat(Reorder.of(asked(0.7, 0, 0.2, 140, 10)).orderQuantity())
                .as("orders that cost nothing: one pack")
                .isEqualTo(10);
    }

    private static Reorder.ReorderAsked asked(double perWeek, long order, double holding, long each, int pack) {
        return new Reorder.ReorderAsked(
                Optional.of(perWeek),
                Optional.empty(),
                2.0,
                Optional.empty(),
                Optional.empty(),
                order,
                holding,
                each,
                Optional.of(pack));
    }

    @Test
    void noDemandOrdersNothingAndHalfAQuestionIsRefused() {
        Reorder none = Reorder.of(
                new Reorder.ReorderAsked(null, Optional.of(List.of(0.0, 0.0)), 2.0, null, null, 500L, 0.2, 140L, null));
        assertThat(none).isEqualTo(new Reorder(0, new LeadDemand(0, 0), 0, 1, 0, 0));
        assertThatThrownBy(() -> new Reorder.ReorderAsked(null, null, 2.0, null, null, 500L, 0.2, 140L, null))
                .isInstanceOf(Invalid.class)
                .hasMessageContaining("exactly one");
        assertThatThrownBy(() -> new Reorder.ReorderAsked(
                        Optional.of(1.0), Optional.of(List.of(1.0)), 2.0, null, null, 500L, 0.2, 140L, null))
                .isInstanceOf(Invalid.class);
        assertThatThrownBy(
                        () -> new Reorder.ReorderAsked(Optional.of(1.0), null, 0.0, null, null, 500L, 0.2, 140L, null))
                .isInstanceOf(Invalid.class)
                .hasMessageContaining("above 0");
        assertThatThrownBy(() -> new Reorder.ReorderAsked(
                        Optional.of(1.0), null, 2.0, null, Optional.of(0.4), 500L, 0.2, 140L, null))
                .isInstanceOf(Invalid.class);
    }

    /** Half within ten days, four in five within fourteen. */
    private static final Takes TAKES = new Takes(10, 14, 3, 9);

    private static final Instant NOW = Instant.parse("2026-06-01T12:00:00Z");

    @Test
    void adviceWaitsForADozenMovementsAndListensToAPerson() {
        List<Advice.Used> used = new ArrayList<>();
        for (int week = 1; week <= 11; week++) {
            used.add(new Advice.Used(NOW.minus(Duration.ofDays(7L * week)), 1));
        }
        Instant since = NOW.minus(Duration.ofDays(90));
        assertThat(Advice.of(used, since, NOW, 3, TAKES, 140, 10, Optional.empty()))
                .isEmpty();
        used.add(new Advice.Used(NOW.minus(Duration.ofDays(80)), 1));
        Advice advice =
                Advice.of(used, since, NOW, 3, TAKES, 140, 10, Optional.empty()).orElseThrow();
        assertThat(advice.reorder().forecastPerWeek()).isBetween(0.7, 1.2);
        assertThat(advice.at()).isEqualTo(advice.reorder().reorderAt());
        assertThat(advice.order()).isPositive().satisfies(order -> assertThat(order % 10)
                .isZero());
        assertThat(advice.why()).startsWith("0.9 a week, 1.5 weeks to come: lasts in 9");
        Advice own =
                Advice.of(used, since, NOW, 3, TAKES, 140, 10, Optional.of(1)).orElseThrow();
        assertThat(own.at()).isEqualTo(1);
        assertThat(own.order()).isZero();
        assertThat(own.why()).contains("somebody said 1; computed " + advice.at());
    }

    /** What came back was not used; a month in which more came back than went is a month of none. */
    @Test
    void monthsAreCountedBackFromNow() {
        List<Advice.Used> used = List.of(
                new Advice.Used(NOW.minus(Duration.ofDays(1)), 3),
                new Advice.Used(NOW.minus(Duration.ofDays(2)), -1),
                new Advice.Used(NOW.minus(Duration.ofDays(40)), -2),
                new Advice.Used(NOW.minus(Duration.ofDays(70)), 4));
        assertThat(Advice.months(used, NOW.minus(Duration.ofDays(80)), NOW)).containsExactly(4.0, 0.0, 2.0);
    }
}
