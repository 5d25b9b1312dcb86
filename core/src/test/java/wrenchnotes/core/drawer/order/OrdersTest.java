package wrenchnotes.core.drawer.order;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.LongRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.drawer.order.OrderEvent.OrderHappening;
import wrenchnotes.core.drawer.order.OrderLine.OrderStanding;
import wrenchnotes.core.unit.Refused;

class OrdersTest {

    private static final Instant AT = Instant.parse("2026-03-02T09:00:00Z");

    private static OrderEvent event(OrderHappening what, int count) {
        return new OrderEvent(what, count, Optional.empty(), AT);
    }

    /** Ten are ordered, six come, two of the next are wrong, go back, and come right. */
    @Test
    void whereALineStandsFollowsFromWhatHappened() {
        List<OrderEvent> happened = new ArrayList<>();
        assertThat(OrderLine.of(10, happened).standing()).isEqualTo(OrderStanding.WANTED);
        happened.add(event(OrderHappening.ORDERED, 10));
        assertThat(OrderLine.of(10, happened).standing()).isEqualTo(OrderStanding.ORDERED);
        LocalDate day = LocalDate.of(2026, 3, 9);
        happened.add(new OrderEvent(OrderHappening.CONFIRMED, 10, Optional.of(day), AT));
        assertThat(OrderLine.of(10, happened).expected()).contains(day);
        happened.add(event(OrderHappening.SENT, 10));
        assertThat(OrderLine.of(10, happened).standing()).isEqualTo(OrderStanding.SENT);
        happened.add(event(OrderHappening.CAME, 6));
        assertThat(OrderLine.of(10, happened).standing()).isEqualTo(OrderStanding.PART_CAME);
        assertThat(OrderLine.of(10, happened).left()).isEqualTo(4);
        happened.add(event(OrderHappening.WRONG, 2));
        OrderLine wrong = OrderLine.of(10, happened);
        assertThat(wrong.standing()).isEqualTo(OrderStanding.WRONG_CAME);
        assertThatThrownBy(() -> wrong.mustTake(event(OrderHappening.CAME, 3)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("2 are still to come, not 3");
        assertThatThrownBy(() -> wrong.mustTake(event(OrderHappening.GIVEN_UP, 1)))
                .hasMessageContaining("Send the wrong ones back");
        happened.add(event(OrderHappening.SENT_BACK, 2));
        assertThat(OrderLine.of(10, happened).standing()).isEqualTo(OrderStanding.PART_CAME);
        happened.add(event(OrderHappening.CAME, 4));
        OrderLine all = OrderLine.of(10, happened);
        assertThat(all.standing()).isEqualTo(OrderStanding.CAME);
        assertThat(all.expected()).contains(day);
        assertThat(all.standing().open()).isFalse();
    }

    /** Whatever is told in whatever order: what is refused changes nothing, and nothing comes twice. */
    @Property
    void whatCameAndIsLeftIsWhatWasOrdered(
            @ForAll @IntRange(min = 1, max = 30) int count,
            @ForAll @Size(max = 25) List<OrderHappening> whats,
            @ForAll @IntRange(min = 1, max = 12) int some) {
        List<OrderEvent> happened = new ArrayList<>();
        for (OrderHappening what : whats) {
            OrderEvent next = event(what, some);
            try {
                OrderLine.of(count, happened).mustTake(next);
                happened.add(next);
            } catch (Refused e) {
                assertThat(e.getMessage()).isNotBlank();
            }
            OrderLine line = OrderLine.of(count, happened);
            assertThat(line.wrong()).isBetween(0, count);
            assertThat(line.came() + line.left()).isLessThanOrEqualTo(count);
            assertThat(line.standing().open()).isEqualTo(line.left() > 0 || line.wrong() > 0);
        }
    }

    @Property
    void carriageIsSharedToTheLastPenny(
            @ForAll @LongRange(min = 0, max = 100_000) long freight,
            @ForAll @Size(min = 1, max = 12) List<@LongRange(min = 0, max = 50_000) Long> values) {
        List<Long> shares = Freight.shared(freight, values);
        assertThat(shares.stream().mapToLong(Long::longValue).sum()).isEqualTo(freight);
        double all = values.stream().mapToLong(Long::longValue).sum();
        for (int at = 0; at < shares.size(); at++) {
            double exact = all > 0 ? freight * (values.get(at) / all) : (double) freight / values.size();
            assertThat((double) shares.get(at)).isCloseTo(exact, within(1.0));
        }
    }

    /** Without an order of its own: half within seven days. The 0.8 quantile of the standard normal is 0.8416 (published tables). */
    @Test
    void whatIsNotKnownIsCommonPracticeAndWhatIsKnownPrevails() {
        Takes none = Takes.of(List.of(), 1, 1);
        assertThat(none.half()).isCloseTo(7, within(1e-9));
        assertThat(none.fourFifths()).isCloseTo(7 * Math.exp(0.8416 * 0.5 * Math.sqrt(4.0 / 3)), within(0.01));
        List<Takes.Came> quick = new ArrayList<>();
        for (int n = 0; n < 40; n++) {
            quick.add(new Takes.Came(1, 5, 2));
        }
        Takes known = Takes.of(quick, 1, 5);
        assertThat(known.half()).isBetween(2.0, 2.3);
        assertThat(known.fourFifths()).isBetween(known.half(), 3.5);
        assertThat(Takes.of(quick, 1, 6).half())
                .as("another part of a quick supplier")
                .isBetween(2.0, 2.6);
        assertThat(Takes.of(quick, 2, 5).half()).as("of one that nobody knows").isBetween(2.0, 2.7);
        assertThat(known.orders()).isEqualTo(40);
    }

    /** The mean of a lognormal of median m and deviation s is m·exp(s²/2), and its deviation that times √(exp(s²) − 1) (published, any handbook). */
    @Property
    void weeksAreThoseOfTheLognormal(
            @ForAll @DoubleRange(min = 1, max = 60) double median, @ForAll @DoubleRange(min = 0.05, max = 1) double s) {
        Takes takes = new Takes(median, median * Math.exp(0.8416212335729143 * s), 0, 0);
        assertThat(takes.weeks() * 7).isCloseTo(median * Math.exp(s * s / 2), within(1e-6));
        assertThat(takes.weeksDeviation() / takes.weeks()).isCloseTo(Math.sqrt(Math.exp(s * s) - 1), within(1e-9));
    }
}
