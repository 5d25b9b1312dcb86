package wrenchnotes.core.diagnosis.history;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
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

    private static long millis(long[] entries) {
        return BenchTime.of(entries, Map.of()).worked().toMillis();
    }

    @Test
    void pausesAndNightsAreNotWorked() {
        assertThat(millis(new long[0])).isZero();
        assertThat(millis(new long[] {at(5)})).isZero();
        assertThat(millis(new long[] {at(15), at(0), at(4)}))
                .as("in any order: 4 and 11")
                .isEqualTo(15 * 60_000);
        assertThat(millis(new long[] {at(0), pauseAt(5), at(30), at(32)}))
                .as("5 until the pause, 2 after it")
                .isEqualTo(7 * 60_000);
        assertThat(millis(new long[] {at(0), at(60), at(121)}))
                .as("an hour is work, more is another day")
                .isEqualTo(60 * 60_000);
        assertThat(BenchTime.atItUntil(Instant.ofEpochMilli(MORNING)))
                .as("who has pressed nothing for so long is not at it")
                .isEqualTo(Instant.ofEpochMilli(MORNING + 60 * 60_000));
        assertThat(millis(new long[] {pauseAt(10), at(10), at(20)}))
                .as("what is entered as the pause begins stands before it")
                .isZero();
    }

    /** Measured: an operation of two hours without a press vanished. It is shown, and counts as somebody says. */
    @Test
    void aGapCountsAsSomebodySays() {
        long[] entries = {at(0), at(10), at(140), at(145), pauseAt(150), at(400), at(401)};
        BenchTime unsaid = BenchTime.of(entries, Map.of());
        assertThat(unsaid.worked()).isEqualTo(Duration.ofMinutes(10 + 5 + 5 + 1));
        assertThat(unsaid.gaps())
                .as("a pause is none")
                .containsExactly(new BenchTime.Gap(
                        Instant.ofEpochMilli(MORNING + 600_000),
                        Instant.ofEpochMilli(MORNING + 8_400_000),
                        Optional.empty()));
        BenchTime said = BenchTime.of(entries, Map.of(MORNING + 600_000, 90, MORNING + 1, 500));
        assertThat(said.worked()).isEqualTo(Duration.ofMinutes(21 + 90));
        assertThat(said.gaps().get(0).minutes()).contains(90);
        BenchTime.Gap gap = unsaid.gap(Instant.ofEpochMilli(MORNING + 600_000));
        assertThat(gap.said(130).minutes()).contains(130);
        assertThatThrownBy(() -> gap.said(131)).hasMessageContaining("minutes");
        assertThatThrownBy(() -> unsaid.gap(Instant.EPOCH)).hasMessageContaining("No gap begins then");
    }
}
