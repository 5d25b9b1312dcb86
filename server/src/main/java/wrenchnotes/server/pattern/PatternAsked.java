package wrenchnotes.server.pattern;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZonedDateTime;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.stream.IntStream;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.recurring.Narrowed;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Kind;

/**
 * What is looked at, as it stands in the address. Whatever is left out narrows nothing.
 *
 * @param months how far to look back, 1 to 240; 18 if left out
 * @param component by name, on whatever model
 * @param since what is compared with before, after the start of the months and not after today; the start of the last three months if left out
 */
public record PatternAsked(
        Integer months,
        Kind kind,
        Long model,
        Long revision,
        String component,
        Remedy remedy,
        Long supplier,
        Long owner,
        Ownership ownership,
        LocalDate since) {

    private static final int USUAL_MONTHS = 18;
    private static final int LAST = 3;

    /**
     * @param starts of each month, the earliest first: they end today, so that the last one is as long as the others
     * @param since what is before, and what after
     */
    record Span(List<Long> starts, Instant now, Instant since, LocalDate sinceDay) {

        Instant from() {
            return Instant.ofEpochMilli(starts.get(0));
        }
    }

    Span span(ZonedDateTime now) {
        int many = months == null ? USUAL_MONTHS : months;
        Checked.within("months", many, 1, 240);
        List<Long> starts = IntStream.rangeClosed(1, many)
                .mapToObj(n -> now.minusMonths(many + 1L - n).toInstant().toEpochMilli())
                .toList();
        ZonedDateTime split = since == null ? now.minusMonths(Math.min(LAST, many)) : since.atStartOfDay(now.getZone());
        return new Span(starts, now.toInstant(), split.toInstant(), split.toLocalDate());
    }

    Narrowed narrowed() {
        return new Narrowed(
                Optional.ofNullable(kind),
                number(model),
                number(revision),
                Optional.ofNullable(component).map(name -> Checked.optionalText("component", name, 80)),
                Optional.ofNullable(remedy),
                number(supplier),
                number(owner),
                Optional.ofNullable(ownership));
    }

    private static OptionalLong number(Long id) {
        return id == null ? OptionalLong.empty() : OptionalLong.of(id);
    }
}
