package wrenchnotes.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Size;
import wrenchnotes.core.gauge.BleedGauge.BleedAsked;
import wrenchnotes.core.gauge.ChainGauge.ChainAsked;
import wrenchnotes.core.gauge.ChainGauge.ChainFound;
import wrenchnotes.core.gauge.ChainGauge.ChainStage;
import wrenchnotes.core.gauge.ChainGauge.Signal;
import wrenchnotes.core.gauge.LimitGauge.LimitAsked;
import wrenchnotes.core.gauge.LimitGauge.LimitFound;
import wrenchnotes.core.gauge.LimitGauge.Limits;

/** The same things in other units, or all of them larger alike, are judged alike: nothing hangs on what a number is written in. */
class ScaleTest {

    /** Millivolts for volts. */
    @Property
    void aLimitInOtherUnitsIsTheSameLimit(
            @ForAll @Size(min = 1, max = 4) List<@DoubleRange(min = -5, max = 5) Double> readings,
            @ForAll @DoubleRange(min = 0, max = 2) double u) {
        LimitFound volts = limit(readings, 1, u);
        LimitFound millivolts = limit(readings, 1000, u);
        assertThat(millivolts.verdict()).isEqualTo(volts.verdict());
        assertThat(millivolts.mean()).isCloseTo(1000 * volts.mean(), within(1e-6));
        assertThat(millivolts.meanUncertainty().orElseThrow())
                .isCloseTo(1000 * volts.meanUncertainty().orElseThrow(), within(1e-6));
    }

    private static LimitFound limit(List<Double> readings, double scale, double u) {
        return LimitGauge.of(new LimitAsked(
                readings.stream().map(reading -> scale(reading, scale)).toList(),
                Optional.of(new Limits(Optional.of(-2 * scale), Optional.of(3 * scale))),
                Optional.of(scale(u, scale)),
                Optional.empty()));
    }

    /** As it would be typed: to a millionth. */
    private static double scale(double value, double scale) {
        return Math.rint(value * 1e6) / 1e6 * scale;
    }

    /** Twice as large all over, a belt is twice as long, and stretched as much. */
    @Property
    void aLargerDriveHasALargerBelt(
            @ForAll @DoubleRange(min = 3, max = 20) double small,
            @ForAll @DoubleRange(min = 3, max = 20) double large,
            @ForAll @DoubleRange(min = 25, max = 90) double centres,
            @ForAll @DoubleRange(min = 0.5, max = 3) double scale) {
        BeltGauge.BeltFound one = belt(small, large, centres, 1);
        BeltGauge.BeltFound other = belt(small, large, centres, scale);
        assertThat(other.pathMm().orElseThrow()).isCloseTo(scale * one.pathMm().orElseThrow(), within(1e-6));
        assertThat(other.target().bestMm()).isCloseTo(scale * one.target().bestMm(), within(1e-6));
        assertThat(other.target().minMm()).isCloseTo(scale * one.target().minMm(), within(1e-6));
        assertThat(other.target().maxMm()).isCloseTo(scale * one.target().maxMm(), within(1e-6));
    }

    private static BeltGauge.BeltFound belt(double small, double large, double centres, double scale) {
        BeltGauge.BeltPath path = new BeltGauge.BeltPath(small * scale, large * scale, centres * scale, false);
        return BeltGauge.of(new BeltGauge.BeltAsked(Optional.empty(), Optional.of(path), Optional.empty()), List.of());
    }

    /** Odds against one another and minutes in whatever unit: the way to probe is the same. */
    @Property(tries = 200)
    void oddsAndMinutesInOtherUnitsProbeTheSame(
            @ForAll @Size(min = 2, max = 8) List<@DoubleRange(min = 0.1, max = 9) Double> odds,
            @ForAll @DoubleRange(min = 0.1, max = 50) double scale) {
        ChainFound plain = chain(odds, 1, 1);
        ChainFound scaled = chain(odds, scale, 60);
        assertThat(scaled.expectedMinutes()).isCloseTo(60 * plain.expectedMinutes(), within(1e-6));
        assertThat(scaled.probeAfter().isPresent()).isEqualTo(plain.probeAfter().isPresent());
    }

    private static ChainFound chain(List<Double> odds, double scale, double minutes) {
        List<ChainStage> stages = new ArrayList<>();
        for (int n = 0; n < odds.size(); n++) {
            stages.add(new ChainStage(
                    "stage " + n,
                    n == 0 ? Signal.GOOD : Signal.UNKNOWN,
                    n == odds.size() - 1 ? Signal.BAD : Signal.UNKNOWN,
                    Optional.of(odds.get(n) * scale),
                    Optional.of((1.0 + n % 3) * minutes)));
        }
        return ChainGauge.of(new ChainAsked(stages));
    }

    /** What counts is RC: ten times the capacitor through a tenth of the resistance takes as long. */
    @Property
    void whatCountsIsTheProductOfBoth(@ForAll @DoubleRange(min = 0.2, max = 20) double scale) {
        double one = BleedGauge.of(new BleedAsked(100, 10_000, 300, Optional.empty(), Optional.of(20.0)))
                .secondsToMeasure();
        double other = BleedGauge.of(
                        new BleedAsked(100 * scale, 10_000 / scale, 300, Optional.empty(), Optional.of(20.0)))
                .secondsToMeasure();
        assertThat(other).isCloseTo(one, within(1e-6));
    }
}
