package wrenchnotes.core.diagnosis.odds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.history.Rates;
import wrenchnotes.core.diagnosis.history.Where.Level;

/** What comes together is heard by everything that speaks of one of its faults. */
class TogetherTest {

    private static final FaultName BELT = new FaultName("belt", "slack");
    private static final FaultName LENS = new FaultName("lens", "dirty");
    private static final double TOGETHER = 0.15;
    private static final Rates RATES = new Rates(
            List.of(rated(BELT, 0.5), rated(LENS, 0.35)),
            Map.of("skips", Map.of(BELT, 0.4, LENS, 0.6)),
            Map.of("skips", 0.02),
            0.25,
            0.03,
            0,
            Map.of(),
            List.of(new Rates.Group("together 1", Set.of(BELT, LENS), TOGETHER)),
            Set.of(),
            Map.of());

    private static Rates.Rated rated(FaultName fault, double rate) {
        return new Rates.Rated(fault, rate, 20 * rate, 20, new Rates.Behind(Level.MODEL, (int) (20 * rate), 20));
    }

    private static double of(FaultName fault, Known known) {
        return Diagnosis.of(RATES, known).faults().stream()
                .filter(one -> one.fault().equals(fault))
                .findFirst()
                .orElseThrow()
                .probability();
    }

    private static final Known NOTHING = Known.told(Set.of(), Set.of());

    /**
     * By hand: main faults in the measure of their rates, 0.35 the belt alone, 0.2 the lens alone, 0.15 both; 3 of 100 have nothing; besides, 0.1 times its share
     * (of 0.7) comes with any.
     */
    @Test
    void itStandsAmongTheMainOnes() {
        double besideBelt = 0.1 * 0.35 / 0.7;
        double hand = 0.97 * (1 - 0.2 / 0.7 * (1 - besideBelt));
        double group = 0.97 * (0.15 / 0.7 + (1 - 0.15 / 0.7) * 0.1 * 0.15 / 0.7);
        assertThat(of(BELT, NOTHING)).isGreaterThan(hand).isLessThan(hand + group);
        assertThat(Diagnosis.of(RATES, NOTHING).somethingElse().orElseThrow()).isCloseTo(0.03, within(1e-9));
    }

    /** A belt that was seen bad, or that spoils whatever it is tried in, may be one of both. */
    @Test
    void whatSpeaksOfOneSpeaksOfBoth() {
        double before = of(LENS, NOTHING);
        Known seen = new Known(
                Set.of(), Set.of(), List.of(new Known.Look("belt", false, Means.MEASURED)), List.of(), List.of());
        CrossedTries grid = new CrossedTries(
                List.of(new CrossedTries.Tried("its belt", false, Optional.of("belt"))),
                List.of(new CrossedTries.Tried("another unit", false, Optional.empty())),
                List.of(new CrossedTries.Try(0, 0, false)));
        Known tried = new Known(Set.of(), Set.of(), List.of(), List.of(), List.of(grid));
        double ofBoth = of(LENS, seen) / of(BELT, seen);
        assertThat(of(LENS, tried) / of(BELT, tried))
                .as("a try says of both what a look does")
                .isCloseTo(ofBoth, within(0.05));
        assertThat(ofBoth).isLessThan(before);
    }

    /** A new belt is a good one, whatever it came with. */
    @Test
    void whatWasReplacedIsNotSuspectedThroughTheRest() {
        Known replaced = new Known(
                Set.of("skips"), Set.of(), List.of(), List.of(new Known.Done(BELT, Remedy.REPLACED, true)), List.of());
        assertThat(of(BELT, replaced)).isLessThan(0.05);
    }
}
