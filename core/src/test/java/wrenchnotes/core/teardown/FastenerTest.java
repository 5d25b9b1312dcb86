package wrenchnotes.core.teardown;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FastenerTest {

    /** ISO 261, coarse series. */
    @ParameterizedTest
    @CsvSource({"1.4, 0.3", "1.6, 0.35", "2, 0.4", "2.5, 0.45", "3, 0.5", "3.5, 0.6", "4, 0.7"})
    void machineThreadsHaveTheCoarsePitchOfIso261(double diameter, double pitch) {
        assertThat(ThreadTable.pitchMm(ThreadForm.MACHINE, diameter)).hasValue(pitch);
    }

    /** ISO 1478 (from memory). */
    @ParameterizedTest
    @CsvSource({
        "1.5, 0.5",
        "1.9, 0.6",
        "2.2, 0.8",
        "2.6, 0.9",
        "2.9, 1.1",
        "3.3, 1.3",
        "3.5, 1.3",
        "3.9, 1.3",
        "4.2, 1.4"
    })
    void tappingThreadsHaveThePitchOfIso1478(double diameter, double pitch) {
        assertThat(ThreadTable.pitchMm(ThreadForm.TAPPING, diameter)).hasValue(pitch);
    }

    /** Coarse, sharp threads go into plastic, fine ones into metal (common practice): the table must show it. */
    @ParameterizedTest
    @CsvSource({"2.2, 2", "2.6, 2.5", "2.9, 3", "3.5, 3.5", "4.2, 4"})
    void tappingThreadsAreCoarserThanMachineThreadsOfTheirSize(double tapping, double machine) {
        assertThat(ThreadTable.pitchMm(ThreadForm.TAPPING, tapping).getAsDouble())
                .isGreaterThan(
                        1.5 * ThreadTable.pitchMm(ThreadForm.MACHINE, machine).getAsDouble());
    }

    @Test
    void aDiameterNoStandardKnowsHasNoPitchButCanBeDrawn() {
        assertThat(ThreadTable.pitchMm(ThreadForm.MACHINE, 2.8)).isEmpty();
        assertThat(ThreadTable.pitchMm(ThreadForm.NONE, 3)).isEmpty();
        assertThat(FastenerShape.of(group(Head.CROSS, ThreadForm.MACHINE, 2.8)).pitchMm())
                .isEqualTo(0.5);
    }

    /** Pan heads: ISO 7045 for machine screws, ISO 7049 for tapping screws (both from memory). */
    @ParameterizedTest
    @CsvSource({
        "MACHINE, 2, 4.0",
        "MACHINE, 2.5, 5.0",
        "MACHINE, 3, 5.6",
        "TAPPING, 2.2, 4.0",
        "TAPPING, 2.9, 5.6",
        "TAPPING, 4.2, 8.0"
    })
    void headsHaveTheirStandardDiameter(ThreadForm form, double diameter, double head) {
        assertThat(FastenerShape.of(group(Head.CROSS, form, diameter)).headDiameterMm())
                .isCloseTo(head, within(1e-9));
    }

    @Test
    void aThickerScrewHasNoSmallerHead() {
        double last = 0;
        for (double diameter = 1; diameter <= 6; diameter += 0.1) {
            double head = FastenerShape.of(group(Head.CROSS, ThreadForm.MACHINE, diameter))
                    .headDiameterMm();
            assertThat(head).isGreaterThan(last).isGreaterThan(diameter);
            last = head;
        }
    }

    @Test
    void impossibleFastenersNameTheFieldAndTheRange() {
        assertThatThrownBy(() -> group(Head.RIVET, ThreadForm.TAPPING, 3)).hasMessageContaining("has no thread");
        assertThatThrownBy(() -> group(Head.CROSS, ThreadForm.MACHINE, -2))
                .hasMessage("diameterMm is -2.0; it must be from 0.5 to 12.0");
        assertThatThrownBy(() -> group(Head.CROSS, ThreadForm.MACHINE, Double.NaN))
                .hasMessageContaining("NaN");
    }

    private static FastenerGroup group(Head head, ThreadForm form, double diameter) {
        return new FastenerGroup("g", "case", head, "PH1", form, diameter, 8, Finish.SILVER, 4, "", null);
    }
}
