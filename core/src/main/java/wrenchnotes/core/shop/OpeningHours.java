package wrenchnotes.core.shop;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.EnumMap;
import java.util.Map;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * When the shop is open.
 *
 * @param days by weekday; closed on those that are not in it
 */
public record OpeningHours(Map<DayOfWeek, Span> days) {

    /** When a promise made for a day on which the shop is closed ends. */
    private static final LocalTime USUAL_CLOSING = LocalTime.of(18, 0);

    /** @param to after {@code from}, the same day */
    public record Span(LocalTime from, LocalTime to) {
        public Span {
            Checked.present("from", from);
            Checked.present("to", to);
            if (!from.isBefore(to)) {
                throw new Invalid("to", "The shop would close before it opens: give a later time");
            }
        }
    }

    public OpeningHours {
        Checked.present("days", days);
        days = days.isEmpty() ? Map.of() : Map.copyOf(new EnumMap<>(days));
    }

    /** When a day ends for whoever was promised a unit on it: at closing time. */
    public Instant endOf(LocalDate day, ZoneId zone) {
        Span span = days.get(day.getDayOfWeek());
        return day.atTime(span == null ? USUAL_CLOSING : span.to()).atZone(zone).toInstant();
    }
}
