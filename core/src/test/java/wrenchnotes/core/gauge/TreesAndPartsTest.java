package wrenchnotes.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import wrenchnotes.core.gauge.CapacitorGauge.Capacitor;
import wrenchnotes.core.gauge.CapacitorGauge.CapacitorKind;
import wrenchnotes.core.gauge.GearGauge.GearAsked;
import wrenchnotes.core.gauge.GearGauge.GearFit;
import wrenchnotes.core.gauge.GearGauge.GearWheel;
import wrenchnotes.core.gauge.RailsGauge.Mains;
import wrenchnotes.core.gauge.RailsGauge.Rail;
import wrenchnotes.core.gauge.RailsGauge.RailKind;
import wrenchnotes.core.gauge.RailsGauge.RailRead;
import wrenchnotes.core.gauge.RailsGauge.RailsAsked;
import wrenchnotes.core.gauge.RailsGauge.RailsFound;

/** Laws of trees of rails, and of parts that may stand in for others. */
class TreesAndPartsTest {

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
            rails.add(new Rail("rail " + n, from, RailKind.REGULATED, nominal, Optional.empty(), measured));
        }
        return new RailsAsked(new Mains(230, 231), rails, Optional.empty());
    }

    /** When several rails are wrong, the one nearest the source that is wrong explains the rest (common practice). */
    @Property
    void theCulpritIsBadNothingBeforeItIsAndNoOtherSuchExplainsMore(@ForAll long seed) {
        RailsAsked asked = supply(seed);
        RailsFound found = RailsGauge.of(asked);
        Map<String, Judgement> verdicts = new HashMap<>();
        found.rails().forEach(read -> verdicts.put(read.name(), read.verdict()));
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

    /** What is not regulated follows the mains in proportion (physics): both scaled alike, it is judged alike. */
    @Property
    void anUnregulatedRailFollowsTheMains(
            @ForAll @DoubleRange(min = 0.8, max = 1.15) double scale,
            @ForAll @DoubleRange(min = 2, max = 30) double volts) {
        assertThat(raw(230 * scale, volts * scale)).isEqualTo(raw(230, volts));
    }

    /** One of a thousand tries fell on a limit, and was judged by what a double makes of 15 · 1.05. */
    @ParameterizedTest
    @ValueSource(doubles = {10.56, 15})
    void exactlyAtItsLimitARailIsWithinIt(double volts) {
        for (int percent = 80; percent <= 115; percent++) {
            double scale = percent / 100.0;
            assertThat(raw(230 * scale, volts * scale))
                    .as("mains at %d %%", percent)
                    .isEqualTo(Judgement.GOOD);
        }
    }

    private static Judgement raw(double mains, double volts) {
        Rail rail = new Rail("raw", Optional.empty(), RailKind.UNREGULATED, 12, Optional.empty(), Optional.of(volts));
        return RailsGauge.of(new RailsAsked(new Mains(230, mains), List.of(rail), Optional.empty()))
                .rails()
                .get(0)
                .verdict();
    }

    /** The units are those of the SI (published). Words that name what no part has are no label, and never an error. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "0.1 µF, 275 V~, class X2;0.1;275;SAFETY_X",
                "electrolytic 470 µF, 25 V, 105 °C;470;25;ELECTROLYTIC",
                "100 nF, 63 V film;0.1;63;FILM",
                "4,7 µF, 63 V;4.7;63;FILM",
                "electrolytic 0,1 µF 50V;0.1;50;ELECTROLYTIC",
                "47 \u03bcF, 16 V electrolytic;47;16;ELECTROLYTIC",
                "electrolytic, 16 mfd, 450 V;16;450;ELECTROLYTIC",
                "4n7 ceramic 1 kV;0.0047;1000;CERAMIC"
            })
    void aLabelIsRead(String label, double microfarads, double volts, CapacitorKind kind) {
        Capacitor read = CapacitorLabel.read(label).orElseThrow();
        assertThat(read.microfarads()).isEqualTo(microfarads);
        assertThat(read.volts()).isEqualTo(volts);
        assertThat(read.kind()).isEqualTo(kind);
        for (String none : List.of("sled belt, 50 mm", "1.2.3 µF . V", "0 µF, 16 V", "10 µF, 99999999 V", "µF V", "")) {
            assertThat(CapacitorLabel.read(none)).as(none).isEmpty();
            assertThat(BeltLabel.read(1, "x", none, "1", 1)).as(none).isEmpty();
        }
        assertThat(BeltLabel.read(1, "x", "inner circumference 50 mm, flat 0 mm", "1", 1))
                .isEmpty();
    }

    private static GearAsked gear(int teeth, double outside, GearWheel mate, Double apart, Double bore, Double shaft) {
        return new GearAsked(
                teeth,
                outside,
                Optional.ofNullable(mate),
                Optional.ofNullable(apart),
                Optional.ofNullable(bore),
                Optional.ofNullable(shaft),
                false);
    }

    /** Outside diameter = (teeth + 2)/DP inches (common practice): 22 teeth of 48 per inch are half an inch across. */
    @Test
    void inchGearsAreKnownAndMeshWithTheirLike() {
        GearGauge.GearFound small = GearGauge.of(gear(22, 12.7, null, null, null, null));
        assertThat(small.preferredPitch()).contains(48.0);
        assertThat(small.diametralPitch()).isEqualTo(48, org.assertj.core.api.Assertions.within(1e-9));
        assertThat(small.reasons().get(0)).startsWith("48 teeth per inch");
        for (double pitch : new double[] {24, 32, 48, 64, 72, 80, 96}) {
            GearWheel like = new GearWheel(46, 48 * 25.4 / pitch);
            double apart = 25.4 / pitch * (22 + 46) / 2;
            assertThat(GearGauge.of(gear(22, 24 * 25.4 / pitch, like, apart, null, null))
                            .mesh())
                    .as("%s per inch", pitch)
                    .contains(Judgement.GOOD);
        }
        // Module 0.5 beside 48 per inch: 5.8 percent apart, and they jam.
        assertThat(GearGauge.of(gear(22, 12.7, new GearWheel(46, 24), 17.0, null, null))
                        .mesh())
                .contains(Judgement.BAD);
        // Two alike that no table has: 0.55 is neither a module nor a pitch.
        assertThat(GearGauge.of(gear(22, 24 * 0.55, new GearWheel(46, 48 * 0.55), 0.55 * 34, null, null))
                        .mesh())
                .contains(Judgement.GOOD);
    }

    /** a = m(z₁+z₂)/2 for full depth (ISO 53, ISO 54; published): with another module beside it, or the shafts off, they do not mesh. */
    @Test
    void gearsMeshByModuleAndDistance() {
        GearWheel mate = new GearWheel(36, 19);
        assertThat(GearGauge.of(gear(24, 13, mate, 15.0, null, null)).mesh()).contains(Judgement.GOOD);
        assertThat(GearGauge.of(gear(24, 13, mate, 15.4, null, null)).mesh()).contains(Judgement.BAD);
        assertThat(GearGauge.of(gear(24, 13, mate, 14.8, null, null)).mesh()).contains(Judgement.BAD);
        assertThat(GearGauge.of(gear(24, 13, mate, null, null, null)).mesh()).contains(Judgement.CAN_NOT_SAY);
        assertThat(GearGauge.of(gear(24, 10.4, mate, 15.0, null, null)).mesh()).contains(Judgement.BAD);
        assertThat(GearGauge.of(gear(24, 13, mate, 15.0, null, null)).ratio()).contains(1.5);
        assertThat(GearGauge.of(gear(24, 13, null, null, 2.0, 2.05)).fit()).contains(GearFit.INTERFERENCE);
        // A plastic gear splits beyond about three percent of its bore (common practice).
        assertThat(GearGauge.of(gear(24, 13, null, null, 2.0, 2.06)).fit()).contains(GearFit.INTERFERENCE);
        assertThat(GearGauge.of(gear(24, 13, null, null, 2.0, 2.061)).fit()).contains(GearFit.TOO_TIGHT);
        assertThat(GearGauge.of(gear(24, 13, null, null, 2.0, 2.3)).reasons().toString())
                .contains("splits")
                .doesNotContain("Press it on");
        assertThat(GearGauge.of(gear(24, 13, null, null, 2.01, 2.0)).fit()).contains(GearFit.TRANSITION);
        assertThat(GearGauge.of(gear(24, 13, null, null, 2.1, 2.0)).fit()).contains(GearFit.CLEARANCE);
        assertThat(GearGauge.of(gear(24, 12.1, null, null, null, null))
                        .reasons()
                        .toString())
                .as("no preferred module is near 0.465")
                .contains("No preferred module");
        assertThatThrownBy(() -> gear(3, 13, null, null, null, null)).hasMessageContaining("from 5 to 2000");
    }
}
