package wrenchnotes.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wrenchnotes.core.gauge.Conditions.Supplied;
import wrenchnotes.core.gauge.Conditions.Warmth;
import wrenchnotes.core.gauge.LimitGauge.Limits;

/** Under what something was read, and what is right by a good unit. */
class ConditionsTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "||before",
                "ON_REQUEST||before, on request",
                "|COLD|before, cold",
                "OFF|AFTER_TEN_MINUTES|before, off, after ten minutes"
            })
    void aTitleSaysUnderWhatItWasRead(Supplied supply, Warmth warmth, String title) {
        Conditions conditions = new Conditions(Optional.ofNullable(supply), Optional.ofNullable(warmth));
        assertThat(conditions.after("before")).isEqualTo(title);
        assertThat(conditions.off()).isEqualTo(supply == Supplied.OFF);
    }

    /** Its own limits if it had some, else a twentieth of what it read; below 0.05 all is nothing. Ours, no source. */
    @Test
    void whatIsRightByAGoodUnit() {
        assertThat(Beside.rightBy(reading(5.0, null, 5.25, null)))
                .contains(new Limits(Optional.empty(), Optional.of(5.25)));
        assertThat(Beside.rightBy(reading(5.0, 4.75, null, null)))
                .contains(new Limits(Optional.of(4.75), Optional.empty()));
        assertThat(Beside.rightBy(reading(-8.0, null, null, null)))
                .contains(new Limits(Optional.of(-8.4), Optional.of(-7.6)));
        assertThat(Beside.rightBy(reading(0.05, null, null, null))
                        .orElseThrow()
                        .max()
                        .orElseThrow())
                .as("from 0.05 up a twentieth of it")
                .isCloseTo(0.0525, within(1e-12));
        assertThat(Beside.rightBy(reading(0.0, null, null, null)))
                .contains(new Limits(Optional.of(-0.05), Optional.of(0.05)));
        assertThat(Beside.rightBy(reading(3.4, null, null, "high")))
                .as("a state")
                .isEmpty();
        assertThat(Beside.rightBy(reading(null, null, null, null))).isEmpty();
    }

    @Test
    void whatDiffersFromAGoodUnit() {
        assertThat(Beside.differ(reading(10.5, null, null, null), reading(10.0, null, null, null)))
                .as("exactly a twentieth is alike")
                .isFalse();
        assertThat(Beside.differ(reading(10.6, null, null, null), reading(10.0, null, null, null)))
                .isTrue();
        assertThat(Beside.differ(reading(null, null, null, null), reading(10.0, null, null, null)))
                .as("other words")
                .isTrue();
        assertThat(Beside.differ(reading(null, null, null, null), reading(null, null, null, null)))
                .isFalse();
        assertThat(Beside.differ(reading(3.4, null, null, "high"), reading(2.1, null, null, "high")))
                .isFalse();
        assertThat(Beside.differ(reading(3.4, null, null, "high"), reading(3.4, null, null, "low")))
                .isTrue();
    }

    private static Reading reading(Double value, Double min, Double max, String state) {
        return new Reading(
                "it",
                value == null ? "seen" : value + " V",
                Optional.ofNullable(value),
                "V",
                Optional.ofNullable(min),
                Optional.ofNullable(max),
                Optional.empty(),
                Optional.ofNullable(state),
                Optional.empty());
    }

    /** E6 and E12 (IEC 60063; published, from memory), both ends within; a value 0.5 % off is that value. */
    @Test
    void preferredValuesBetween() {
        assertThat(PreferredValues.E6.within(1, 10)).containsExactly(1.0, 1.5, 2.2, 3.3, 4.7, 6.8, 10.0);
        assertThat(PreferredValues.E12.within(0.82, 1.2)).containsExactly(0.82, 1.0, 1.2);
        assertThat(PreferredValues.E6.within(1.6, 2.1)).isEmpty();
        assertThat(PreferredValues.has(4.72)).isTrue();
        assertThat(PreferredValues.has(4.75)).isFalse();
        assertThat(List.of(Judgement.GOOD.words(), Judgement.BAD.words(), Judgement.CAN_NOT_SAY.words()))
                .containsExactly("good", "bad", "cannot say");
    }
}
