package wrenchnotes.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

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
import wrenchnotes.core.gauge.LogicGauge.ChipVerdict;
import wrenchnotes.core.gauge.LogicGauge.LogicAsked;
import wrenchnotes.core.gauge.LogicGauge.LogicFound;
import wrenchnotes.core.gauge.LogicGauge.LogicRule;
import wrenchnotes.core.gauge.LogicGauge.PinLevel;
import wrenchnotes.core.gauge.LogicGauge.PinRead;

/** Whether each gate of a chip does what its inputs ask: never a yes that a board burns of. */
class LogicTest {

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
    void aClearInputAndAWrongOutputAreBadAtThatPin() {
        LogicFound between = logic("7404", LogicRule.DATASHEET, 1, 0.2, 2, 1.4);
        assertThat(gate(between, 2)).isEqualTo(Judgement.BAD);
        assertThat(between.gates().get(0).why()).contains("held from outside: lift it or take it out, and look again");
        assertThat(gate(logic("7404", LogicRule.DATASHEET, 1, 0.2, 2, PinLevel.NOISY), 2))
                .isEqualTo(Judgement.BAD);
        LogicFound all = logic(
                "7404",
                LogicRule.DATASHEET,
                1,
                0.2,
                2,
                1.4,
                3,
                0.2,
                4,
                1.4,
                5,
                0.2,
                6,
                1.4,
                9,
                0.2,
                8,
                1.4,
                11,
                0.2,
                10,
                1.4,
                13,
                0.2,
                12,
                1.4);
        assertThat(all.verdict()).as("six of six in between").isEqualTo(ChipVerdict.SUSPECT);
        LogicFound open = logic("7406", LogicRule.DATASHEET, 1, 0.2, 2, 0.1);
        assertThat(gate(open, 2)).as("open collector").isEqualTo(Judgement.CAN_NOT_SAY);
        assertThat(open.gates().get(0).why()).contains("resistor elsewhere");
        assertThat(gate(logic("7406", LogicRule.DATASHEET, 1, 3.4, 2, 4.9), 2))
                .as("it should pull down and does not")
                .isEqualTo(Judgement.BAD);
        assertThat(logic("7404", LogicRule.DATASHEET, 14, 3.1, 1, 0.2, 2, 0.2).verdict())
                .as("without its supply no gate can be judged")
                .isEqualTo(ChipVerdict.CAN_NOT_SAY);
        assertThat(logic("7404", LogicRule.DATASHEET, 14, 5, 7, 0.5, 1, 0.2, 2, 3.4)
                        .verdict())
                .as("nor without its ground")
                .isEqualTo(ChipVerdict.CAN_NOT_SAY);
        assertThatThrownBy(() -> logic("74123", LogicRule.BENCH)).hasMessageContaining("00, 02, 04");
    }

    private static final Object[] AND_GOOD = {
        1, 3.4, 2, 3.4, 3, 3.3, 4, 0.1, 5, 3.4, 6, 0.2, 9, 0.1, 10, 0.1, 8, 0.2, 12, 3.4, 13, 3.4, 11, 3.3
    };

    private static Object[] with(Object... more) {
        return java.util.stream.Stream.concat(java.util.Arrays.stream(AND_GOOD), java.util.Arrays.stream(more))
                .toArray();
    }

    /** Good only if all that could speak against it was read. */
    @Test
    void aChipIsGoodOnlyIfItsSupplyWasReadToo() {
        assertThat(logic("74LS08", LogicRule.DATASHEET, with(14, 5.0, 7, 0.0)).verdict())
                .isEqualTo(ChipVerdict.GOOD);
        LogicFound open = logic("74LS08", LogicRule.DATASHEET, with(14, 5.0));
        assertThat(open.verdict()).isEqualTo(ChipVerdict.CAN_NOT_SAY);
        assertThat(open.reasons().toString()).contains("Measure pin 14 (supply) and pin 7 (ground) too.");
        assertThat(logic("74LS08", LogicRule.DATASHEET, with(7, 0.0)).verdict()).isEqualTo(ChipVerdict.CAN_NOT_SAY);
        LogicFound bare = logic("08", LogicRule.DATASHEET, with(14, 5.0, 7, 0.0));
        assertThat(bare.chip().number()).isEqualTo("08");
        assertThat(bare.verdict()).isEqualTo(ChipVerdict.CAN_NOT_SAY);
        assertThat(bare.reasons().toString()).contains("Say its family");
    }

    private static LogicFound at(String chip, double supply, double u, Object... pinsAndVolts) {
        Map<Integer, PinRead> pins = new HashMap<>();
        for (int n = 0; n < pinsAndVolts.length; n += 2) {
            pins.put(
                    (Integer) pinsAndVolts[n],
                    new PinRead(Optional.of((Double) pinsAndVolts[n + 1]), Optional.empty()));
        }
        return LogicGauge.of(
                new LogicAsked(chip, LogicRule.DATASHEET, Optional.empty(), Optional.of(supply), pins, Optional.of(u)),
                List.of());
    }

    /** Output limits: HC at 4.5 V and 4 mA 0.33 and 3.84, LS 0.5 and 2.7, TTL 0.4 and 2.4 (published: data books, from memory). */
    @ParameterizedTest
    @CsvSource({
        "74HC04,4.5,3.83,BETWEEN",
        "74HC04,4.5,3.85,HIGH",
        "74HC04,4.5,0.34,BETWEEN",
        "74HC04,4.5,0.32,LOW",
        "74HC04,6,5.1,BETWEEN",
        "74HC04,6,5.13,HIGH",
        "74HCT04,4.5,3.83,BETWEEN",
        "74HCT04,4.5,3.85,HIGH",
        "74AC04,4.5,3.85,BETWEEN",
        "74AC04,4.5,3.87,HIGH",
        "74AHC04,4.5,3.93,BETWEEN",
        "74VHC04,4.5,3.95,HIGH",
        "74LVC04,3.3,2.4,BETWEEN",
        "74LVC04,3.3,2.6,HIGH",
        "74LVC04,3.3,0.6,BETWEEN",
        "74C04,10,9.5,BETWEEN",
        "74C04,10,9.7,HIGH",
        "74C04,10,0.3,LOW",
        "74LS04,5,2.6,BETWEEN",
        "74LS04,5,0.5,LOW",
        "7404,5,2.4,HIGH",
        "7404,5,0.45,BETWEEN"
    })
    void levelsOfAnOutputByFamilyAndSupply(String chip, double supply, double volts, PinLevel level) {
        assertThat(at(chip, supply, 0, 2, volts).levels().get(2)).isEqualTo(level);
    }

    /** Inputs in proportion to the supply where the family's are: HC 0.3 and 0.7 of it (published: data books, from memory). */
    @ParameterizedTest
    @CsvSource({
        "74HC04,6,4.1,BETWEEN",
        "74HC04,6,4.3,HIGH",
        "74HC04,2,0.5,LOW",
        "74HC04,2,0.7,BETWEEN",
        "74C04,15,10.4,BETWEEN",
        "74C04,15,10.6,HIGH",
        "74LVC04,3.3,2.1,HIGH",
        "74LVC04,1.8,1.2,BETWEEN",
        "74LVC04,1.8,1.3,HIGH",
        "74ACT04,5,2.1,HIGH",
        "74AC04,5,3.4,BETWEEN",
        "74HC04,5,5.2,HIGH",
        "74HC04,5,5.4,OUTSIDE",
        "74LS04,5,-0.2,LOW",
        "74LS04,5,-0.4,OUTSIDE",
        "74LVC04,3.3,5.4,HIGH",
        "74LVC04,3.3,5.9,OUTSIDE",
        "74AHC04,3.3,5.4,HIGH"
    })
    void levelsOfAnInputByFamilyAndSupply(String chip, double supply, double volts, PinLevel level) {
        assertThat(at(chip, supply, 0, 1, volts).levels().get(1)).isEqualTo(level);
    }

    /** Above its supply no pin is good, but an open collector within its rating: 06, 07 30 V, 16, 17 15 V (data books, from memory). */
    @Test
    void nothingOutsideTheSupplyIsGood() {
        assertThat(gate(at("74LS04", 5, 0, 1, 0.2, 2, 5.6), 2)).isEqualTo(Judgement.BAD);
        assertThat(gate(at("74LS04", 5, 0, 1, 5.6, 2, 0.2), 2)).isEqualTo(Judgement.CAN_NOT_SAY);
        assertThat(gate(at("74LS04", 5, 0, 1, 3.4, 2, -0.5), 2)).isEqualTo(Judgement.BAD);
        assertThat(gate(at("7406", 5, 0, 1, 0.2, 2, 30.0), 2)).isEqualTo(Judgement.GOOD);
        assertThat(gate(at("7406", 5, 0, 1, 0.2, 2, 30.5), 2)).isEqualTo(Judgement.BAD);
        assertThat(gate(at("7416", 5, 0, 1, 0.2, 2, 15.0), 2)).isEqualTo(Judgement.GOOD);
        assertThat(gate(at("7417", 5, 0, 1, 3.4, 2, 15.5), 2)).isEqualTo(Judgement.BAD);
        assertThat(gate(at("74LVC04", 3.3, 0, 1, 5.0, 2, 0.2), 2)).isEqualTo(Judgement.GOOD);
    }

    @ParameterizedTest
    @CsvSource({
        "74LS04,3.3",
        "74LS04,6",
        "74HC04,1.9",
        "74HC04,6.1",
        "74LVC04,5",
        "74C04,2.5",
        "74AHC04,6",
        "74ACT04,4.4"
    })
    void aSupplyThatTheFamilyDoesNotRunFromIsQuestioned(String chip, double supply) {
        LogicFound found = at(chip, supply, 0, 1, 0.1, 2, supply);
        assertThat(found.verdict()).isEqualTo(ChipVerdict.CAN_NOT_SAY);
        assertThat(gate(found, 2)).isEqualTo(Judgement.CAN_NOT_SAY);
        assertThat(found.reasons().toString()).contains("Is it really");
    }

    /** Within what the meter leaves open nothing is said, and more that it leaves open is never a yes. */
    @Property
    void whatTheMeterLeavesOpenStaysOpen(
            @ForAll @DoubleRange(min = 0, max = 5) double in,
            @ForAll @DoubleRange(min = 0, max = 5) double out,
            @ForAll @DoubleRange(min = 0, max = 0.4) double u,
            @ForAll @DoubleRange(min = 0, max = 0.4) double more) {
        Judgement sure = gate(at("74LS04", 5, u, 1, in, 2, out), 2);
        Judgement less = gate(at("74LS04", 5, Math.min(1, u + more), 1, in, 2, out), 2);
        if (sure != Judgement.GOOD) {
            assertThat(less).isNotEqualTo(Judgement.GOOD);
        }
        if (sure == Judgement.GOOD || less == Judgement.BAD) {
            assertThat(List.of(sure, less)).isNotEqualTo(List.of(Judgement.GOOD, Judgement.BAD));
        }
        assertThat(gate(at("74LS04", 5, 0.1, 1, 0.2, 2, 2.65), 2)).isEqualTo(Judgement.CAN_NOT_SAY);
        assertThat(gate(at("74LS04", 5, 0.1, 1, 0.2, 2, 2.5), 2)).isEqualTo(Judgement.BAD);
    }

    @ParameterizedTest
    @CsvSource({
        "DATASHEET,74LS04,2.1,HIGH",
        "BENCH,74LS04,2.1,BETWEEN",
        "BENCH,7404,2.6,HIGH",
        "DATASHEET,74HC04,3.4,BETWEEN",
        "DATASHEET,74HCT04,2.1,HIGH",
        "DATASHEET,7404,0.7,LOW",
        "BENCH,7404,0.7,BETWEEN",
        "BENCH,74HC04,3.0,BETWEEN"
    })
    void levelsOfAnInputByRuleAndFamily(LogicRule rule, String chip, double volts, PinLevel level) {
        assertThat(logic(chip, rule, 1, volts).levels().get(1)).isEqualTo(level);
    }
}
