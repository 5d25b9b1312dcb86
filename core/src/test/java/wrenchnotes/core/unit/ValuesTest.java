package wrenchnotes.core.unit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.checkin.Arrival;
import wrenchnotes.core.checkin.ArrivalMark;
import wrenchnotes.core.drawer.Stock;

class ValuesTest {

    @Test
    void aTagIsReadAsItIsWrittenTypedOrScanned() {
        assertThat(Tag.of(42).text()).isEqualTo("WN-0042");
        assertThat(Tag.of(100_042).text()).isEqualTo("WN-100042");
        for (String written : List.of("WN-0042", "wn-42", "WN42", " 42 ", "0042")) {
            assertThat(Tag.parse(written)).as(written).contains(Tag.of(42));
        }
        for (String other : List.of("", "WN-", "WN-0", "Q2B-77310", "42x", "-42")) {
            assertThat(Tag.parse(other)).as(other).isEmpty();
        }
    }

    /** What turns the direction of writing (Unicode Standard Annex #9, 2.1 to 2.6) makes one name look like another. */
    @Test
    void aNameHoldsNothingThatNobodySees() {
        for (String unseen : List.of("be\u202Elt", "be\u0000lt", "be\nlt", "\u2066belt\u2069", "be\u200Flt")) {
            assertThatThrownBy(() -> Checked.text("name", unseen, 60))
                    .isInstanceOf(Invalid.class)
                    .hasMessageContaining("U+");
        }
        assertThat(Checked.text("name", " Ünïcödé belt 32 × 0.8 😀 ", 60)).isEqualTo("Ünïcödé belt 32 × 0.8 😀");
        assertThat(Checked.text("remark", "two\nlines", 500)).isEqualTo("two\nlines");
    }

    @Test
    void stockNeverGoesBelowNothing() {
        Stock stock = new Stock("belt", 3, 1000);
        assertThat(stock.take(3).valueMinor()).as("the last takes the rest").isZero();
        assertThat(stock.costOf(1)).isEqualTo(333);
        assertThat(stock.take(1).costOf(1)).as("half up").isEqualTo(334);
        assertThat(stock.take(1).bookIn(5, 500)).isEqualTo(new Stock("belt", 7, 1167));
        assertThatThrownBy(() -> stock.take(4)).hasMessageContaining("the drawer has 3, not 4");
        assertThatThrownBy(() -> stock.take(-1)).hasMessageContaining("from 1");
        assertThatThrownBy(() -> new Stock("belt", 3, -1)).hasMessageContaining("cannot cost");
    }

    @Test
    void anArrivalCannotSayTwoThingsAtOnce() {
        Arrival.Symptom grinds = new Arrival.Symptom("grinds", true);
        assertThatThrownBy(() -> arrival(List.of(grinds, new Arrival.Symptom("Grinds", false)), Set.of()))
                .hasMessageContaining("there twice");
        assertThatThrownBy(() -> arrival(List.of(), Set.of(ArrivalMark.SEAL_WHOLE, ArrivalMark.SEAL_BROKEN)))
                .hasMessageContaining("whole and broken");
        assertThat(arrival(null, null).symptoms()).isEmpty();
    }

    private static Arrival arrival(List<Arrival.Symptom> symptoms, Set<ArrivalMark> marks) {
        return new Arrival("", symptoms, marks, "", null, null, null, null);
    }
}
