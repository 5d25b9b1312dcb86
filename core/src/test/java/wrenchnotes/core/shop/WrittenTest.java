package wrenchnotes.core.shop;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.typed.Figures;

/** Numbers and days as a shop writes them. */
class WrittenTest {

    /** ISO 80000-1:2022, 7.2.2: the decimal sign is a comma or a point on the line. */
    @Test
    void onlyMarksBetweenDigitsAreTheShops() {
        String words = "Earth 0.12 Ω of 0.3. Lead sound, see 4.5.";
        assertThat(DecimalMark.POINT.written(words)).isEqualTo(words);
        assertThat(DecimalMark.COMMA.written(words)).isEqualTo("Earth 0,12 Ω of 0,3. Lead sound, see 4,5.");
    }

    /** Year first is ISO 8601-1:2019, calendar date, extended format. */
    @Test
    void daysAreWrittenInTheOrderThatIsSet() {
        LocalDate day = LocalDate.of(2026, 11, 6);
        assertThat(DateOrder.DAY_FIRST.figures(day)).isEqualTo("06/11/2026");
        assertThat(DateOrder.MONTH_FIRST.figures(day)).isEqualTo("11/06/2026");
        assertThat(DateOrder.YEAR_FIRST.figures(day)).isEqualTo("2026-11-06");
        assertThat(DateOrder.DAY_FIRST.atLength(day)).isEqualTo("6 November 2026");
        assertThat(DateOrder.MONTH_FIRST.atLength(day)).isEqualTo("November 6, 2026");
        assertThat(DateOrder.MONTH_FIRST.words()).isEqualTo("Mar 31, 2026");
    }

    @Test
    void figuresHaveNoZerosAtTheirEnd() {
        assertThat(Figures.of(12.0, 4)).isEqualTo("12");
        assertThat(Figures.of(1234.56, 4)).isEqualTo("1235");
        assertThat(Figures.of(120_000, 2)).isEqualTo("120000");
        assertThat(Figures.rounded(0.1200, 3)).isEqualTo("0.12");
        assertThat(Figures.rounded(-0.0004, 3)).isEqualTo("0");
    }
}
