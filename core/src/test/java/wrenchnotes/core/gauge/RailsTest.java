package wrenchnotes.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wrenchnotes.core.gauge.RailsGauge.Mains;
import wrenchnotes.core.gauge.RailsGauge.Rail;
import wrenchnotes.core.gauge.RailsGauge.RailKind;
import wrenchnotes.core.gauge.RailsGauge.RailRead;
import wrenchnotes.core.gauge.RailsGauge.RailsAsked;
import wrenchnotes.core.gauge.RailsGauge.RailsFound;
import wrenchnotes.core.unit.Invalid;

/** The rails of a supply: what each should be, which is the first that is wrong, and what may not be called good. */
class RailsTest {

    private static final RailKind WINDING = RailKind.SECONDARY_AC;
    private static final RailKind RAW = RailKind.UNREGULATED;
    private static final RailKind REGULATED = RailKind.REGULATED;

    private static Rail rail(String name, String from, RailKind kind, double nominal, Double measured) {
        return Rail.of(name, Optional.ofNullable(from), kind, nominal, Optional.ofNullable(measured));
    }

    private static RailsFound at(double mains, Rail... rails) {
        return RailsGauge.of(new RailsAsked(Mains.of(230, mains), List.of(rails), Optional.empty()));
    }

    private static RailRead read(RailsFound found, String name) {
        return found.rails().stream()
                .filter(one -> one.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static RailRead last(RailsFound found) {
        return found.rails().get(found.rails().size() - 1);
    }

    /** Common practice: an unregulated ±12 V pair reading −13.5 and +12.8 is in order. */
    @Test
    void aLightlyLoadedPairIsInOrder() {
        RailsFound found = at(230, rail("+12", null, RAW, 12, 12.8), rail("-12", null, RAW, -12, -13.5));
        assertThat(found.culprit()).isEmpty();
        assertThat(found.mains()).isEqualTo(Judgement.GOOD);
        assertThat(found.rails()).extracting(RailRead::verdict).containsOnly(Judgement.GOOD);
    }

    /** Secondaries of 16 and 9 V feed 12 and 5 V (common practice). The 9 V winding is dead: 5 V has nothing to make it from. */
    @Test
    void theEarliestBadRailExplainsTheRest() {
        RailsFound found = at(
                236,
                rail("16 V~", null, WINDING, 16, 16.9),
                rail("22 V raw", "16 V~", RAW, 21, 22.1),
                rail("12 V", "22 V raw", REGULATED, 12, 12.05),
                rail("9 V~", null, WINDING, 9, 3.1),
                rail("11 V raw", "9 V~", RAW, 11, 2.9),
                rail("5 V", "11 V raw", REGULATED, 5, 1.4));
        assertThat(found.culprit()).contains("9 V~");
        assertThat(found.reasons().get(0)).isEqualTo("9 V~ is the first that is wrong, and explains 2 behind it.");
        assertThat(read(found, "5 V").reasons().toString()).contains("about 2 V above its output");
        RailRead raw = read(found, "11 V raw");
        assertThat(raw.verdict())
                .as("2.9 V is what 3.1 V of its winding gives, √2 · 3.1 − 1.4 = 2.98, but not 11 V")
                .isEqualTo(Judgement.BAD);
        assertThat(raw.reasons().toString()).contains("2.984 V").contains("look at the winding first");
        assertThat(read(found, "12 V").verdict()).isEqualTo(Judgement.GOOD);
        assertThatThrownBy(() -> at(230, rail("a", "b", REGULATED, 5, 5.0), rail("b", "a", REGULATED, 5, 5.0)))
                .hasMessageContaining("comes from itself: a, b");
        assertThatThrownBy(() -> at(230, rail("a", null, REGULATED, 5, 5.0), rail("a", null, REGULATED, 9, 9.0)))
                .isInstanceOf(Invalid.class)
                .hasMessageContaining("Two rails are called a");
    }

    /** ATX12V design guide (published; from memory): ±5 %, −12 V ±10 %. */
    @ParameterizedTest
    @CsvSource({
        "5,4.76,GOOD",
        "5,4.74,BAD",
        "12,12.59,GOOD",
        "12,12.61,BAD",
        "-12,-13.1,GOOD",
        "-12,-13.3,BAD",
        "-5,-5.2,GOOD"
    })
    void regulatedRails(double nominal, double measured, Judgement verdict) {
        assertThat(last(at(250, rail("it", null, REGULATED, nominal, measured))).verdict())
                .isEqualTo(verdict);
    }

    /** Mains within ±10 % of what is marked (EN 50160; published, from memory); with none nothing behind it is told, and nothing called good. */
    @Test
    void theMainsIsTheFirstCause() {
        for (double volts : new double[] {0, 4, 22}) {
            RailsFound none = at(volts, rail("raw", null, RAW, 12, 0.0), rail("5 V", "raw", REGULATED, 5, 0.0));
            assertThat(none.culprit()).contains("mains");
            assertThat(none.mains()).isEqualTo(Judgement.BAD);
            assertThat(none.rails()).extracting(RailRead::verdict).containsOnly(Judgement.CAN_NOT_SAY);
        }
        assertThat(at(23, rail("raw", null, RAW, 12, 1.2)).rails().get(0).verdict())
                .as("from a tenth of it there is one, and far too low")
                .isEqualTo(Judgement.GOOD);
        RailsFound low = at(200, rail("raw", null, RAW, 12, 10.4), rail("9 V", "raw", REGULATED, 9, 8.1));
        assertThat(low.culprit()).contains("mains");
        assertThat(low.reasons().get(0)).contains("200 V where 230 V is marked").contains("before the 1 behind it");
        assertThat(at(207, rail("raw", null, RAW, 12, 11.0)).mains()).isEqualTo(Judgement.GOOD);
        assertThat(at(253, rail("raw", null, RAW, 12, 13.0)).mains()).isEqualTo(Judgement.GOOD);
        assertThat(at(253.5, rail("raw", null, RAW, 12, 13.0)).culprit()).contains("mains");
        RailsFound unread = RailsGauge.of(new RailsAsked(
                new Mains(230, Optional.empty()),
                List.of(rail("raw", null, RAW, 12, 12.5), rail("5 V", null, REGULATED, 5, 5.0)),
                Optional.empty()));
        assertThat(unread.mains()).isEqualTo(Judgement.CAN_NOT_SAY);
        assertThat(unread.rails()).extracting(RailRead::verdict).containsOnly(Judgement.CAN_NOT_SAY);
        assertThat(unread.rails().get(1).reasons().toString()).contains("Measure the mains first");
        assertThatThrownBy(() -> at(230, rail("Mains", null, RAW, 12, 12.0))).hasMessageContaining("another name");
    }

    @Test
    void whatIsMadeFromAnUnreadSourceIsNeitherGoodNorBad() {
        for (double volts : new double[] {5.0, 1.4}) {
            RailsFound found = at(230, rail("raw", null, RAW, 10, null), rail("5 V", "raw", REGULATED, 5, volts));
            assertThat(found.culprit()).isEmpty();
            assertThat(last(found).verdict()).isEqualTo(Judgement.CAN_NOT_SAY);
            assertThat(last(found).reasons().toString()).contains("Measure raw first");
        }
    }

    /**
     * √2 · V less one diode of 0.7 V, two in a bridge, twice over in a doubler (physics and common practice): 16 V give 21.93, 21.93, 21.23 and 43.85 V
     * without load.
     */
    @ParameterizedTest
    @CsvSource({"HALF_WAVE,21.927", "FULL_WAVE,21.927", "BRIDGE,21.227", "DOUBLER,43.855"})
    void theWindingGivesByHowItIsRectified(Rectifier rectifier, double peak) {
        assertThat(rectifier.peak(16)).isCloseTo(peak, within(0.001));
        assertThat(rectifier.peak(0.3)).as("less than a diode takes").isZero();
        for (double share : new double[] {0.74, 0.76, 1.04, 1.06}) {
            RailRead raw = last(at(230, rail("16 V~", null, WINDING, 16, 16.0), raw(rectifier, null, share * peak)));
            assertThat(raw.verdict())
                    .as("%.2f of the peak", share)
                    .isEqualTo(share > 0.75 && share < 1.05 ? Judgement.GOOD : Judgement.BAD);
        }
    }

    private static Rail raw(Rectifier rectifier, Double nominal, double volts) {
        return new Rail(
                "raw",
                Optional.of("16 V~"),
                RAW,
                Optional.ofNullable(nominal),
                Optional.empty(),
                Optional.of(volts),
                Optional.ofNullable(rectifier),
                Optional.empty(),
                Optional.empty());
    }

    /** A rail that nobody knows the nominal of can stand in the tree; what is not said of it is asked for. */
    @Test
    void aRailOfUnknownNominal() {
        Rail winding = rail("16 V~", null, WINDING, 16, 16.0);
        RailRead unsaid = last(at(230, winding, raw(null, null, 21)));
        assertThat(unsaid.verdict()).isEqualTo(Judgement.CAN_NOT_SAY);
        assertThat(unsaid.reasons().toString()).contains("how its winding is rectified");
        assertThat(last(at(230, winding, raw(Rectifier.BRIDGE, null, -21))).verdict())
                .as("below ground, as it is read")
                .isEqualTo(Judgement.GOOD);
        Rail five = new Rail(
                "logic",
                Optional.of("16 V~"),
                REGULATED,
                Optional.empty(),
                Optional.empty(),
                Optional.of(5.0),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
        RailRead open = last(at(230, winding, five));
        assertThat(open.verdict()).isEqualTo(Judgement.CAN_NOT_SAY);
        assertThat(open.minVolts()).isEmpty();
    }

    /** Both windows count: what suits the winding may be far from what the rail should be, and the other way round. */
    @ParameterizedTest
    @CsvSource({"21,21,GOOD", "21,17.5,BAD", "15,18,GOOD", "15,19,BAD", "12,15,BAD", "12,21,BAD"})
    void nominalAndWindingBothCount(double nominal, double volts, Judgement verdict) {
        RailRead raw = last(at(230, rail("16 V~", null, WINDING, 16, 16.0), raw(Rectifier.BRIDGE, nominal, volts)));
        assertThat(raw.verdict()).isEqualTo(verdict);
    }

    /** A raw rail that is low is unloaded and read again before anything is condemned (common practice). */
    @Test
    void aLowRawRailIsUnloadedFirst() {
        Rail winding = rail("16 V~", null, WINDING, 16, 16.0);
        RailsFound low = at(230, winding, raw(Rectifier.BRIDGE, 21.0, 14));
        assertThat(last(low).reasons().toString()).contains("Disconnect its load and measure again");
        assertThat(low.reasons().toString()).contains("Disconnect its load and measure again");
        RailsFound still = at(230, winding, without(14));
        assertThat(last(still).verdict()).isEqualTo(Judgement.BAD);
        assertThat(still.reasons().toString()).doesNotContain("Disconnect");
        RailRead up = last(at(230, winding, without(21)));
        assertThat(up.verdict()).as("nobody has seen it with its load").isEqualTo(Judgement.CAN_NOT_SAY);
        assertThat(up.reasons().toString()).contains("what hangs on it");
        assertThat(last(at(230, winding, raw(Rectifier.BRIDGE, 21.0, 27)))
                        .reasons()
                        .toString())
                .as("too high is no load's doing")
                .doesNotContain("Disconnect");
    }

    private static Rail without(double volts) {
        Rail raw = raw(Rectifier.BRIDGE, 21.0, volts);
        return new Rail(
                raw.name(),
                raw.from(),
                raw.kind(),
                raw.nominal(),
                raw.tolerancePercent(),
                raw.measured(),
                raw.rectifier(),
                raw.dropoutVolts(),
                Optional.of(true));
    }

    /** A 78xx needs about 2 V above its output (common practice); a low-dropout one what its data sheet says. */
    @ParameterizedTest
    @CsvSource({"7,,GOOD", "6.9,,CAN_NOT_SAY", "5.6,0.5,GOOD", "5.4,0.5,CAN_NOT_SAY", "5.5,0.5,GOOD"})
    void aRegulatorNeedsSomethingAboveItsOutput(double input, Double dropout, Judgement verdict) {
        Rail regulated = new Rail(
                "5 V",
                Optional.of("raw"),
                REGULATED,
                Optional.of(5.0),
                Optional.empty(),
                Optional.of(5.0),
                Optional.empty(),
                Optional.ofNullable(dropout),
                Optional.empty());
        RailsFound found = at(230, rail("raw", null, RAW, 6, input), regulated);
        assertThat(last(found).verdict()).isEqualTo(verdict);
        RailsFound unsure = RailsGauge.of(new RailsAsked(
                Mains.of(230, 230), List.of(rail("raw", null, RAW, 6, input), regulated), Optional.of(4.0)));
        assertThat(last(unsure).verdict()).as("known to 4 %% it is never surer").isIn(verdict, Judgement.CAN_NOT_SAY);
        assertThat(last(at(230, rail("7 V~", null, WINDING, 7, 7.0), from(regulated, "7 V~")))
                        .verdict())
                .as("√2 · 7 − 1.4 = 8.5 V behind its bridge")
                .isEqualTo(Judgement.GOOD);
        assertThat(last(at(230, rail("raw", null, RAW, -12, -12.0), from(regulated, "raw")))
                        .verdict())
                .as("from the wrong side of ground")
                .isEqualTo(Judgement.CAN_NOT_SAY);
    }

    private static Rail from(Rail rail, String source) {
        return new Rail(
                rail.name(),
                Optional.of(source),
                rail.kind(),
                rail.nominal(),
                rail.tolerancePercent(),
                rail.measured(),
                rail.rectifier(),
                rail.dropoutVolts(),
                rail.unloaded());
    }

    /** Touch limits 60 V d.c. and 30 V a.c. (IEC 62368-1, ES1; published, from memory). */
    @ParameterizedTest
    @CsvSource({
        "UNREGULATED,60,,false",
        "UNREGULATED,-61,,true",
        "UNREGULATED,12,63,true",
        "SECONDARY_AC,30,,false",
        "SECONDARY_AC,31,,true"
    })
    void whereItCanHurtItSaysSo(RailKind kind, double nominal, Double measured, boolean caution) {
        RailRead read = last(at(230, rail("it", null, kind, nominal, measured)));
        assertThat(read.caution().isPresent()).isEqualTo(caution);
    }
}
