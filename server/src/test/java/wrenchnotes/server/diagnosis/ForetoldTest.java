package wrenchnotes.server.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import wrenchnotes.core.diagnosis.history.Foretold;
import wrenchnotes.core.money.ForetoldMinutes;
import wrenchnotes.server.RunningShop;
import wrenchnotes.server.ground.Snapshot;

/** On the demo shop's history the odds come true as often as they say, and are better than counting on paper and than they were. */
@Tag("shop")
class ForetoldTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.withDemo();

    @Test
    void theOddsComeTrueAndBeatTheirRivals() {
        Foretold foretold =
                SHOP.bean(Snapshot.class).read(() -> SHOP.bean(Book.class).ask(ForetoldDemo::of));
        assertThat(foretold.odds.brier())
                .isLessThan(0.30)
                .isLessThan(foretold.before.brier())
                .isLessThan(foretold.ofTheModel.brier())
                .isLessThan(foretold.withTheSymptom.brier());
        assertThat(foretold.odds.first()).isGreaterThanOrEqualTo(0.84).isGreaterThan(foretold.ofTheModel.first());
        assertThat(foretold.odds.tenthsOutsideTheirBand()).isLessThanOrEqualTo(1);
    }

    /** Measured: 62 and 87 of 100. */
    @Test
    void whatIsSaidToHoldHalfTheTimeDoes() {
        ForetoldMinutes minutes =
                SHOP.bean(Snapshot.class).read(() -> SHOP.bean(Book.class).ask(ForetoldDemo::minutes));
        assertThat(minutes.half()).isBetween(0.45, 0.55);
        assertThat(minutes.fourFifths()).isBetween(0.75, 0.85);
    }
}
