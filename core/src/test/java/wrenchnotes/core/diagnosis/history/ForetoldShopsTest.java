package wrenchnotes.core.diagnosis.history;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Shops that another process than the model makes, and on which no setting was chosen: many models and few jobs of each; falls that break three things. */
class ForetoldShopsTest {

    static Stream<ForetoldShops.Shop> shops() {
        return ForetoldShops.JUDGED.stream();
    }

    @ParameterizedTest
    @MethodSource("shops")
    void theOddsComeTrueThereToo(ForetoldShops.Shop shop) {
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
