package wrenchnotes.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wrenchnotes.core.gauge.LogicGauge.LogicAsked;
import wrenchnotes.core.gauge.LogicGauge.LogicFound;
import wrenchnotes.core.gauge.LogicGauge.LogicRule;
import wrenchnotes.core.gauge.LogicGauge.PinLevel;
import wrenchnotes.core.gauge.LogicGauge.PinRead;

/** The chips that are known, how they are found, and what their gates do with what is known. */
class ChipsTest {

    private static LogicFound asked(String chip, Map<Integer, PinRead> pins) {
        return LogicGauge.of(
                new LogicAsked(chip, LogicRule.DATASHEET, Optional.empty(), Optional.empty(), pins, Optional.empty()),
                List.of());
    }

    /** What is printed on them: letters before and behind, with or without a family; the 4000 series is CMOS and says so by its number. */
    @ParameterizedTest
    @CsvSource({
        "14,14,TTL",
        "7414,14,TTL",
        "SN74LS14N,14,LS",
        "74HC4011,4011,HC",
        "4011,4011,CMOS",
        "CD4011BE,4011,CMOS",
        "74123,,",
        "4017,,",
        "mc14069,4069,CMOS"
    })
    void aChipIsFoundByWhatIsPrintedOnIt(String printed, String number, LogicGauge.LogicFamily family) {
        if (number == null) {
            assertThatThrownBy(() -> asked(printed, Map.of())).hasMessageContaining("4069");
            return;
        }
        LogicFound found = asked(printed, Map.of());
        assertThat(found.chip().number()).isEqualTo(number);
        assertThat(found.family()).isEqualTo(family);
        assertThat(LogicChips.saysFamily(printed)).isEqualTo(!"14".equals(printed));
    }

    private static LogicChip chip(String number, LogicChip.LogicFunction function, int[]... gates) {
        return new LogicChip(
                number,
                function,
                false,
                Optional.empty(),
                14,
                7,
                14,
                java.util.Arrays.stream(gates)
                        .map(pins -> new LogicChip.LogicGate(
                                java.util.Arrays.stream(pins, 0, pins.length - 1)
                                        .boxed()
                                        .toList(),
                                pins[pins.length - 1]))
                        .toList());
    }

    /** 7410, three NANDs of three inputs: (1,2,13)→12, (3,4,5)→6, (9,10,11)→8 (data books; published, from memory). */
    @Test
    void aChipIsAddedAsData() {
        LogicChip three =
                chip("10", LogicChip.LogicFunction.NAND, new int[] {1, 2, 13, 12}, new int[] {3, 4, 5, 6}, new int[] {
                    9, 10, 11, 8
                });
        assertThatThrownBy(() -> LogicChips.find("74LS10", List.of())).hasMessageContaining("Others can be added");
        assertThat(LogicChips.find("SN74LS10N", List.of(three))).isEqualTo(three);
        Optional<Boolean> low = Optional.of(false);
        Optional<Boolean> high = Optional.of(true);
        assertThat(three.expected(three.gates().get(0), List.of(high, Optional.empty(), low)))
                .as("one low decides")
                .contains(true);
        assertThat(three.expected(three.gates().get(0), List.of(high, Optional.empty(), high)))
                .isEmpty();
        assertThat(three.expected(three.gates().get(0), List.of(high, high, high)))
                .contains(false);
        assertThatThrownBy(() -> chip("10", LogicChip.LogicFunction.NAND, new int[] {1, 2, 7}))
                .hasMessageContaining("Pin 7 has two uses");
        assertThatThrownBy(() -> chip("10", LogicChip.LogicFunction.NAND, new int[] {1, 15, 3}))
                .hasMessageContaining("15");
        assertThatThrownBy(() -> chip("10", LogicChip.LogicFunction.NAND, new int[] {1, 3}))
                .hasMessageContaining("two inputs or more");
        LogicChip mixed = new LogicChip(
                "999",
                LogicChip.LogicFunction.NOT,
                false,
                Optional.empty(),
                14,
                7,
                14,
                List.of(
                        new LogicChip.LogicGate(List.of(1), 2),
                        new LogicChip.LogicGate(List.of(3, 4), 5, Optional.of(LogicChip.LogicFunction.NOR))));
        assertThat(mixed.expected(mixed.gates().get(0), List.of(low))).contains(true);
        assertThat(mixed.expected(mixed.gates().get(1), List.of(low, high)))
                .as("a gate of its own kind in one package")
                .contains(false);
        assertThatThrownBy(() -> asked("74LS08", Map.of(15, new PinRead(Optional.of(2.0), Optional.empty()))))
                .hasMessageContaining("from 1 to 14");
    }

    /** Three-valued logic never contradicts two-valued: whatever an unknown input turns out to be, a decided output stands. */
    @Property
    void whatIsDecidedStandsWhateverTheUnknownIs(@ForAll boolean first, @ForAll boolean second) {
        for (String number : List.of("00", "02", "08", "32", "86")) {
            LogicChip chip = LogicChips.find("74" + number, List.of());
            Optional<Boolean> full =
                    chip.expected(chip.gates().get(0), List.of(Optional.of(first), Optional.of(second)));
            boolean truth =
                    switch (number) {
                        case "00" -> !(first && second);
                        case "02" -> !(first || second);
                        case "08" -> first && second;
                        case "32" -> first || second;
                        default -> first ^ second;
                    };
            assertThat(full).contains(truth);
            chip.expected(chip.gates().get(0), List.of(Optional.of(first), Optional.empty()))
                    .ifPresent(decided -> assertThat(decided).isEqualTo(truth));
        }
    }

    /** What an open input leaves open is exactly what its two values disagree on: every chip, every way of not knowing. */
    @Property
    void anOutputIsDecidedIfAndOnlyIfEveryCaseAgrees(
            @ForAll @IntRange(min = 0, max = 16) int which,
            @ForAll @Size(2) List<@IntRange(min = 0, max = 2) Integer> seen) {
        LogicChip chip = LogicChips.shipped().get(which);
        int inputs = chip.gates().get(0).inputs().size();
        List<Optional<Boolean>> known = seen.stream()
                .limit(inputs)
                .map(one -> one == 2 ? Optional.<Boolean>empty() : Optional.of(one == 1))
                .toList();
        List<Boolean> cases = new ArrayList<>();
        for (int bits = 0; bits < 1 << inputs; bits++) {
            List<Optional<Boolean>> full = new ArrayList<>();
            for (int at = 0; at < inputs; at++) {
                full.add(Optional.of(known.get(at).orElse((bits >> at & 1) == 1)));
            }
            cases.add(chip.expected(chip.gates().get(0), full).orElseThrow());
        }
        boolean agreed = cases.stream().distinct().count() == 1;
        assertThat(chip.expected(chip.gates().get(0), known))
                .isEqualTo(agreed ? Optional.of(cases.get(0)) : Optional.empty());
    }

    /** A level that changes on request: the gate must do what is asked of it before and after. */
    @ParameterizedTest
    @CsvSource({
        "LOW,HIGH,HIGH,LOW,GOOD",
        "LOW,HIGH,HIGH,,BAD",
        "LOW,,HIGH,LOW,BAD",
        "HIGH,LOW,LOW,BETWEEN,BAD",
        "LOW,NOISY,HIGH,,CAN_NOT_SAY",
        "HIGH,LOW,HIGH,HIGH,BAD"
    })
    void aLevelMayChange(PinLevel in, PinLevel inThen, PinLevel out, PinLevel outThen, Judgement verdict) {
        LogicAsked asked = new LogicAsked(
                "74LS04",
                LogicRule.DATASHEET,
                Optional.empty(),
                Optional.empty(),
                Map.of(
                        1,
                        new PinRead(Optional.empty(), Optional.of(in), Optional.ofNullable(inThen)),
                        2,
                        new PinRead(Optional.empty(), Optional.of(out), Optional.ofNullable(outThen))),
                Optional.empty());
        LogicFound found = LogicGauge.of(asked, List.of());
        assertThat(found.gates().get(0).verdict()).isEqualTo(verdict);
        assertThat(found.then().containsKey(1)).isEqualTo(inThen != null);
        if (inThen == PinLevel.HIGH) {
            assertThat(ElectricReadings.logic(asked, List.of())
                            .readings()
                            .get(0)
                            .words())
                    .isEqualTo("low, then high");
        }
    }
}
