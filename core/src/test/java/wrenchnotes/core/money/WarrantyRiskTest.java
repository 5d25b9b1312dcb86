package wrenchnotes.core.money;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.money.WarrantyRisk.UnitOut;
import wrenchnotes.core.money.WarrantyRisk.WarrantyAsked;
import wrenchnotes.core.pattern.lasts.StayLength;
import wrenchnotes.core.pattern.lasts.SurvivalTold.RemedyStays;
import wrenchnotes.core.unit.Invalid;

class WarrantyRiskTest {

    /** By hand: of four, one back on day 10, one on day 30; three quarters and a half are left. */
    private static final RemedyStays REVIVED = new RemedyStays(
            "revived",
            List.of(
                    new StayLength(10.0, true),
                    new StayLength(30.0, true),
                    new StayLength(90.0, false),
                    new StayLength(90.0, false)));

    private static final RemedyStays NEVER = new RemedyStays("never lasts", List.of(new StayLength(5.0, true)));

    @Test
    void whatIsLeftOfATermIsReckonedFromWhatIsLeftOfTheCurve() {
        WarrantyRisk risk = WarrantyRisk.of(new WarrantyAsked(
                60.0,
                List.of(REVIVED, NEVER),
                List.of(
                        new UnitOut("fresh", "revived", 0.0, 4_000.0),
                        new UnitOut("half way", "revived", 20.0, 3_000.0),
                        new UnitOut("past it", "revived", 60.0, 9_000.0),
                        new UnitOut("wonder", "never lasts", 7.0, 100.0))));
        assertThat(risk.units().stream().map(WarrantyRisk.UnitRisk::chance).toList())
                .usingElementComparator((one, other) -> Math.abs(one - other) < 1e-12 ? 0 : 1)
                .containsExactly(0.5, 1 - 0.5 / 0.75, 0.0, 1.0);
        assertThat(risk.reserveMinor()).isCloseTo(2_000 + 1_000 + 100, within(1e-9));
        assertThat(risk.deviationMinor())
                .isCloseTo(Math.sqrt(0.25 * 4_000 * 4_000 + 2 / 9.0 * 3_000 * 3_000), within(1e-9));
        assertThatThrownBy(() -> WarrantyRisk.of(
                        new WarrantyAsked(60.0, List.of(REVIVED), List.of(new UnitOut("x", "glued", 1.0, 1.0)))))
                .isInstanceOf(Invalid.class)
                .hasMessageContaining("glued");
    }
}
