package wrenchnotes.core.diagnosis.advice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.unit.Invalid;

/** By probability over what it takes (published: Black 1965, Discrete sequential search; from memory), held against every order there is. */
class WhereToTest {

    private static final double LOOK = Means.LOOKED.minutes();

    /** Until what is sought was found, if it is in just one of the places and each has a way of its own. */
    private static double expectedMinutes(List<WhereTo> order) {
        double gone = 0;
        double expected = 0;
        for (WhereTo place : order) {
            gone += place.minutes() + LOOK;
            expected += place.probability() * gone;
        }
        return expected;
    }

    private static double least(List<WhereTo> left, List<WhereTo> before) {
        if (left.isEmpty()) {
            return expectedMinutes(before);
        }
        double least = Double.MAX_VALUE;
        for (WhereTo next : left) {
            List<WhereTo> rest = new ArrayList<>(left);
            rest.remove(next);
            List<WhereTo> order = new ArrayList<>(before);
            order.add(next);
            least = Math.min(least, least(rest, order));
        }
        return least;
    }

    @Property(tries = 100)
    void noOtherOrderFindsItSooner(@ForAll long seed) {
        Random random = new Random(seed);
        double[] weights = random.doubles(6, 0.01, 1).toArray();
        double all = Arrays.stream(weights).sum();
        List<WhereTo> places = new ArrayList<>();
        for (int n = 0; n < weights.length; n++) {
            places.add(new WhereTo(n, weights[n] / all, random.nextInt(30)));
        }
        assertThat(expectedMinutes(WhereTo.ranked(places))).isCloseTo(least(places, List.of()), within(1e-9));
    }

    @Test
    void ofEqualsTheNearestComesFirstAndWhatCannotBeIsRefused() {
        assertThat(WhereTo.ranked(List.of(new WhereTo(1, 0, 20), new WhereTo(2, 0, 3), new WhereTo(3, 0.2, 40))))
                .extracting(WhereTo::component)
                .containsExactly(3L, 2L, 1L);
        assertThatThrownBy(() -> new WhereTo(1, 1.2, 3)).isInstanceOf(Invalid.class);
        assertThatThrownBy(() -> new WhereTo(1, 0.2, Double.NaN))
                .isInstanceOf(Invalid.class)
                .hasMessageContaining("0 minutes or more");
    }
}
