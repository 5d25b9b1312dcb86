package wrenchnotes.core.diagnosis.history;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** Time worked, by hand. */
class BenchTimeTest {

    private static final long MORNING = 1_772_442_000_000L;

    private static long at(int minute) {
        return BenchTime.entry(MORNING + minute * 60_000L, false);
    }

    private static long pauseAt(int minute) {
        return BenchTime.entry(MORNING + minute * 60_000L, true);
    }

    @Test
    void pausesAndNightsAreNotWorked() {
        assertThat(BenchTime.millis(new long[0])).isZero();
        assertThat(BenchTime.millis(new long[] {at(5)})).isZero();
        assertThat(BenchTime.millis(new long[] {at(15), at(0), at(4)}))
                .as("in any order: 4 and 11")
                .isEqualTo(15 * 60_000);
        assertThat(BenchTime.millis(new long[] {at(0), pauseAt(5), at(30), at(32)}))
                .as("5 until the pause, 2 after it")
                .isEqualTo(7 * 60_000);
        assertThat(BenchTime.millis(new long[] {at(0), at(60), at(121)}))
                .as("an hour is work, more is another day")
                .isEqualTo(60 * 60_000);
        assertThat(BenchTime.millis(new long[] {pauseAt(10), at(10), at(20)}))
                .as("what is entered as the pause begins stands before it")
                .isZero();
    }
}
