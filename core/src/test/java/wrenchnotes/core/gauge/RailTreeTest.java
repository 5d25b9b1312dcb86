package wrenchnotes.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wrenchnotes.core.gauge.RailsGauge.Mains;
import wrenchnotes.core.gauge.RailsGauge.Rail;
import wrenchnotes.core.gauge.RailsGauge.RailKind;
import wrenchnotes.core.gauge.RailsGauge.RailRead;
import wrenchnotes.core.gauge.RailsGauge.RailsAsked;
import wrenchnotes.core.gauge.RailsGauge.RailsFound;

/** Laws of a tree of rails: which is first, and that less said is never better. */
class RailTreeTest {

    /** A supply of some rails, each from the mains or from one before it, read as it should be or not. */
    private static RailsAsked supply(long seed) {
        Random random = new Random(seed);
        List<Rail> rails = new ArrayList<>();
        int count = 1 + random.nextInt(9);
        for (int n = 0; n < count; n++) {
            Optional<String> from =
                    n == 0 || random.nextInt(3) == 0 ? Optional.empty() : Optional.of("rail " + random.nextInt(n));
            double nominal = 3 + random.nextInt(30);
            Optional<Double> measured = random.nextInt(5) == 0
                    ? Optional.empty()
                    : Optional.of(nominal * (random.nextInt(3) == 0 ? random.nextDouble() * 0.6 : 1));
            rails.add(Rail.of("rail " + n, from, RailKind.REGULATED, nominal, measured));
        }
        return new RailsAsked(Mains.of(230, 231), rails, Optional.empty());
    }

    /** When several rails are wrong, the one nearest the source that is wrong explains the rest (common practice). */
    @Property
    void theCulpritIsBadNothingBeforeItIsAndNoOtherSuchExplainsMore(@ForAll long seed) {
        RailsAsked asked = supply(seed);
        RailsFound found = RailsGauge.of(asked);
        Map<String, Optional<String>> from = new HashMap<>();
        asked.rails().forEach(rail -> from.put(rail.name(), rail.from()));
        List<String> bad = found.rails().stream()
                .filter(read -> read.verdict() == Judgement.BAD)
                .map(RailRead::name)
                .toList();
        if (bad.isEmpty()) {
            assertThat(found.culprit()).isEmpty();
            return;
        }
        String culprit = found.culprit().orElseThrow();
        assertThat(bad).contains(culprit);
        assertThat(before(culprit, from)).noneMatch(bad::contains);
        long explained =
                bad.stream().filter(one -> before(one, from).contains(culprit)).count();
        for (String other : bad) {
            if (before(other, from).stream().noneMatch(bad::contains)) {
                assertThat(bad.stream()
                                .filter(one -> before(one, from).contains(other))
                                .count())
                        .isLessThanOrEqualTo(explained);
            }
        }
    }

    private static List<String> before(String rail, Map<String, Optional<String>> from) {
        List<String> before = new ArrayList<>();
        for (Optional<String> at = from.get(rail); at.isPresent(); at = from.get(at.get())) {
            before.add(at.get());
        }
        return before;
    }

    /** What a rail was not told, and what the meter leaves open, never make good what was not. */
    @Property
    void lessSaidIsNeverBetter(@ForAll long seed, @ForAll @DoubleRange(min = 0, max = 8) double percent) {
        RailsAsked asked = supply(seed);
        RailsFound all = RailsGauge.of(asked);
        RailsFound unsure = RailsGauge.of(new RailsAsked(asked.mains(), asked.rails(), Optional.of(percent)));
        for (int at = 0; at < asked.rails().size(); at++) {
            List<Rail> fewer = new ArrayList<>(asked.rails());
            Rail rail = fewer.get(at);
            fewer.set(
                    at,
                    Rail.of(
                            rail.name(),
                            rail.from(),
                            rail.kind(),
                            rail.nominal().orElseThrow(),
                            Optional.empty()));
            RailsFound less = RailsGauge.of(new RailsAsked(asked.mains(), fewer, Optional.empty()));
            for (int n = 0; n < all.rails().size(); n++) {
                if (all.rails().get(n).verdict() != Judgement.GOOD) {
                    assertThat(less.rails().get(n).verdict()).isNotEqualTo(Judgement.GOOD);
                    assertThat(unsure.rails().get(n).verdict()).isNotEqualTo(Judgement.GOOD);
                }
            }
        }
    }

    /** What is not regulated follows the mains in proportion (physics): both scaled alike, it is judged alike. */
    @Property
    void anUnregulatedRailFollowsTheMains(
            @ForAll @DoubleRange(min = 0.8, max = 1.15) double scale,
            @ForAll @DoubleRange(min = 2, max = 30) double volts) {
        assertThat(lone(230 * scale, volts * scale)).isEqualTo(lone(230, volts));
    }

    /** One of a thousand tries fell on a limit, and was judged by what a double makes of 15 · 1.05. */
    @ParameterizedTest
    @ValueSource(doubles = {10.56, 15})
    void exactlyAtItsLimitARailIsWithinIt(double volts) {
        for (int percent = 80; percent <= 115; percent++) {
            double scale = percent / 100.0;
            assertThat(lone(230 * scale, volts * scale))
                    .as("mains at %d %%", percent)
                    .isEqualTo(Judgement.GOOD);
        }
    }

    private static Judgement lone(double mains, double volts) {
        Rail rail = Rail.of("raw", Optional.empty(), RailKind.UNREGULATED, 12, Optional.of(volts));
        return RailsGauge.of(new RailsAsked(Mains.of(230, mains), List.of(rail), Optional.empty()))
                .rails()
                .get(0)
                .verdict();
    }
}
