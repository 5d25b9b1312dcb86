package wrenchnotes.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What comes in from a meter. */
class MeterReadingTest {

    /** Numbers as NR1, NR2 and NR3 of IEEE 488.2 (published; from memory), in the units of the function. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "VOLTS_DC;+1.20500000E+01;12.05 V",
                "VOLTS_DC;-32.1;-32.1 V",
                "VOLTS_DC;0;0 V",
                "VOLTS_AC;+2.32900000E+02;232.9 V",
                "VOLTS_DC;.0042;4.2 mV",
                "VOLTS_DC;0.31;0.31 V",
                "OHMS;4.7E3;4.7 kΩ",
                "OHMS;470;470 Ω",
                "OHMS;1.50E+06;1.5 MΩ",
                "FARADS;+1.03000000E-07;103 nF",
                "FARADS;2.2e-3;2200 µF",
                "AMPERES_DC;0.012;12 mA"
            })
    void aMeterAnswersInTheFormatsOfTheStandard(MeterFunction function, String answer, String words) {
        assertThat(MeterReading.of(function, answer).words()).isEqualTo(words);
    }

    /** 9.9E37 is overload (SCPI-1999, volume 1, 7.2; published, from memory). What is no number is never made one. */
    @Test
    void overloadIsNoValueAndWordsAreNoNumber() {
        assertThat(MeterReading.of(MeterFunction.OHMS, "9.90000000E+37").value())
                .isEmpty();
        for (String nonsense :
                List.of("", "volts", "1.2.3", "0x10", "1,5", "1E9999", "NaN", "+-3", "9.91E37", "12 V")) {
            assertThatThrownBy(() -> MeterReading.of(MeterFunction.VOLTS_DC, nonsense))
                    .as(nonsense)
                    .isInstanceOf(IllegalArgumentException.class);
        }
    }

    /** What is written down says the same as what was read, to six places. */
    @Property
    void theWordsSayTheValue(
            @ForAll @DoubleRange(min = 1, max = 9.99) double digits, @ForAll @IntRange(min = -11, max = 8) int decade) {
        double ohms = digits * Math.pow(10, decade);
        MeterReading read = MeterReading.of(MeterFunction.OHMS, "%.8E".formatted(ohms));
        String[] words = read.words().split(" ");
        double prefix = Map.of('M', 1e6, 'k', 1e3, 'm', 1e-3, 'µ', 1e-6, 'n', 1e-9, 'p', 1e-12, 'Ω', 1.0)
                .get(words[1].charAt(0));
        assertThat(new BigDecimal(words[0]).doubleValue() * prefix).isCloseTo(ohms, within(ohms * 1e-5 + 1e-17));
    }
}
