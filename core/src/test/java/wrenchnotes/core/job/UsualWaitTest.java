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
        assertThat(UsualWait.of(HoldKind.CURE, hours(3, 30), hours(10, 12, 14)).orElseThrow())
                .isEqualTo(new UsualWait(Duration.ofHours(12), "half of 3 here"));
        assertThat(UsualWait.of(HoldKind.CURE, hours(3, 30, 5), hours(10, 12, 14))
                        .orElseThrow())
                .isEqualTo(new UsualWait(Duration.ofHours(5), "half of 3 on this revision"));
        assertThat(UsualWait.of(HoldKind.PART, hours(40), hours(40))).isEqualTo(Optional.empty());
    }
}
