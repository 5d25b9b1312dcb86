package wrenchnotes.server.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import wrenchnotes.server.RunningShop;
import wrenchnotes.server.ground.Snapshot;

/** On the demo shop's history the odds must be better than counting on paper. */
class ForetoldTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.withDemo();

    @Test
    void theOddsBeatBothRivals() {
        Foretold foretold =
                SHOP.bean(Snapshot.class).read(() -> SHOP.bean(Book.class).ask(Foretold::of));
        assertThat(foretold.odds.brier())
                .isLessThan(foretold.ofTheModel.brier())
                .isLessThan(foretold.withTheSymptom.brier());
        assertThat(foretold.odds.brier())
                .as("0.288 when faults first had one main")
                .isLessThan(0.30);
        assertThat(foretold.odds.first()).isGreaterThan(foretold.ofTheModel.first());
    }
}
