package wrenchnotes.core.drawer.order;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.core.unit.Spoken;

/**
 * Where one line of an order stands, computed from its entries.
 *
 * @param count how many are wanted, 1 to 9999
 * @param came how many came and are right
 * @param wrong how many lie here that are something else, and were not sent back yet
 * @param left how many are still waited for
 * @param expected the day that the supplier said last
 */
public record OrderLine(
        int count,
        OrderStanding standing,
        int came,
        int wrong,
        int left,
        Optional<Instant> orderedAt,
        Optional<Instant> lastCameAt,
        Optional<LocalDate> expected) {

    private static final double MOST_DAYS = 3650;
    private static final double DAY_MILLIS = Duration.ofDays(1).toMillis();

    /** Where a line stands. */
    public enum OrderStanding implements Spoken {
        WANTED,
        ORDERED,
        CONFIRMED,
        SENT,
        PART_CAME,
        WRONG_CAME,
        CAME,
        GIVEN_UP;

        /** Whether anything is still to come of it. */
        public boolean open() {
            return this != CAME && this != GIVEN_UP;
        }

        @Override
        public String words() {
            return switch (this) {
                case PART_CAME -> "part came";
                case WRONG_CAME -> "wrong one came";
                default -> Spoken.super.words();
            };
        }
    }

    /** @param events in their order */
    public static OrderLine of(int count, List<OrderEvent> events) {
        Checked.within("count", count, 1, 9_999);
        int came = 0;
        int wrong = 0;
        int givenUp = 0;
        OrderEvent.OrderHappening last = null;
        Optional<Instant> ordered = Optional.empty();
        Optional<Instant> lastCame = Optional.empty();
        Optional<LocalDate> expected = Optional.empty();
        for (OrderEvent event : events) {
            switch (event.what()) {
                case ORDERED -> ordered = Optional.of(event.at());
                case CAME -> {
                    came += event.count();
                    lastCame = Optional.of(event.at());
                }
                case WRONG -> wrong += event.count();
                case SENT_BACK -> wrong -= event.count();
                case GIVEN_UP -> givenUp = count - came;
                case CONFIRMED, SENT -> {}
            }
            expected = event.day().isPresent() ? event.day() : expected;
            last = event.what();
        }
        int left = Math.max(0, count - came - givenUp);
        return new OrderLine(count, standing(last, came, wrong, left), came, wrong, left, ordered, lastCame, expected);
    }

    private static OrderStanding standing(OrderEvent.OrderHappening last, int came, int wrong, int left) {
        if (wrong > 0) {
            return OrderStanding.WRONG_CAME;
        }
        if (left == 0) {
            return came > 0 ? OrderStanding.CAME : OrderStanding.GIVEN_UP;
        }
        if (came > 0) {
            return OrderStanding.PART_CAME;
        }
        if (last == null) {
            return OrderStanding.WANTED;
        }
        return switch (last) {
            case CONFIRMED -> OrderStanding.CONFIRMED;
            case SENT -> OrderStanding.SENT;
            default -> OrderStanding.ORDERED;
        };
    }

    /**
     * @throws Refused if that cannot happen where the line stands, with what can
     */
    public void mustTake(OrderEvent event) {
        switch (event.what()) {
            case ORDERED -> mustBe(standing == OrderStanding.WANTED, "It is ordered already");
            case CONFIRMED, SENT -> mustBe(ordered() && left > 0, "It is not ordered, or all of it came");
            case CAME, WRONG -> {
                mustBe(ordered(), "It is not ordered yet: order it first");
                mustBe(
                        event.count() <= left - wrong,
                        (left - wrong) + " are still to come, not " + event.count()
                                + ": book in what was not ordered at its drawer");
            }
            case SENT_BACK -> mustBe(event.count() <= wrong, wrong + " wrong ones lie here, not " + event.count());
            case GIVEN_UP -> mustBe(left > 0 && wrong == 0, wrong > 0 ? "Send the wrong ones back first" : "All came");
        }
    }

    /** Days from the order to the last that came, at most ten years; empty if none did. */
    public Optional<Double> took() {
        return orderedAt.flatMap(from -> lastCameAt.map(
                to -> Math.min(MOST_DAYS, Math.max(0, Duration.between(from, to).toMillis() / DAY_MILLIS))));
    }

    private boolean ordered() {
        return orderedAt.isPresent();
    }

    private static void mustBe(boolean so, String otherwise) {
        if (!so) {
            throw Refused.because(otherwise);
        }
    }
}
