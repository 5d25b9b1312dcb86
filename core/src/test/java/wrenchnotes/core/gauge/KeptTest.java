package wrenchnotes.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wrenchnotes.core.gauge.Beside.BesideColumn;
import wrenchnotes.core.gauge.Beside.BesideTable;
import wrenchnotes.core.gauge.LimitGauge.LimitAsked;
import wrenchnotes.core.gauge.LimitGauge.Limits;
import wrenchnotes.core.gauge.LogicGauge.LogicAsked;
import wrenchnotes.core.gauge.LogicGauge.LogicRule;
import wrenchnotes.core.gauge.LogicGauge.PinLevel;
import wrenchnotes.core.gauge.LogicGauge.PinRead;
import wrenchnotes.core.gauge.RailsGauge.Mains;
import wrenchnotes.core.gauge.RailsGauge.Rail;
import wrenchnotes.core.gauge.RailsGauge.RailKind;
import wrenchnotes.core.gauge.RailsGauge.RailsAsked;

/** What gauges leave behind in a job's record, and beside a good unit; guard bands, and chips that were added. */
class KeptTest {

    private static Measurement rails(double raw, double five, double percent) {
        return ElectricReadings.rails(new RailsAsked(
                Mains.of(230, 230),
                List.of(
                        rail("raw", null, RailKind.UNREGULATED, 10, raw),
                        rail("5 V", "raw", RailKind.REGULATED, 5, five)),
                Optional.of(percent)));
    }

    private static Rail rail(String name, String from, RailKind kind, double nominal, double measured) {
        return Rail.of(name, Optional.ofNullable(from), kind, nominal, Optional.of(measured));
    }

    /** ±5 % (ATX12V design guide; published, from memory) and a meter of 1 %: the guard band of ISO 14253-1 at 5.25 V is 0.0525. */
    @ParameterizedTest
    @CsvSource({"5.19,GOOD", "5.21,CAN_NOT_SAY", "5.29,CAN_NOT_SAY", "5.31,BAD"})
    void aRailNearItsLimitCannotBeTold(double volts, Judgement verdict) {
        Measurement measured = rails(10.2, volts, 1);
        Reading reading = measured.readings().get(2);
        assertThat(reading.verdict()).contains(verdict);
        assertThat(reading.uncertainty().orElseThrow()).isCloseTo(volts / 100, within(1e-12));
        assertThat(reading.limits()).isEqualTo("4.75 to 5.25");
        assertThat(measured.verdict()).contains(verdict);
    }

    /** The same guard band on a pin: 74LS output high from 2.7 V (data books; published, from memory), known to 0.1 V. */
    @Test
    void aPinNearALevelIsBetween() {
        for (double volts : new double[] {2.65, 2.75, 2.85}) {
            LogicGauge.LogicFound found = LogicGauge.of(logic("74LS08", 3, volts), List.of());
            assertThat(found.levels().get(3)).isEqualTo(volts > 2.8 ? PinLevel.HIGH : PinLevel.UNSURE);
        }
    }

    private static LogicAsked logic(String chip, int pin, double volts) {
        return new LogicAsked(
                chip,
                LogicRule.DATASHEET,
                Optional.empty(),
                Optional.empty(),
                Map.of(pin, new PinRead(Optional.of(volts), Optional.empty())),
                Optional.of(0.1));
    }

    private static BesideTable beside(Reading good, Reading here) {
        return Beside.of(List.of(
                new BesideColumn("before", false, List.of(here)), new BesideColumn("good unit", true, List.of(good))));
    }

    /** Compare with a good unit when there is one (common practice). */
    @Test
    void whatDiffersFromTheGoodUnitIsLit() {
        assertThat(beside(Reading.plain("5 V", 5.0, "V"), Reading.plain("5 V", 5.2, "V"))
                        .rows()
                        .get(0)
                        .cells())
                .extracting(Beside.BesideCell::differs)
                .as("a twentieth is 0.25 V")
                .containsExactly(false, false);
        BesideTable off = beside(Reading.plain("5 V", 5.0, "V"), Reading.plain("5 V", 4.7, "V"));
        assertThat(off.good()).contains(1);
        assertThat(off.rows().get(0).cells())
                .extracting(Beside.BesideCell::differs)
                .containsExactly(true, false);
        Limits none = new Limits(Optional.empty(), Optional.of(9.0));
        assertThat(beside(
                                Reading.judged("5 V", 5.0, "V", none, 0.2, Judgement.GOOD),
                                Reading.judged("5 V", 4.7, "V", none, 0.2, Judgement.GOOD))
                        .rows()
                        .get(0)
                        .cells()
                        .get(0)
                        .differs())
                .as("two meters of 0.2 V leave 0.4 V open")
                .isFalse();
        assertThat(beside(
                                Reading.state("pin 3", "high", Optional.of(3.5), "V", Optional.empty()),
                                Reading.state("pin 3", "high", Optional.of(2.8), "V", Optional.empty()))
                        .rows()
                        .get(0)
                        .cells()
                        .get(0)
                        .differs())
                .as("both are high")
                .isFalse();
        assertThat(beside(
                                Reading.state("pin 3", "high", Optional.of(3.5), "V", Optional.empty()),
                                Reading.state("pin 3", "noisy", Optional.empty(), "V", Optional.empty()))
                        .rows()
                        .get(0)
                        .cells()
                        .get(0)
                        .differs())
                .isTrue();
    }

    /** What is only in one column has an empty place in the other, and differs from nothing. */
    @Test
    void aReadingThatIsMissingIsNoDifference() {
        BesideTable table = beside(Reading.plain("12 V", 12, "V"), Reading.plain("5 V", 5, "V"));
        assertThat(table.rows()).extracting(Beside.BesideRow::what).containsExactly("5 V", "12 V");
        assertThat(table.rows()).allSatisfy(row -> assertThat(row.cells()).noneMatch(Beside.BesideCell::differs));
        assertThat(table.rows().get(0).cells().get(1).words()).isEmpty();
    }

    /** Sizes by ISO 53 and ISO 1478 (published; from memory), Y for X by IEC 60384-14 (published; from memory). */
    @Test
    void gearThreadChainAndCapacitorLeaveARecord() {
        GearGauge.GearAsked gear = new GearGauge.GearAsked(
                24,
                13,
                Optional.of(new GearGauge.GearWheel(36, 19)),
                Optional.of(15.0),
                Optional.of(2.0),
                Optional.of(2.05),
                false);
        assertThat(LengthReadings.gear(gear).verdict()).contains(Judgement.GOOD);
        assertThat(LengthReadings.gear(gear).readings())
                .extracting(Reading::words)
                .containsExactly("13 mm", "0.5", "15 mm", "2 mm", "2.05 mm");
        ThreadGauge.ThreadAsked thread = new ThreadGauge.ThreadAsked(
                2.87,
                Optional.of(new ThreadGauge.ThreadsCounted(10, 11, Optional.empty())),
                Optional.of(12.0),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
        assertThat(LengthReadings.thread(thread).words()).isEqualTo("Thread: ST2.9, goes into plastic or sheet metal");
        ChainGauge.ChainAsked chain = new ChainGauge.ChainAsked(List.of(
                stage("pick-up", ChainGauge.Signal.GOOD, ChainGauge.Signal.GOOD),
                stage("decoder", ChainGauge.Signal.UNKNOWN, ChainGauge.Signal.BAD),
                stage("output", ChainGauge.Signal.UNKNOWN, ChainGauge.Signal.UNKNOWN)));
        Measurement found = ElectricReadings.chain(chain);
        assertThat(found.verdict()).contains(Judgement.BAD);
        assertThat(found.words()).startsWith("Chain: decoder is the first");
        assertThat(found.readings()).extracting(Reading::what).containsExactly("after pick-up", "after decoder");
        CapacitorGauge.Capacitor x2 =
                CapacitorGauge.Capacitor.of(0.1, 275, CapacitorGauge.CapacitorKind.SAFETY_X, Optional.of("X2"));
        CapacitorGauge.Capacitor y2 =
                CapacitorGauge.Capacitor.of(0.1, 250, CapacitorGauge.CapacitorKind.SAFETY_Y, Optional.of("Y2"));
        Measurement lower = ElectricReadings.capacitor(new CapacitorGauge.CapacitorAsked(x2, Optional.of(y2)));
        assertThat(lower.verdict()).contains(Judgement.BAD);
        assertThat(lower.readings().get(3).limits()).isEqualTo("from 275");
        assertThat(lower.readings().get(3).verdict()).contains(Judgement.BAD);
    }

    private static ChainGauge.ChainStage stage(String name, ChainGauge.Signal in, ChainGauge.Signal out) {
        return new ChainGauge.ChainStage(name, in, out, Optional.empty(), Optional.empty());
    }

    /** The rest of the ten: readings and one sentence; which gauge it was is known. */
    @Test
    void theOtherGaugesLeaveARecord() {
        Optional<LimitAsked> limit = Optional.of(new LimitAsked(
                List.of(41.0, 44.0),
                Optional.of(new Limits(Optional.empty(), Optional.of(50.0))),
                Optional.of(2.0),
                Optional.of("mV")));
        GaugeAsked asked = asked(Optional.empty(), Optional.empty(), limit);
        assertThat(asked.kind()).isEqualTo(GaugeAsked.GaugeKind.LIMIT);
        Measurement measured = asked.measured(List.of());
        assertThat(measured.verdict()).contains(Judgement.GOOD);
        assertThat(measured.readings().get(0).words()).isEqualTo("42.5 mV");
        assertThat(measured.readings().get(0).limits()).isEqualTo("up to 50");
        assertThat(rails(10.2, 1.4, 0).words()).contains("5 V is the first that is wrong");
        assertThat(ElectricReadings.logic(logic("74LS08", 3, 3.3), List.of()).readings())
                .extracting(Reading::words)
                .containsExactly("3.3 V, high");
        BleedGauge.BleedAsked bleed = new BleedGauge.BleedAsked(220, 15_000, 320, Optional.empty(), Optional.empty());
        assertThat(ElectricReadings.bleed(bleed).verdict())
                .as("nothing is called safe")
                .isEmpty();
        BeltGauge.BeltPath path = new BeltGauge.BeltPath(6, 6, 18, false);
        BeltGauge.WornBelt slack = new BeltGauge.WornBelt(BeltGauge.WornMethod.CIRCUMFERENCE, 56);
        BeltGauge.BeltAsked belt = new BeltGauge.BeltAsked(Optional.of(slack), Optional.of(path), Optional.empty());
        assertThat(LengthReadings.belt(belt).verdict())
                .as("a belt longer than its way grips nothing")
                .contains(Judgement.BAD);
        SpindleGauge.SpindleAsked spindle = new SpindleGauge.SpindleAsked(
                45,
                Optional.empty(),
                120,
                Optional.of(0.9),
                Optional.of(SpindleGauge.Drift.BACKWARD),
                Optional.empty(),
                Optional.of(0.5));
        Reading turns = MotionReadings.spindle(spindle).readings().get(0);
        assertThat(turns.value().orElseThrow()).isCloseTo(44.6625, within(1e-9));
        assertThat(turns.verdict())
                .as("0.75 % off, known to 0.5 %, good within 1 %")
                .contains(Judgement.CAN_NOT_SAY);
        assertThatThrownBy(() -> asked(Optional.of(bleed), Optional.of(belt), limit))
                .hasMessageContaining("3 are there");
    }

    private static GaugeAsked asked(
            Optional<BleedGauge.BleedAsked> bleed, Optional<BeltGauge.BeltAsked> belt, Optional<LimitAsked> limit) {
        return new GaugeAsked(
                belt,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                bleed,
                Optional.empty(),
                limit);
    }
}
