package wrenchnotes.core.money;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.diagnosis.history.LikeSale;
import wrenchnotes.core.diagnosis.history.Where.Level;

/** Normal means with known variances, shrunk to the kind's (Efron and Morris 1975; from memory), worked out by hand. */
class PriceTest {

    private static final double KIND = Math.log(8000);

    /** No sale: the kind's own, 8000; one in ten below 8000 / e^(1.2816 × 0.3606). */
    @Test
    void withoutASaleItIsTheKinds() {
        NextPrice none = NextPrice.of(List.of(), KIND, 0.09, 0.04);
        assertThat(none.medianMinor()).isCloseTo(8000, within(1e-6));
        assertThat(none.meanMinor()).isCloseTo(8000 * Math.exp(0.065), within(1e-6));
        assertThat(none.lowMinor()).isCloseTo(8000 / Math.exp(1.2816 * Math.sqrt(0.13)), within(1e-6));
        assertThat(none.highMinor()).isCloseTo(8000 * Math.exp(1.2816 * Math.sqrt(0.13)), within(1e-6));
    }

    /** One sale at twice the kind: it counts 1/0.04 = 25, the kind 1/0.09 = 11.1; 25 of 36.1 of the way, and 1/36.1 + 0.04 is left to chance. */
    @Test
    void oneSaleGivesAWideRange() {
        NextPrice one = NextPrice.of(List.of(16_000.0), KIND, 0.09, 0.04);
        double weight = 25 / (25 + 1 / 0.09);
        double left = 1 / (25 + 1 / 0.09) + 0.04;
        assertThat(one.medianMinor()).isCloseTo(8000 * Math.pow(2, weight), within(1e-6));
        assertThat(one.highMinor() / one.lowMinor())
                .isCloseTo(Math.exp(2 * 1.2816 * Math.sqrt(left)), within(1e-9))
                .isGreaterThan(1.9);
        assertThat(one.meanMinor()).isCloseTo(one.medianMinor() * Math.exp(left / 2), within(1e-6));
        List<Double> many = new ArrayList<>();
        for (int n = 0; n < 400; n++) {
            many.add(16_000.0);
        }
        NextPrice sure = NextPrice.of(many, KIND, 0.09, 0.04);
        assertThat(sure.medianMinor()).isCloseTo(16_000, within(50.0));
        assertThat(sure.highMinor() / sure.lowMinor())
                .as("sales vary however many there were")
                .isCloseTo(Math.exp(2 * 1.2816 * 0.2), within(0.01));
    }

    @Test
    void whatIsNoPriceIsRefusedByItsPlace() {
        assertThatThrownBy(() -> NextPrice.of(List.of(5.0, 0.5), KIND, 0.09, 0.04))
                .hasMessageContaining("1 at least");
        assertThatThrownBy(() -> NextPrice.of(List.of(), KIND, 0, 0.04)).hasMessageContaining("kindLogVariance");
        assertThatThrownBy(() -> NextPrice.of(List.of(), KIND, 0.09, -1)).hasMessageContaining("withinVariance");
        assertThatThrownBy(() -> NextPrice.of(List.of(), 700, 0.09, 0.04)).hasMessageContaining("kindLogMean");
        assertThatThrownBy(() -> NextPrice.of(List.of(), Double.NaN, 0.09, 0.04))
                .hasMessageContaining("kindLogMean");
    }

    private static List<LikeSale> sales(Level level, boolean worked, long... prices) {
        List<LikeSale> sales = new ArrayList<>();
        for (long price : prices) {
            sales.add(new LikeSale(level, worked, price));
        }
        return sales;
    }

    /** One sale of the revision stands between what it fetched and what its kind does, nearer to its own; more come nearer still. */
    @Test
    void nearSalesCountMore() {
        List<LikeSale> all = new ArrayList<>(sales(Level.KIND, true, 1000, 1100, 900));
        assertThat(Price.of(all, true).orElseThrow().level()).isEqualTo(Level.KIND);
        long kind = Price.of(all, true).orElseThrow().likely();
        assertThat(kind).isBetween(900L, 1100L);
        all.addAll(sales(Level.MODEL, true, 4000));
        long model = Price.of(all, true).orElseThrow().likely();
        assertThat(model).isBetween(2000L, 4000L);
        all.addAll(sales(Level.REVISION, true, 9000, 9000, 9000, 9000));
        Price own = Price.of(all, true).orElseThrow();
        assertThat(own.likely()).isBetween(7000L, 9000L);
        assertThat(own.sales()).isEqualTo(4);
        assertThat(own.level()).isEqualTo(Level.REVISION);
        assertThat(own.low()).isLessThan(own.likely());
        assertThat(own.expected()).isBetween(own.likely(), own.high());

        all.addAll(sales(Level.ALL, true, 50, 50, 50, 50));
        all.addAll(sales(Level.REVISION, false, 10));
        assertThat(Price.of(all, true))
                .as("other things, and what was sold broken, say nothing")
                .contains(own);
        assertThat(Price.of(sales(Level.ALL, true, 50), true)).isEmpty();
        assertThat(Price.of(List.of(), true)).isEmpty();
    }

    /** Where models of a kind fetch much the same, one sale of this one moves it less. */
    @Test
    void howMuchModelsVaryIsTakenFromThem() {
        List<LikeSale> alike = sales(Level.KIND, true, 1000, 1010, 990, 1005, 995, 1000, 1000, 1002, 998);
        List<LikeSale> various = sales(Level.KIND, true, 300, 3000, 500, 2000, 1000, 800, 1250, 4000, 250);
        alike.addAll(sales(Level.MODEL, true, 2000));
        various.addAll(sales(Level.MODEL, true, 2000));
        assertThat(Price.of(alike, true).orElseThrow().likely())
                .isLessThan(Price.of(various, true).orElseThrow().likely());
    }
}
