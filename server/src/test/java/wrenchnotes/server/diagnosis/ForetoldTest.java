package wrenchnotes.server.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import wrenchnotes.core.diagnosis.history.Foretold;
import wrenchnotes.server.RunningShop;
import wrenchnotes.server.ground.Snapshot;

/** On the demo shop's history the odds come true as often as they say, and are better than counting on paper and than they were. */
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
}
