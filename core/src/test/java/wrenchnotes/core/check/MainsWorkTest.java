package wrenchnotes.core.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wrenchnotes.core.teardown.MainsSide;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Moment;

/** After mains-side work, earth, insulation and lead: common practice; whose limits they are is the shop's to say. */
class MainsWorkTest {

    /** The limits to begin with: published, EN 50678 for a lead of up to 5 m, from memory. */
    @ParameterizedTest
    @CsvSource({
        "EARTHED, 0.3, 1, true, true",
        "EARTHED, 0.31, 1, true, false",
        "EARTHED, 0.1, 0.99, true, false",
        "EARTHED, 0.1, 200, false, false",
        "DOUBLE_INSULATED, , 2, true, true",
        "DOUBLE_INSULATED, , 1.99, true, false"
    })
    void isJudgedByTheLimits(Protection protection, Double earth, double insulation, boolean lead, boolean passed) {
        ElectricalCheck check = ElectricalCheck.judged(
                ElectricalLimits.USUAL, protection, Optional.ofNullable(earth), insulation, lead, "");
        assertThat(check.passed()).as(check.sentence()).isEqualTo(passed);
    }

    @Test
    void saysWhatFailedAndWhatIsMissing() {
        assertThat(ElectricalCheck.judged(
                                ElectricalLimits.USUAL, Protection.EARTHED, Optional.of(0.5), 0.2, false, "damp")
                        .sentence())
                .isEqualTo(
                        "FAILED: earth 0.5 Ω, insulation 0.2 MΩ, lead and plug not sound (earth 0.5 Ω, at most 0.3 Ω;"
                                + " insulation 0.2 MΩ, at least 1 MΩ; lead or plug not sound). damp");
        assertThatThrownBy(() -> ElectricalCheck.judged(
                        ElectricalLimits.USUAL, Protection.EARTHED, Optional.empty(), 9, true, ""))
                .isInstanceOf(Invalid.class)
                .hasMessageContaining("earth");
        assertThatThrownBy(() -> ElectricalCheck.judged(
                        ElectricalLimits.USUAL, Protection.DOUBLE_INSULATED, Optional.of(0.1), 9, true, ""))
                .isInstanceOf(Invalid.class);
    }

    @Test
    void standsUntilItIsMeasuredClosedAndAfterTheLastWork() {
        MainsWork.Done inlet = new MainsWork.Done("inlet: loose", at(20));
        Optional<Moment> opened = Optional.of(at(10));
        assertThat(MainsWork.NONE.inTheWay(opened)).isEmpty();
        assertThat(work(true, inlet).inTheWay(opened).orElseThrow())
                .contains("inlet: loose")
                .contains("who may");
        assertThat(work(false, inlet).inTheWay(opened))
                .as("the shop does not ask")
                .isEmpty();
        assertThat(work(true, inlet, made(19, 200)).inTheWay(opened))
                .as("before the work")
                .isPresent();
        assertThat(work(true, inlet, made(21, 200)).inTheWay(opened)).isEmpty();
        assertThat(work(true, inlet, made(21, 200)).inTheWay(Optional.of(at(22))))
                .as("opened since")
                .isPresent();
        assertThat(work(false, inlet, made(21, 0.1)).inTheWay(opened).orElseThrow())
                .as("what failed stands, asked for or not")
                .contains("FAILED: earth 0.1 Ω, insulation 0.1 MΩ");
        assertThat(work(true, inlet, made(21, 0.1), made(22, 50)).inTheWay(opened))
                .isEmpty();
    }

    /** As the trade calls them: common practice, no source. */
    @Test
    void isToldByItsName() {
        assertThat(List.of("mains inlet", "Fuse holder", "supply board", "power lead", "primary winding"))
                .allMatch(MainsSide::named);
        assertThat(List.of("sled belt", "diffuser", "speaker lead", "lens", "headphone socket"))
                .noneMatch(MainsSide::named);
    }

    private static Moment at(int moment) {
        return new Moment(moment, Instant.EPOCH);
    }

    private static MainsWork.Made made(int moment, double insulation) {
        return new MainsWork.Made(
                ElectricalCheck.judged(
                        ElectricalLimits.USUAL, Protection.EARTHED, Optional.of(0.1), insulation, true, ""),
                at(moment),
                "ada");
    }

    private static MainsWork work(boolean asked, MainsWork.Done done, MainsWork.Made... checks) {
        return new MainsWork(asked, List.of(done), List.of(checks));
    }
}
