package wrenchnotes.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wrenchnotes.core.gauge.LimitGauge.LimitAsked;
import wrenchnotes.core.gauge.LimitGauge.LimitFound;
import wrenchnotes.core.gauge.LimitGauge.Limits;
import wrenchnotes.core.gauge.ThreadGauge.ThreadAsked;
import wrenchnotes.core.gauge.ThreadGauge.ThreadFound;
import wrenchnotes.core.gauge.ThreadGauge.ThreadsCounted;

/** What limit and thread say of a reading, word for word and exactly at their limits. */
class SaidOfReadingsTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "5||8|||5 is within the limit",
                "5|V|8||0.5|5 V is within the limit, the uncertainty of 0.5 included",
                "9|V|8||0.5|9 V is above 8 by more than the uncertainty of 0.5",
                "9|V|8|||9 V is above 8",
                "1|V||2||1 V is below 2",
                "7.75|V|8||0.5|7.75 V is nearer to 8 than the uncertainty of 0.5: measure with a better instrument, or more often",
                "8.5|V|8||0.5|8.5 V is nearer to 8 than the uncertainty of 0.5: measure with a better instrument, or more often",
                "7.5|V|8||0.5|7.5 V is within the limit, the uncertainty of 0.5 included"
            })
    void aReadingAgainstALimit(double reading, String unit, Double max, Double min, Double u, String said) {
        LimitFound found = limit(List.of(reading), unit, max, min, u);
        assertThat(found.reasons().get(0)).isEqualTo(said);
        assertThat(found.reasons()).hasSize(u == null ? 2 : 1);
    }

    private static LimitFound limit(List<Double> readings, String unit, Double max, Double min, Double u) {
        return LimitGauge.of(new LimitAsked(
                readings,
                Optional.of(new Limits(Optional.ofNullable(min), Optional.ofNullable(max))),
                Optional.ofNullable(u),
                Optional.ofNullable(unit)));
    }

    @Test
    void ofSeveralReadingsThoseThatAreNotGoodAreNamed() {
        LimitFound found = limit(List.of(1.0, 9.0), "V", 8.0, null, 0.0);
        assertThat(found.reasons()).contains("9 V is above 8").noneMatch(said -> said.startsWith("1 V"));
        assertThat(found.reasons().get(0)).startsWith("The mean of 5 V ");
        assertThat(found.verdict()).contains(Judgement.BAD);
        LimitFound none =
                LimitGauge.of(new LimitAsked(List.of(3.0), Optional.empty(), Optional.empty(), Optional.empty()));
        assertThat(none.reasons()).containsExactly("No limit is said: it is noted down and not judged.");
        assertThat(MotionReadings.limit(
                                new LimitAsked(List.of(3.0), Optional.empty(), Optional.empty(), Optional.of("V")))
                        .readings()
                        .get(0)
                        .words())
                .isEqualTo("3 V");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "2.85|8.8|−0.05 mm across, +0 mm pitch",
                "2.95|9|+0.05 mm across, +0.025 mm pitch",
                "2.9|8.6|+0 mm across, −0.025 mm pitch"
            })
    void aThreadSaysHowFarOff(double across, double over, String how) {
        ThreadFound found = ThreadGauge.of(new ThreadAsked(
                across,
                Optional.of(new ThreadsCounted(8, over, Optional.of(0.5))),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.of(0.05)));
        assertThat(found.designations().get(0).how()).isEqualTo(how);
        assertThat(found.pitchMm().orElseThrow()).isCloseTo(over / 8, within(1e-12));
        assertThat(found.reasons()).hasSize(1);
        assertThat(found.reasons().get(0)).startsWith("Coarse, sharp thread");
    }
}
