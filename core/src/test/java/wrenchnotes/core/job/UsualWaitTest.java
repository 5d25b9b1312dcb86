package wrenchnotes.core.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class UsualWaitTest {

    private static List<Duration> hours(int... hours) {
        return java.util.Arrays.stream(hours).mapToObj(Duration::ofHours).toList();
    }

    @Test
    void theShopsOwnWaitsGoBeforeWhatIsCommonPractice() {
        // A day for a picture tube, overnight for resin and a washed board: common practice, no source.
        assertThat(UsualWait.of(HoldKind.BLEED, List.of(), List.of()).orElseThrow())
                .isEqualTo(new UsualWait(Duration.ofHours(24), "common practice"));
        assertThat(UsualWait.of(HoldKind.CURE, hours(3, 30), hours(18, 20, 24)).orElseThrow())
                .isEqualTo(new UsualWait(Duration.ofHours(20), "half of 3 here"));
        assertThat(UsualWait.of(HoldKind.PART, hours(3, 30, 5), hours(10, 12, 14))
                        .orElseThrow())
                .isEqualTo(new UsualWait(Duration.ofHours(5), "half of 3 on this revision"));
        assertThat(UsualWait.of(HoldKind.PART, hours(40), hours(40))).isEqualTo(Optional.empty());
    }

    /** Three holds that were ended at once taught "usual bleed: 1 minute", which then stood there as a button. */
    @Test
    void waitsForSafetyAreNeverLearnedDown() {
        List<Duration> atOnce = List.of(Duration.ofSeconds(2), Duration.ofSeconds(3), Duration.ofSeconds(4));
        for (HoldKind kind : List.of(HoldKind.BLEED, HoldKind.REST)) {
            for (List<Duration> here : List.of(atOnce, hours(90, 90, 90))) {
                assertThat(UsualWait.of(kind, here, here))
                        .contains(new UsualWait(Duration.ofHours(24), "common practice"));
            }
        }
        for (HoldKind kind : List.of(HoldKind.CURE, HoldKind.DRY)) {
            assertThat(UsualWait.of(kind, atOnce, hours(40, 40, 40)))
                    .contains(new UsualWait(Duration.ofHours(14), "common practice"));
        }
    }
}
