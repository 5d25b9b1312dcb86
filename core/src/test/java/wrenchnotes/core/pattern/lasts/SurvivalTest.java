package wrenchnotes.core.pattern.lasts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wrenchnotes.core.pattern.lasts.MeanComebacks.MeanStep;
import wrenchnotes.core.pattern.lasts.MeanComebacks.UnitFollowed;
import wrenchnotes.core.pattern.lasts.SurvivalTold.RemedyStays;
import wrenchnotes.core.pattern.lasts.SurvivalTold.SurvivalAsked;
import wrenchnotes.core.unit.Invalid;

class SurvivalTest {

    /** Weeks in remission: Freireich et al., Blood 21 (1963), as every textbook of survival prints them (published; from memory). */
    private static final List<StayLength> TREATED = stays(
            new double[] {6, 6, 6, 7, 10, 13, 16, 22, 23}, new double[] {6, 9, 10, 11, 17, 19, 20, 25, 32, 32, 34, 35});

    private static final List<StayLength> PLACEBO = stays(
            new double[] {1, 1, 2, 2, 3, 4, 4, 5, 5, 8, 8, 8, 8, 11, 11, 12, 12, 15, 17, 22, 23}, new double[] {});

    private static List<StayLength> stays(double[] cameBack, double[] censored) {
        return Stream.concat(
                        IntStream.range(0, cameBack.length).mapToObj(n -> new StayLength(cameBack[n], true)),
                        IntStream.range(0, censored.length).mapToObj(n -> new StayLength(censored[n], false)))
                .toList();
    }

    @ParameterizedTest
    @CsvSource({
        "6, 21, 3, 0.857, 0.0764",
        "7, 17, 1, 0.807, 0.0869",
        "10, 15, 1, 0.753, 0.0963",
        "13, 12, 1, 0.690, 0.1068",
        "16, 11, 1, 0.627, 0.1141",
        "22, 7, 1, 0.538, 0.1282",
        "23, 6, 1, 0.448, 0.1346"
    })
    void theCurveIsThePublishedOne(double day, int atRisk, int cameBack, double survival, double error) {
        Survival.CurveStep step = Survival.of(TREATED).steps().stream()
                .filter(one -> one.day() == day)
                .findFirst()
                .orElseThrow();
        assertThat(step.atRisk()).isEqualTo(atRisk);
        assertThat(step.cameBack()).isEqualTo(cameBack);
        assertThat(step.survival()).isCloseTo(survival, within(5e-4));
        assertThat(step.standardError()).isCloseTo(error, within(5e-5));
    }

    /** The same textbooks: medians of 23 and 8 weeks, log-rank 16.79 on one degree of freedom, log(−log) interval of week 6 0.620 to 0.952. */
    @Test
    void mediansIntervalsAndTheLogRankAreThePublishedOnes() {
        SurvivalTold told = SurvivalTold.of(new SurvivalAsked(
                List.of(new RemedyStays("6-MP", TREATED), new RemedyStays("placebo", PLACEBO)),
                List.of(0.0, 6.0, 40.0)));
        assertThat(told.remedies().get(0).medianDay()).contains(23.0);
        assertThat(told.remedies().get(1).medianDay()).contains(8.0);
        SurvivalTold.SurvivalAt six = told.remedies().get(0).at().get(1);
        assertThat(six.low()).isCloseTo(0.620, within(5e-4));
        assertThat(six.high()).isCloseTo(0.952, within(5e-4));
        assertThat(told.remedies().get(0).at().get(0))
                .isEqualTo(new SurvivalTold.SurvivalAt(0, 1, 1, 1, Optional.empty()));
        assertThat(told.remedies().get(0).at().get(2).beyond()).contains(true);
        assertThat(told.remedies().get(1).at().get(2))
                .isEqualTo(new SurvivalTold.SurvivalAt(40, 0, 0, 0, Optional.of(true)));
        LogRank differ = told.logRank().orElseThrow();
        assertThat(differ.chiSquared()).isCloseTo(16.79, within(5e-3));
        assertThat(differ.degrees()).isEqualTo(1);
        assertThat(differ.p()).isCloseTo(4.17e-5, within(5e-7));
        // All came back: the mean of the placebo group is that of its weeks.
        assertThat(told.remedies().get(1).restrictedMeanDays()).isCloseTo(182 / 21.0, within(1e-9));
        assertThat(SurvivalTold.of(new SurvivalAsked(List.of(new RemedyStays("one", TREATED)), List.of(9.0)))
                        .logRank())
                .isEmpty();
        assertThatThrownBy(() -> new StayLength(0.0, true)).isInstanceOf(Invalid.class);
    }

    /** Each censored stay hands its share to those that lasted longer (Efron 1967: redistribution to the right): the same curve by another way. */
    @Property(tries = 300)
    void theCurveIsThatOfRedistributionToTheRight(@ForAll @IntRange(min = 1, max = 9) int count, @ForAll long seed) {
        List<StayLength> stays = some(count, seed);
        List<StayLength> sorted = stays.stream()
                .sorted(Comparator.comparingDouble(StayLength::days).thenComparing(stay -> !stay.cameBack()))
                .toList();
        double[] mass = new double[count];
        java.util.Arrays.fill(mass, 1.0 / count);
        for (int n = 0; n < count - 1; n++) {
            if (!sorted.get(n).cameBack()) {
                for (int later = n + 1; later < count; later++) {
                    mass[later] += mass[n] / (count - n - 1);
                }
                mass[n] = 0;
            }
        }
        Survival curve = Survival.of(stays);
        for (double day = 0; day <= curve.longest(); day += 0.5) {
            double left = 1;
            for (int n = 0; n < count; n++) {
                left -= sorted.get(n).cameBack() && sorted.get(n).days() <= day ? mass[n] : 0;
            }
            assertThat(curve.after(day)).isCloseTo(left, within(1e-9));
        }
    }

    @Property(tries = 300)
    void survivalNeverRisesAndOneMoreThatStaysNeverAddsComebacks(
            @ForAll @IntRange(min = 1, max = 30) int count, @ForAll long seed) {
        List<StayLength> stays = some(count, seed);
        Survival curve = Survival.of(stays);
        List<StayLength> more = new ArrayList<>(stays);
        more.add(new StayLength(1.0 + new Random(seed).nextInt(14), false));
        Survival longer = Survival.of(more);
        double before = 1;
        for (double day = 0; day < 16; day += 0.5) {
            Survival.Band band = curve.at(day);
            assertThat(band.survival()).isLessThanOrEqualTo(before);
            assertThat(band.survival()).isBetween(band.low(), band.high());
            assertThat(longer.after(day)).isGreaterThanOrEqualTo(band.survival() - 1e-12);
            before = band.survival();
        }
    }

    /** Which remedy stands first is nobody's business. */
    @Property(tries = 200)
    void theLogRankKnowsNoOrder(@ForAll long seed) {
        Random random = new Random(seed);
        List<List<StayLength>> groups = new ArrayList<>();
        for (int g = 0; g < 3; g++) {
            groups.add(some(2 + random.nextInt(8), random.nextLong()));
        }
        LogRank one = LogRank.of(groups);
        Collections.rotate(groups, 1);
        LogRank other = LogRank.of(groups);
        assertThat(other.degrees()).isEqualTo(one.degrees());
        assertThat(other.chiSquared()).isCloseTo(one.chiSquared(), within(1e-6 + 1e-6 * one.chiSquared()));
        assertThat(one.p()).isBetween(0.0, 1.0);
    }

    /** By hand: three units, the second gone on day 50; on day 30 one of three, on day 95 one of two. */
    @Test
    void comebacksAreCountedHoweverOftenAUnitReturns() {
        MeanComebacks mean = MeanComebacks.of(List.of(
                new UnitFollowed(List.of(30.0, 95.0), 400.0),
                new UnitFollowed(List.of(), 50.0),
                new UnitFollowed(List.of(95.0), 95.0)));
        assertThat(mean.steps()).containsExactly(new MeanStep(30, 3, 1 / 3.0), new MeanStep(95, 2, 1 / 3.0 + 1));
        assertThatThrownBy(() -> new UnitFollowed(List.of(60.0), 50.0))
                .isInstanceOf(Invalid.class)
                .hasMessageContaining("is not between 0 and 50");
    }

    private static List<StayLength> some(int count, long seed) {
        Random random = new Random(seed);
        return IntStream.range(0, count)
                .mapToObj(n -> new StayLength(1.0 + random.nextInt(12), random.nextBoolean()))
                .toList();
    }
}
