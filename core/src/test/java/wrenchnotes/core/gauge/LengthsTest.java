package wrenchnotes.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wrenchnotes.core.gauge.BeltGauge.BeltAsked;
import wrenchnotes.core.gauge.BeltGauge.BeltFound;
import wrenchnotes.core.gauge.BeltGauge.BeltInDrawer;
import wrenchnotes.core.gauge.BeltGauge.BeltPath;
import wrenchnotes.core.gauge.BeltGauge.BeltSection;
import wrenchnotes.core.gauge.BeltGauge.BeltShape;
import wrenchnotes.core.gauge.BeltGauge.WornBelt;
import wrenchnotes.core.gauge.BeltGauge.WornMethod;
import wrenchnotes.core.gauge.GearGauge.GearAsked;
import wrenchnotes.core.gauge.GearGauge.GearFit;
import wrenchnotes.core.gauge.GearGauge.GearFound;
import wrenchnotes.core.gauge.GearGauge.GearWheel;
import wrenchnotes.core.unit.Invalid;

/** Belts, gears and threads. */
class LengthsTest {

    private static BeltFound worn(WornMethod method, double value) {
        return BeltGauge.of(
                new BeltAsked(Optional.of(new WornBelt(method, value)), Optional.empty(), Optional.empty()), List.of());
    }

    private static double path(double driver, double driven, double centres, boolean crossed) {
        return BeltGauge.of(
                        new BeltAsked(
                                Optional.empty(),
                                Optional.of(new BeltPath(driver, driven, centres, crossed)),
                                Optional.empty()),
                        List.of())
                .pathMm()
                .orElseThrow();
    }

    /** Common practice, no source: these were picked at benches for worn ones of these sizes. */
    @ParameterizedTest
    @CsvSource({"FLAT,57,102", "CIRCUMFERENCE,89,76", "RING,22,56.55"})
    void whatBenchesPickForAWornBeltIsWithinTheTarget(WornMethod method, double value, double picked) {
        BeltFound found = worn(method, value);
        assertThat(picked).isBetween(found.target().minMm(), found.target().maxMm());
    }

    @Test
    void theWornBeltIsMeasuredInThreeWays() {
        assertThat(worn(WornMethod.FLAT, 57).wornCircumferenceMm()).contains(114.0);
        assertThat(worn(WornMethod.RING, 20).wornCircumferenceMm().orElseThrow())
                .isCloseTo(62.83, within(0.01));
        assertThat(worn(WornMethod.CIRCUMFERENCE, 80).target().bestMm()).isCloseTo(69.6, within(1e-9));
    }

    /**
     * Equal pulleys: twice the distance and one circumference (geometry). Crossed, two of 10 at 20, by Shigley's formula (from memory) worked by
     * hand: √(1600 − 400) + 10 · (π + 2 · asin 0.5) = 34.641 + 41.888.
     */
    @Test
    void thePathRoundTwoPulleys() {
        assertThat(path(10, 10, 50, false)).isCloseTo(100 + 10 * Math.PI, within(1e-9));
        assertThat(path(10, 10, 20, true)).isCloseTo(34.641 + 41.888, within(0.001));
        assertThat(path(6, 18, 25, false)).as("the same whichever drives").isEqualTo(path(18, 6, 25, false));
        assertThatThrownBy(() -> new BeltPath(6, 18, 5, false))
                .isInstanceOf(Invalid.class)
                .hasMessageContaining("must be above 12.0");
        // They lie in one another: no pulleys do.
        assertThatThrownBy(() -> new BeltPath(6, 18, 11.9, false)).isInstanceOf(Invalid.class);
    }

    @Property
    void aPathInAnotherUnitIsTheSamePath(
            @ForAll @DoubleRange(min = 15, max = 40) double small,
            @ForAll @DoubleRange(min = 15, max = 40) double large,
            @ForAll @DoubleRange(min = 45, max = 200) double centres,
            @ForAll boolean crossed) {
        double inInches = path(small / 25.4, large / 25.4, centres / 25.4, crossed);
        assertThat(25.4 * inInches).isCloseTo(path(small, large, centres, crossed), within(1e-6));
    }

    @Test
    void theBestBeltOfTheDrawerComesFirstAndSaysWhy() {
        BeltSection wanted = new BeltSection(BeltShape.SQUARE, 1.2, 1.2);
        double length = path(6, 18, 25, false);
        BeltFound found = BeltGauge.of(
                new BeltAsked(Optional.empty(), Optional.of(new BeltPath(6, 18, 25, false)), Optional.of(wanted)),
                List.of(
                        belt("flat one", length / 1.09, BeltShape.FLAT, 3, 0.5),
                        belt("too long", length * 0.99, BeltShape.SQUARE, 1.2, 1.2),
                        belt("good", length / 1.08, BeltShape.SQUARE, 1.2, 1.2),
                        belt("thin and short", length / 1.12, BeltShape.SQUARE, 1.0, 1.0),
                        belt("thin and long", length / 1.06, BeltShape.SQUARE, 1.0, 1.0)));
        assertThat(found.candidates())
                .extracting(BeltGauge.BeltCandidate::part)
                .startsWith("good", "thin and short", "thin and long");
        assertThat(found.candidates())
                .extracting(BeltGauge.BeltCandidate::verdict)
                .containsExactly(Judgement.GOOD, Judgement.GOOD, Judgement.CAN_NOT_SAY, Judgement.BAD, Judgement.BAD);
        assertThat(found.candidates().get(0).stretchPercent().orElseThrow()).isCloseTo(8, within(1e-9));
        // More stretch means shorter.
        assertThat(found.target().minMm()).isLessThan(found.target().bestMm());
        assertThat(found.target().bestMm()).isLessThan(found.target().maxMm());
    }

    private static BeltInDrawer belt(String name, double length, BeltShape shape, double width, double thick) {
        return new BeltInDrawer(1, name, "1", 3, length, Optional.of(new BeltSection(shape, width, thick)));
    }

    /** ISO 54 module 0.5, 20 teeth: outside 11 mm; with 40 teeth at 15 mm, ratio 2 (by the definition). */
    @Test
    void aGearAndItsMate() {
        GearFound found = GearGauge.of(gear(20, 11, 40, 21, 15.02, 2.0, 2.05));
        assertThat(found.module()).isCloseTo(0.5, within(1e-12));
        assertThat(found.diametralPitch()).isCloseTo(50.8, within(1e-9));
        assertThat(found.expectedCentresMm()).contains(15.0);
        assertThat(found.mesh()).contains(Judgement.GOOD);
        assertThat(found.ratio()).contains(2.0);
        assertThat(found.fit()).contains(GearFit.INTERFERENCE);
        assertThat(found.gapMm().orElseThrow()).isCloseTo(-0.05, within(1e-9));

        assertThat(GearGauge.of(gear(20, 11, 40, 25.2, 15, 2, 2)).mesh())
                .as("module 0.5 and 0.6")
                .contains(Judgement.BAD);
        assertThat(GearGauge.of(gear(20, 11, 40, 21, 15.3, 2.1, 2)).mesh()).contains(Judgement.BAD);
        assertThat(GearGauge.of(gear(20, 11, 40, 21, 15.1, 2.1, 2)).fit()).contains(GearFit.CLEARANCE);
        assertThatThrownBy(() -> gear(3, 11, 40, 21, 15, 2, 2)).hasMessageContaining("teeth is 3");
    }

    private static GearAsked gear(
            int teeth, double outside, int mate, double mateOutside, double centres, double bore, double shaft) {
        return new GearAsked(
                teeth,
                outside,
                Optional.of(new GearWheel(mate, mateOutside)),
                Optional.of(centres),
                Optional.of(bore),
                Optional.of(shaft),
                false);
    }

    @Property
    void aGearOfAPreferredModuleIsKnownByIt(@ForAll @IntRange(min = 8, max = 120) int teeth) {
        for (double module : new double[] {0.3, 0.5, 0.8, 1, 1.25, 2}) {
            GearFound found = GearGauge.of(new GearAsked(
                    teeth,
                    module * (teeth + 2) * 1.005,
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    false));
            assertThat(found.preferredModule()).isEqualTo(module);
            assertThat(found.offPercent()).isCloseTo(0.5, within(1e-6));
        }
    }
}
