package wrenchnotes.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wrenchnotes.core.gauge.LimitGauge.LimitAsked;
import wrenchnotes.core.gauge.LimitGauge.Limits;
import wrenchnotes.core.gauge.SpindleGauge.Drift;
import wrenchnotes.core.gauge.SpindleGauge.SpindleAsked;
import wrenchnotes.core.gauge.SpindleGauge.SpindleFound;

/** Spindle speed, and limits. */
class MotionTest {

    private static SpindleFound spindle(double rpm, Integer bars, double flashes, double drift, Drift way) {
        return SpindleGauge.of(new SpindleAsked(
                rpm,
                Optional.ofNullable(bars),
                flashes,
                Optional.of(drift),
                Optional.ofNullable(way),
                Optional.empty(),
                Optional.empty()));
    }

    /** The standard stroboscopic disc (published): 180 bars under 50 Hz light, 216 under 60 Hz, for 33⅓ rpm. */
    @ParameterizedTest
    @CsvSource({"33.3333333333,100,180", "33.3333333333,120,216", "45,100,133", "300,100,20", "300,30,6"})
    void barsThatStandStill(double rpm, double flashes, int bars) {
        assertThat(spindle(rpm, null, flashes, 0, null).bars()).isEqualTo(bars);
    }

    /** 0.4 bars a second at 100 flashes: 0.4 %. Forward is fast. */
    @Test
    void aDriftIsAnErrorOfTheSpeed() {
        SpindleFound fast = spindle(300, null, 100, 0.4, Drift.FORWARD);
        assertThat(fast.errorPercent()).isCloseTo(0.4, within(1e-9));
        assertThat(fast.actualRpm()).isCloseTo(301.2, within(1e-9));
        assertThat(fast.verdict()).contains(Judgement.GOOD);
        assertThat(fast.turn()).contains("down");
        SpindleFound slow = spindle(300, null, 100, 2, Drift.BACKWARD);
        assertThat(slow.verdict()).contains(Judgement.BAD);
        assertThat(slow.turn()).contains("up");
        assertThat(spindle(45, null, 100, 0, null).errorPercent())
                .as("133 bars stand still at 45.11 rpm")
                .isCloseTo(0.2506, within(0.001));
        assertThatThrownBy(() -> spindle(300, null, 100, 1, null)).hasMessageContaining("forward or backward");
        // Bars that stand are right, whatever direction was left picked; nothing measured is no verdict.
        assertThat(spindle(300, null, 100, 0, Drift.BACKWARD).verdict()).contains(Judgement.GOOD);
        SpindleFound nothing = SpindleGauge.of(new SpindleAsked(
                300,
                Optional.empty(),
                100,
                Optional.empty(),
                Optional.of(Drift.FORWARD),
                Optional.empty(),
                Optional.empty()));
        assertThat(nothing.verdict()).isEmpty();
        assertThat(nothing.caution()).contains("is turning");
        // 133 bars stand at 6000/133 rpm; at 45 they are seen to go back by 100 − 133 · 45/60 bars a second.
        assertThat(spindle(45, null, 100, 0, null).driftsWhenRight()).isCloseTo(133 * 45 / 60.0 - 100, within(1e-9));
        assertThat(spindle(300, null, 100, 0, null).driftsWhenRight()).isZero();
    }

    /** The guard band (published: ISO 14253-1; from memory): under 80 % is passable (common practice), known to 0.5. */
    @ParameterizedTest
    @CsvSource({"79.4,GOOD", "79.6,CAN_NOT_SAY", "80,CAN_NOT_SAY", "80.4,CAN_NOT_SAY", "80.6,BAD"})
    void theUncertaintyMakesAGuardBand(double reading, Judgement verdict) {
        assertThat(LimitGauge.of(new LimitAsked(
                                List.of(reading),
                                Optional.of(new Limits(Optional.empty(), Optional.of(80.0))),
                                Optional.of(0.5),
                                Optional.of("%")))
                        .verdict())
                .contains(verdict);
    }

    @Test
    void meanAndSpread() {
        LimitGauge.LimitFound found = LimitGauge.of(new LimitAsked(
                List.of(79.2, 78.8, 79.0),
                Optional.of(new Limits(Optional.of(70.0), Optional.of(80.0))),
                Optional.empty(),
                Optional.empty()));
        assertThat(found.mean()).isCloseTo(79, within(1e-12));
        assertThat(found.spread()).isCloseTo(0.4, within(1e-9));
        assertThat(found.deviation().orElseThrow()).isCloseTo(0.2, within(1e-9));
        assertThatThrownBy(() -> new Limits(Optional.of(2.0), Optional.of(1.0)))
                .hasMessageContaining("above the highest");
    }

    private static LimitGauge.LimitFound limit(Double max, Double u, Double... readings) {
        return LimitGauge.of(new LimitAsked(
                List.of(readings),
                Optional.ofNullable(max).map(most -> new Limits(Optional.empty(), Optional.of(most))),
                Optional.ofNullable(u),
                Optional.of("V")));
    }

    /**
     * Published: GUM, JCGM 100, from memory. Student's t at 95 %: 4.303 with 2 degrees of freedom, 2.776 with 4 (any handbook's table);
     * the mean of 9.9, 10, 10.1 has a standard deviation of 0.1/√3.
     */
    @Test
    void theMeanLeavesOpenWhatScatterAndInstrumentLeave() {
        assertThat(limit(12.0, 0.0, 9.9, 10.0, 10.1).meanUncertainty().orElseThrow())
                .isCloseTo(4.303 * 0.1 / Math.sqrt(3), within(1e-4));
        assertThat(limit(12.0, 0.0, 1.0, 2.0, 3.0, 4.0, 5.0).meanUncertainty().orElseThrow())
                .isCloseTo(2.776 * Math.sqrt(2.5 / 5), within(1e-3));
        // An instrument far coarser than the scatter decides alone.
        assertThat(limit(12.0, 1.0, 9.999, 10.0, 10.001).meanUncertainty().orElseThrow())
                .isCloseTo(1, within(1e-4));
        assertThat(limit(12.0, 1.0, 10.0).meanUncertainty()).contains(1.0);
        // By hand: 0.1 and 0.1 join to 0.1414 with 4 · 2 = 8 degrees of freedom, t = 2.306.
        assertThat(limit(12.0, 0.1 * 1.959964, 10 - 0.1 * Math.sqrt(3), 10.0, 10 + 0.1 * Math.sqrt(3))
                        .meanUncertainty()
                        .orElseThrow())
                .isCloseTo(2.306 * 0.141421, within(1e-4));
    }

    @Test
    void theWorstOfReadingsAndMeanIsTheVerdict() {
        assertThat(limit(80.0, null, 70.0, 70.0, 81.0).verdict()).contains(Judgement.BAD);
        assertThat(limit(80.0, 0.5, 79.0, 78.0, 79.8).verdict()).contains(Judgement.CAN_NOT_SAY);
        assertThat(limit(80.0, 0.1, 79.0, 79.0, 79.0).verdict()).contains(Judgement.GOOD);
        assertThat(limit(80.0, 0.1, 76.0, 79.0).verdict())
                .as("two that differ so leave the mean open")
                .contains(Judgement.CAN_NOT_SAY);
        assertThat(limit(80.0, null, 79.0).reasons().toString()).contains("judged as if it were exact");
        assertThat(limit(80.0, 0.1, 79.0).reasons().toString()).doesNotContain("exact");
        assertThat(limit(null, null, 12.0).verdict()).isEmpty();
        assertThat(limit(null, null, 12.0).mean()).isEqualTo(12);
        assertThat(MotionReadings.limit(
                                new LimitAsked(List.of(3.0), Optional.empty(), Optional.empty(), Optional.empty()))
                        .verdict())
                .isEmpty();
    }

    /** As typed: 0.1 + 0.2 is 0.3, and one percent of 300 is 3. */
    @Test
    void whatIsTypedIsComparedInDecimal() {
        assertThat(limit(0.3, null, 0.1 + 0.2).verdict()).contains(Judgement.GOOD);
        assertThat(limit(3.0, null, 300 * 1.01 - 300).verdict()).contains(Judgement.GOOD);
        assertThat(limit(0.3, null, 0.3000001).verdict()).contains(Judgement.BAD);
    }

    /**
     * More that is left open never makes good what could not be told, and a narrower limit never makes bad good. Of several readings that is so
     * from the moment on that anything is said of the instrument: a coarser one then makes the scatter of two readings less telling (Welch and
     * Satterthwaite, published), which is theirs and not ours.
     */
    @Property
    void doubtAndNarrowerLimitsAreNeverAYes(
            @ForAll @DoubleRange(min = 0, max = 20) double reading,
            @ForAll @DoubleRange(min = 0, max = 5) double u,
            @ForAll @DoubleRange(min = 0, max = 5) double more) {
        for (Double[] readings : new Double[][] {{reading}, {reading, reading + 0.3}}) {
            Judgement sure = limit(10.0, u, readings).verdict().orElseThrow();
            if (sure != Judgement.GOOD) {
                assertThat(limit(10.0 - more, u, readings).verdict()).isNotEqualTo(Optional.of(Judgement.GOOD));
            }
            if (sure != Judgement.GOOD && readings.length == 1) {
                assertThat(limit(10.0, u + more, readings).verdict()).isNotEqualTo(Optional.of(Judgement.GOOD));
            }
            if (limit(10.0, null, readings).verdict().orElseThrow() != Judgement.GOOD) {
                assertThat(sure).isNotEqualTo(Judgement.GOOD);
            }
        }
    }
}
