package wrenchnotes.core.drawer;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.Test;

class FittingTest {

    @Test
    void sizesAndWordsThatBothHaveSpeakForAPart() {
        String wanted = "sled rails, 3 cross PH0, 2 × 5 mm, machine, brass";
        List<String> parts = List.of(
                "belt 51 × 1.2 square, inner circumference 51 mm",
                "screw M2 × 5 brass, cross PH0, pan head",
                "screw M3 × 5 black, cross PH1",
                "hinge ribbon 16 ways");
        assertThat(parts.stream().max(Comparator.comparingInt(part -> Fitting.score(wanted, part))))
                .hasValue(parts.get(1));
        assertThat(Fitting.score(wanted, parts.get(1))).isGreaterThan(Fitting.score(wanted, parts.get(2)));
        assertThat(Fitting.score(wanted, parts.get(3))).isZero();
        assertThat(Fitting.score("thrust washer", "")).isZero();
    }
}
