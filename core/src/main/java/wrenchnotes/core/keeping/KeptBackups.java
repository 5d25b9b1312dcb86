package wrenchnotes.core.keeping;

import java.time.Instant;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.ZoneId;
import java.time.temporal.IsoFields;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;

/**
 * Which backups are kept: of each of the last 7 days, of each of the last 5 weeks (ISO 8601) and of each of the last 12 months that
 * have one the last one, and the newest in any case. Days without a backup do not count, so that a shop that was shut for the
 * summer loses none. Common practice, no source.
 */
public final class KeptBackups {

    private static final int DAYS = 7;
    private static final int WEEKS = 5;
    private static final int MONTHS = 12;

    private KeptBackups() {}

    /**
     * @param made when backups were made, in any order
     * @param zone in which the shop's days begin
     * @return those that stay, oldest first
     */
    public static List<Instant> of(Collection<Instant> made, ZoneId zone) {
        Set<Instant> kept = new TreeSet<>();
        Function<Instant, LocalDate> day = at -> at.atZone(zone).toLocalDate();
        keep(kept, made, DAYS, day);
        keep(
                kept,
                made,
                WEEKS,
                at -> day.apply(at).get(IsoFields.WEEK_BASED_YEAR) * 100
                        + day.apply(at).get(IsoFields.WEEK_OF_WEEK_BASED_YEAR));
        keep(kept, made, MONTHS, at -> YearMonth.from(day.apply(at)));
        return List.copyOf(kept);
    }

    /**
     * The day on which a backup is thrown away at the latest, if one is made every month: twelve months that have one have come after it.
     *
     * @param zone in which the shop's days begin
     */
    public static LocalDate lastDay(Instant made, ZoneId zone) {
        return YearMonth.from(made.atZone(zone)).plusMonths(MONTHS).atDay(1);
    }

    private static <T extends Comparable<? super T>> void keep(
            Set<Instant> kept, Collection<Instant> made, int most, Function<Instant, T> span) {
        Map<T, Instant> last = new HashMap<>();
        made.forEach(at -> last.merge(span.apply(at), at, (one, other) -> one.isAfter(other) ? one : other));
        last.values().stream().sorted(Comparator.reverseOrder()).limit(most).forEach(kept::add);
    }
}
