package wrenchnotes.server.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import wrenchnotes.server.RunningShop;

/** On the demo shop's history the odds must be better than counting on paper. */
class ForetoldTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.withDemo();

    @Test
    void theOddsBeatBothRivals() {
        Foretold foretold = Foretold.of(SHOP.bean(PastStore.class));
        assertThat(foretold.odds.brier())
                .isLessThan(foretold.ofTheModel.brier())
                .isLessThan(foretold.withTheSymptom.brier());
        assertThat(foretold.odds.first()).isGreaterThan(foretold.ofTheModel.first());
    }
}
