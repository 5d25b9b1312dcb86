package wrenchnotes.core.pattern;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class ShareTest {

    /**
     * Worked example in R. G. Newcombe, "Two-sided confidence intervals for the single proportion", Statistics in
     * Medicine 17 (1998), table I, method 3 (score): 81 of 263 gives 0.2553 to 0.3662, 15 of 148 gives 0.0624 to
     * 0.1605, 0 of 20 gives 0 to 0.1611, 1 of 29 gives 0.0061 to 0.1718 (values from memory).
     */
    @Test
    void agreesWithThePublishedScoreIntervals() {
        assertInterval(Share.of(81, 263), 0.2553, 0.3662);
        assertInterval(Share.of(15, 148), 0.0624, 0.1605);
        assertInterval(Share.of(0, 20), 0, 0.1611);
        assertInterval(Share.of(1, 29), 0.0061, 0.1718);
    }

    /** The bounds are the shares whose own normal score just reaches what was seen: Wilson's defining equation. */
    @Property
    void theBoundsSolveWilsonsEquation(
            @ForAll @IntRange(min = 1, max = 2000) int outOf, @ForAll @IntRange(min = 0, max = 2000) int count) {
        Share share = Share.of(Math.min(count, outOf), outOf);
        double z = 1.959963984540054;
        for (double bound : new double[] {share.low(), share.high()}) {
            double score = Math.abs(share.share() - bound);
            if (bound > 0 && bound < 1) {
                assertThat(score).isCloseTo(z * Math.sqrt(bound * (1 - bound) / outOf), within(1e-7));
            }
        }
        assertThat(share.low()).isBetween(0.0, share.share());
        assertThat(share.high()).isBetween(share.share(), 1.0);
    }

    @Test
    void refusesCountsThatCannotBe() {
        assertThatThrownBy(() -> Share.of(3, 2)).hasMessage("count is 3; it must be from 0 to 2");
        assertThatThrownBy(() -> Share.of(0, 0)).hasMessageContaining("outOf is 0");
    }

    private static void assertInterval(Share share, double low, double high) {
        assertThat(share.low()).isCloseTo(low, within(0.0001));
        assertThat(share.high()).isCloseTo(high, within(0.0001));
    }
}
