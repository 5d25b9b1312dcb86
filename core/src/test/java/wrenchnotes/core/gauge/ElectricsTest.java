package wrenchnotes.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wrenchnotes.core.gauge.BleedGauge.BleedAsked;
import wrenchnotes.core.gauge.BleedGauge.BleedFound;
import wrenchnotes.core.gauge.CapacitorGauge.Capacitor;
import wrenchnotes.core.gauge.CapacitorGauge.CapacitorAsked;
import wrenchnotes.core.gauge.CapacitorGauge.CapacitorFound;
import wrenchnotes.core.gauge.CapacitorGauge.CapacitorKind;
import wrenchnotes.core.gauge.LogicGauge.ChipVerdict;
import wrenchnotes.core.gauge.LogicGauge.LogicAsked;
import wrenchnotes.core.gauge.LogicGauge.LogicFound;
import wrenchnotes.core.gauge.LogicGauge.LogicRule;
import wrenchnotes.core.gauge.LogicGauge.PinLevel;
import wrenchnotes.core.gauge.LogicGauge.PinRead;
import wrenchnotes.core.gauge.RailsGauge.Mains;
import wrenchnotes.core.gauge.RailsGauge.Rail;
import wrenchnotes.core.gauge.RailsGauge.RailKind;
import wrenchnotes.core.gauge.RailsGauge.RailsAsked;
import wrenchnotes.core.gauge.RailsGauge.RailsFound;

/** Rails, logic, charges and capacitors. */
class ElectricsTest {

    private static Rail rail(String name, String from, RailKind kind, double nominal, Double measured) {
        return new Rail(
                name, Optional.ofNullable(from), kind, nominal, Optional.empty(), Optional.ofNullable(measured));
    }

    private static RailsAsked asked(Mains mains, List<RailsGauge.Rail> rails) {
        return new RailsAsked(mains, rails, Optional.empty());
    }

    /** Common practice: an unregulated ±12 V pair reading −13.5 and +12.8 is in order. */
    @Test
    void aLightlyLoadedPairIsInOrder() {
        RailsFound found = RailsGauge.of(asked(
                new Mains(230, 230),
                List.of(
                        rail("+12", null, RailKind.UNREGULATED, 12, 12.8),
                        rail("-12", null, RailKind.UNREGULATED, -12, -13.5))));
        assertThat(found.culprit()).isEmpty();
        assertThat(found.rails()).extracting(RailsGauge.RailRead::verdict).containsOnly(Judgement.GOOD);
    }

    /** Secondaries of 16 and 9 V feed 12 and 5 V (common practice). The 9 V winding is dead: 5 V has nothing to make it from. */
    @Test
    void theEarliestBadRailExplainsTheRest() {
        RailsFound found = RailsGauge.of(asked(
                new Mains(230, 236),
                List.of(
                        rail("16 V~", null, RailKind.SECONDARY_AC, 16, 16.9),
                        rail("22 V raw", "16 V~", RailKind.UNREGULATED, 21, 22.1),
                        rail("12 V", "22 V raw", RailKind.REGULATED, 12, 12.05),
                        rail("9 V~", null, RailKind.SECONDARY_AC, 9, 3.1),
                        rail("11 V raw", "9 V~", RailKind.UNREGULATED, 11, 2.9),
                        rail("5 V", "11 V raw", RailKind.REGULATED, 5, 1.4))));
        assertThat(found.culprit()).contains("9 V~");
        assertThat(found.reasons().toString()).contains("9 V~ is the first that is wrong, and explains 1 behind it");
        assertThat(found.rails().get(5).reasons().toString()).contains("about 2 V above its output");
        assertThat(found.rails().get(4).verdict())
                .as("2.9 V is what 3.1 V of its secondary gives: √2 · 3.1 − 1.4 = 2.98")
                .isEqualTo(Judgement.GOOD);
        assertThatThrownBy(() -> RailsGauge.of(asked(
                        new Mains(230, 230),
                        List.of(
                                rail("a", "b", RailKind.REGULATED, 5, 5.0),
                                rail("b", "a", RailKind.REGULATED, 5, 5.0)))))
                .hasMessageContaining("comes from itself");
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
        RailsFound found = RailsGauge.of(
                asked(new Mains(230, 250), List.of(rail("it", null, RailKind.REGULATED, nominal, measured))));
        assertThat(found.rails().get(0).verdict()).isEqualTo(verdict);
    }

    private static LogicFound logic(String chip, LogicRule rule, Object... pinsAndReads) {
        Map<Integer, PinRead> pins = new HashMap<>();
        for (int at = 0; at < pinsAndReads.length; at += 2) {
            pins.put(
                    (Integer) pinsAndReads[at],
                    pinsAndReads[at + 1] instanceof PinLevel level
                            ? new PinRead(Optional.empty(), Optional.of(level))
                            : new PinRead(
                                    Optional.of(((Number) pinsAndReads[at + 1]).doubleValue()), Optional.empty()));
        }
        return LogicGauge.of(
                new LogicAsked(chip, rule, Optional.empty(), Optional.empty(), pins, Optional.empty()), List.of());
    }

    private static Judgement gate(LogicFound found, int output) {
        return found.gates().stream()
                .filter(gate -> gate.gate().output() == output)
                .findFirst()
                .orElseThrow()
                .verdict();
    }

    /** Pinouts and levels from the manufacturers' logic data books (from memory). */
    @Test
    void gatesAreJudgedByTheirInputs() {
        LogicFound nand = logic("SN74LS00N", LogicRule.DATASHEET, 1, 0.2, 3, 3.4, 4, 3.5, 5, 3.6, 6, 3.3, 9, 3.1);
        assertThat(gate(nand, 3)).as("one low input decides a NAND").isEqualTo(Judgement.GOOD);
        assertThat(gate(nand, 6)).as("both high, and the output is stuck high").isEqualTo(Judgement.BAD);
        assertThat(gate(nand, 8)).as("10 and 8 were not read").isEqualTo(Judgement.CAN_NOT_SAY);
        assertThat(nand.verdict()).isEqualTo(ChipVerdict.SUSPECT);

        LogicFound nor = logic("7402", LogicRule.DATASHEET, 2, 3.4, 1, 0.2);
        assertThat(gate(nor, 1)).as("02: (2,3) make 1").isEqualTo(Judgement.GOOD);
    }

    @Test
    void whatMayBeHeldFromOutsideIsNotCondemned() {
        assertThat(gate(logic("7404", LogicRule.DATASHEET, 1, 0.2, 2, 1.4), 2)).isEqualTo(Judgement.CAN_NOT_SAY);
        assertThat(gate(logic("7404", LogicRule.DATASHEET, 1, 0.2, 2, PinLevel.NOISY), 2))
                .isEqualTo(Judgement.CAN_NOT_SAY);
        LogicFound open = logic("7406", LogicRule.DATASHEET, 1, 0.2, 2, 0.1);
        assertThat(gate(open, 2)).as("open collector").isEqualTo(Judgement.CAN_NOT_SAY);
        assertThat(open.gates().get(0).why()).contains("resistor elsewhere");
        assertThat(gate(logic("7406", LogicRule.DATASHEET, 1, 3.4, 2, 4.9), 2))
                .as("it should pull down and does not")
                .isEqualTo(Judgement.BAD);
        assertThat(logic("7404", LogicRule.DATASHEET, 14, 3.1, 1, 0.2, 2, 0.2).verdict())
                .as("without its supply no gate can be judged")
                .isEqualTo(ChipVerdict.CAN_NOT_SAY);
        assertThatThrownBy(() -> logic("74123", LogicRule.BENCH)).hasMessageContaining("00, 02, 04");
    }

    @ParameterizedTest
    @CsvSource({
        "DATASHEET,74LS04,2.1,HIGH",
        "BENCH,74LS04,2.1,BETWEEN",
        "BENCH,7404,2.6,HIGH",
        "DATASHEET,74HC04,3.4,BETWEEN",
        "DATASHEET,74HCT04,2.1,HIGH",
        "DATASHEET,7404,0.7,LOW",
        "BENCH,7404,0.7,BETWEEN"
    })
    void levelsOfAnInputByRuleAndFamily(LogicRule rule, String chip, double volts, PinLevel level) {
        assertThat(logic(chip, rule, 1, volts).levels().get(1)).isEqualTo(level);
    }

    /** Three-valued logic never contradicts two-valued: whatever an unknown input turns out to be, a decided output stands. */
    @Property
    void whatIsDecidedStandsWhateverTheUnknownIs(@ForAll boolean first, @ForAll boolean second) {
        for (String number : List.of("00", "02", "08", "32", "86")) {
            LogicChip chip = LogicChips.find("74" + number, List.of());
            Optional<Boolean> full = chip.expected(List.of(Optional.of(first), Optional.of(second)));
            boolean truth =
                    switch (number) {
                        case "00" -> !(first && second);
                        case "02" -> !(first || second);
                        case "08" -> first && second;
                        case "32" -> first || second;
                        default -> first ^ second;
                    };
            assertThat(full).contains(truth);
            chip.expected(List.of(Optional.of(first), Optional.empty()))
                    .ifPresent(decided -> assertThat(decided).isEqualTo(truth));
        }
    }

    /** After 5 RC 0.67 % is left; ½CV² (physics). 470 µF at 325 V through 10 kΩ: RC = 4.7 s, 24.8 J. */
    @Test
    void aChargeBleedsByTheBook() {
        BleedFound found = BleedGauge.of(new BleedAsked(470, 10_000, 325, Optional.empty(), Optional.of(0.0)));
        assertThat(found.seconds()).isCloseTo(4.7 * Math.log(325 / 60.0), within(1e-9));
        assertThat(found.joules()).isCloseTo(24.82, within(0.01));
        assertThat(found.peakWatts()).isCloseTo(10.56, within(0.01));
        assertThat(found.ratingWatts()).contains(15.0);
        assertThat(found.cautions().get(0)).startsWith("Unplug");
        BleedGauge.BleedPoint last = found.curve().get(found.curve().size() - 1);
        assertThat(last.volts() / 325).isCloseTo(0.0067, within(0.0001));
        assertThat(last.seconds()).isCloseTo(23.5, within(1e-9));
    }

    @Property
    void moreChargeMoreOhmsAndMoreToleranceTakeLonger(
            @ForAll @DoubleRange(min = 1, max = 1000) double microfarads,
            @ForAll @DoubleRange(min = 100, max = 100_000) double ohms,
            @ForAll @DoubleRange(min = 70, max = 600) double volts) {
        double seconds = bleed(microfarads, ohms, volts).secondsToMeasure();
        assertThat(bleed(microfarads * 1.1, ohms, volts).secondsToMeasure()).isGreaterThan(seconds);
        assertThat(bleed(microfarads, ohms * 1.1, volts).secondsToMeasure()).isGreaterThan(seconds);
        assertThat(bleed(microfarads, ohms, volts * 1.1).secondsToMeasure()).isGreaterThan(seconds);
        assertThat(bleed(microfarads, ohms, volts).seconds()).isLessThan(seconds);
        assertThat(bleed(microfarads, ohms, 59).seconds()).isZero();
    }

    private static BleedFound bleed(double microfarads, double ohms, double volts) {
        return BleedGauge.of(new BleedAsked(microfarads, ohms, volts, Optional.empty(), Optional.empty()));
    }

    private static Capacitor capacitor(double microfarads, double volts, CapacitorKind kind, String safety) {
        return new Capacitor(
                microfarads,
                volts,
                kind,
                Optional.ofNullable(safety),
                Optional.of(85.0),
                Optional.of(10.0),
                Optional.empty(),
                Optional.of(5.0));
    }

    private static Judgement replaces(Capacitor original, Capacitor candidate) {
        return CapacitorGauge.of(new CapacitorAsked(original, Optional.of(candidate)))
                .verdict()
                .orElseThrow();
    }

    /** Classes: IEC 60384-14 (published; from memory). The rest is common practice. */
    @Test
    void whatMayStandInForWhat() {
        Capacitor x2 = capacitor(0.1, 275, CapacitorKind.SAFETY_X, "X2");
        Capacitor y2 = capacitor(0.1, 300, CapacitorKind.SAFETY_Y, "Y2");
        assertThat(replaces(x2, y2)).isEqualTo(Judgement.GOOD);
        assertThat(replaces(y2, x2)).isEqualTo(Judgement.BAD);
        assertThat(replaces(x2, capacitor(0.1, 630, CapacitorKind.FILM, null))).isEqualTo(Judgement.BAD);
        assertThat(replaces(x2, capacitor(0.1, 275, CapacitorKind.SAFETY_X, "X1")))
                .isEqualTo(Judgement.GOOD);
        assertThat(replaces(capacitor(0.1, 275, CapacitorKind.SAFETY_X, "X1"), x2))
                .isEqualTo(Judgement.BAD);
        assertThat(replaces(x2, capacitor(0.1, 250, CapacitorKind.SAFETY_X, "X2")))
                .isEqualTo(Judgement.BAD);

        Capacitor lytic = capacitor(470, 16, CapacitorKind.ELECTROLYTIC, null);
        assertThat(replaces(lytic, capacitor(470, 25, CapacitorKind.ELECTROLYTIC, null)))
                .isEqualTo(Judgement.GOOD);
        assertThat(replaces(lytic, capacitor(470, 10, CapacitorKind.ELECTROLYTIC, null)))
                .isEqualTo(Judgement.BAD);
        assertThat(replaces(lytic, capacitor(330, 25, CapacitorKind.ELECTROLYTIC, null)))
                .isEqualTo(Judgement.BAD);
        assertThat(replaces(lytic, capacitor(470, 25, CapacitorKind.TANTALUM, null)))
                .isEqualTo(Judgement.CAN_NOT_SAY);
        CapacitorFound range = CapacitorGauge.of(new CapacitorAsked(lytic, Optional.empty()));
        assertThat(range.preferred()).as("E6, IEC 60063 (published)").containsExactly(470.0, 680.0);
        assertThat(range.cautions().toString()).contains("polarity");
    }
}
