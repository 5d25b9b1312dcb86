package wrenchnotes.core.diagnosis.history;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** A shop that another process than the model makes, and on which no setting was chosen: many models and few jobs of each. */
class ForetoldShopsTest {

    @Test
    void theOddsBeatTheirRivalsThereToo() {
        ForetoldShops.Shop shop = ForetoldShops.JUDGED.get(0);
        Foretold foretold = new Foretold(new History(), shop.components(), Vocabulary.of(shop.words())).of(shop.jobs());
        assertThat(foretold.odds.brier())
                .isLessThan(0.92 * foretold.before.brier())
                .isLessThan(0.7 * foretold.withTheSymptom.brier())
                .isLessThan(0.7 * foretold.ofTheModel.brier());
        assertThat(foretold.odds.tenthsOutsideTheirBand())
                .isLessThanOrEqualTo(1)
                .isLessThan(foretold.before.tenthsOutsideTheirBand());
    }
}
