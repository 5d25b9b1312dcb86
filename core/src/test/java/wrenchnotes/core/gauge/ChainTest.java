package wrenchnotes.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wrenchnotes.core.gauge.ChainGauge.ChainAsked;
import wrenchnotes.core.gauge.ChainGauge.ChainFound;
import wrenchnotes.core.gauge.ChainGauge.ChainStage;
import wrenchnotes.core.gauge.ChainGauge.Signal;

/** A fault along a chain of stages, or several. */
class ChainTest {

    private static ChainStage stage(String name, Signal in, Signal out, double prior, double minutes) {
        return new ChainStage(name, in, out, Optional.of(prior), Optional.of(minutes));
    }

    private static List<ChainStage> alike(int count) {
        List<ChainStage> stages = new ArrayList<>();
        for (int n = 0; n < count; n++) {
            stages.add(stage(
                    "s" + n,
                    n == 0 ? Signal.GOOD : Signal.UNKNOWN,
                    n == count - 1 ? Signal.BAD : Signal.UNKNOWN,
                    1,
                    1));
        }
        return stages;
    }

    /** Half-splitting (common practice): of 2ⁿ stages that are alike, n probes, the first in the middle. */
    @Test
    void whenAllIsEqualItHalves() {
        for (int power = 1; power <= 5; power++) {
            ChainFound found = ChainGauge.of(new ChainAsked(alike(1 << power)));
            assertThat(found.expectedMinutes()).isCloseTo(power, within(1e-9));
            assertThat(found.probeAfter()).contains((1 << (power - 1)) - 1);
        }
    }

    @Test
    void theFirstWithAGoodInputAndABadOutputIsIt() {
        List<ChainStage> stages = new ArrayList<>(alike(5));
        stages.set(2, stage("s2", Signal.GOOD, Signal.BAD, 1, 1));
        ChainFound found = ChainGauge.of(new ChainAsked(stages));
        assertThat(found.faulty()).contains(2);
        assertThat(found.probeAfter()).isEmpty();

        assertThat(found.faults()).containsExactly(new ChainGauge.ChainSpan(2, 2));

        stages.set(0, stage("s0", Signal.BAD, Signal.UNKNOWN, 1, 1));
        assertThatThrownBy(() -> ChainGauge.of(new ChainAsked(stages))).hasMessageContaining("before this chain");
    }

    /** in: what goes into the first; then what each stage gives out, and where two words are said, the next input too. */
    private static ChainFound seen(String signals) {
        List<ChainStage> stages = new ArrayList<>();
        for (int n = 0; n + 1 < signals.length(); n += 2) {
            stages.add(stage("s" + n / 2, signal(signals.charAt(n)), signal(signals.charAt(n + 1)), 1, 1));
        }
        return ChainGauge.of(new ChainAsked(stages));
    }

    private static Signal signal(char letter) {
        return letter == 'g' ? Signal.GOOD : letter == 'b' ? Signal.BAD : Signal.UNKNOWN;
    }

    /** One bad stage explains good signals up to it and bad ones behind it, and nothing else: said by hand for each case. */
    @ParameterizedTest
    @CsvSource({
        // input and output of each of four stages; stage found, stages with a fault, what is said
        "gg.b...b,1,1-1,is the first with a good input",
        ".b......,,0-0,Nobody has seen what goes in",
        "...b...b,,0-1,2 stages may be it",
        "gg.b.g.b,1,1-1 3-3,several faults at once are possible",
        "gg.b.g.g,,1-1,'if these readings stay'",
        "g..b.g.b,,0-1 3-3,One fault lies from s0 to s1",
        "gggb..gb,1,1-1 3-3,the input of s3 is good behind a bad signal",
        "g..g..b.,2,2-2,s2 is the first",
        "ggb.....,,,a wire between two stages",
        "gg.g.g.g,,,the fault is not in this chain",
        "g.......,,,probe the end first",
    })
    void readingsThatOneFaultDoesNotExplain(String signals, Integer faulty, String spans, String said) {
        ChainFound found = seen(signals);
        assertThat(found.faulty()).isEqualTo(Optional.ofNullable(faulty));
        assertThat(found.faults().stream()
                        .map(span -> span.from() + "-" + span.to())
                        .collect(Collectors.joining(" ")))
                .isEqualTo(spans == null ? "" : spans);
        assertThat(String.join(" ", found.reasons())).contains(said);
        if (found.probeAfter().isPresent() && !found.faults().isEmpty()) {
            assertThat(found.probeAfter().get()).isBetween(found.from(), found.to() - 1);
        }
    }

    @Test
    void oddsAndEffortMoveTheProbe() {
        List<ChainStage> stages = new ArrayList<>(alike(8));
        stages.set(0, stage("s0", Signal.GOOD, Signal.UNKNOWN, 20, 1));
        assertThat(ChainGauge.of(new ChainAsked(stages)).probeAfter()).contains(0);
        List<ChainStage> dear = new ArrayList<>(alike(8));
        dear.set(3, stage("s3", Signal.UNKNOWN, Signal.UNKNOWN, 1, 30));
        assertThat(ChainGauge.of(new ChainAsked(dear)).probeAfter().orElseThrow())
                .isNotEqualTo(3);
    }

    /** Against every strategy there is, by a loop that knows no short cut. */
    @Property(tries = 60)
    void noStrategyIsolatesItSooner(
            @ForAll @IntRange(min = 2, max = 7) int count, @ForAll @IntRange(max = 9999) int seed) {
        Random random = new Random(seed);
        List<ChainStage> stages = new ArrayList<>();
        for (int n = 0; n < count; n++) {
            stages.add(stage(
                    "s" + n,
                    n == 0 ? Signal.GOOD : Signal.UNKNOWN,
                    n == count - 1 ? Signal.BAD : Signal.UNKNOWN,
                    0.1 + random.nextDouble(),
                    0.5 + 5 * random.nextDouble()));
        }
        assertThat(ChainGauge.of(new ChainAsked(stages)).expectedMinutes())
                .isCloseTo(exhaustive(stages, 0, count - 1), within(1e-9));
    }

    private static double exhaustive(List<ChainStage> stages, int from, int to) {
        if (from == to) {
            return 0;
        }
        double all = 0;
        for (int at = from; at <= to; at++) {
            all += stages.get(at).priorBad().orElseThrow();
        }
        double least = Double.MAX_VALUE;
        double before = 0;
        for (int at = from; at < to; at++) {
            before += stages.get(at).priorBad().orElseThrow();
            least = Math.min(
                    least,
                    stages.get(at).minutes().orElseThrow()
                            + before / all * exhaustive(stages, from, at)
                            + (1 - before / all) * exhaustive(stages, at + 1, to));
        }
        return least;
    }

    /** Follows the advice to the end for each stage that may be bad, and weighs the minutes by how likely each is. */
    @Property(tries = 60)
    void theMinutesThatAreSaidAreThoseThatTheAdviceTakes(
            @ForAll @Size(min = 2, max = 9) List<@DoubleRange(min = 0.1, max = 9) Double> odds,
            @ForAll @IntRange(min = 1, max = 7) int seed) {
        List<ChainStage> stages = new ArrayList<>();
        for (int n = 0; n < odds.size(); n++) {
            stages.add(new ChainStage(
                    "stage " + n,
                    n == 0 ? Signal.GOOD : Signal.UNKNOWN,
                    n == odds.size() - 1 ? Signal.BAD : Signal.UNKNOWN,
                    Optional.of(odds.get(n)),
                    Optional.of(1.0 + (n * seed) % 5)));
        }
        double all = odds.stream().mapToDouble(Double::doubleValue).sum();
        double weighed = 0;
        for (int bad = 0; bad < stages.size(); bad++) {
            weighed += odds.get(bad) / all * minutesToFind(bad, new ArrayList<>(stages));
        }
        assertThat(ChainGauge.of(new ChainAsked(stages)).expectedMinutes()).isCloseTo(weighed, within(1e-9));
    }

    private static double minutesToFind(int bad, List<ChainStage> stages) {
        double minutes = 0;
        ChainFound found = ChainGauge.of(new ChainAsked(stages));
        while (found.faulty().isEmpty()) {
            int probed = found.probeAfter().orElseThrow();
            ChainStage stage = stages.get(probed);
            minutes += stage.minutes().orElseThrow();
            Signal seen = bad <= probed ? Signal.BAD : Signal.GOOD;
            stages.set(probed, new ChainStage(stage.name(), stage.in(), seen, stage.priorBad(), stage.minutes()));
            found = ChainGauge.of(new ChainAsked(stages));
        }
        assertThat(found.faulty()).contains(bad);
        return minutes;
    }
}
