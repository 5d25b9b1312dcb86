package wrenchnotes.core.brought;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.Month;
import java.util.Arrays;
import java.util.Collection;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import wrenchnotes.core.shop.DateOrder;

/**
 * Days as people write them in spreadsheets: ISO 8601, figures with points, strokes or dashes, months by name. Whether the day or the month
 * comes first in figures is told by the whole column where any of it tells; else it is as the shop writes.
 */
final class Dates {

    private static final Pattern ISO = Pattern.compile("(\\d{4})[-/.](\\d{1,2})[-/.](\\d{1,2})(?:[T ].*)?");
    private static final Pattern FIGURES =
            Pattern.compile("(\\d{1,2})[-/. ]{1,2}(\\d{1,2})[-/. ]{1,2}(\\d{4}|\\d{2})(?:[ ,].*)?");
    private static final Pattern DAY_NAMED =
            Pattern.compile("(\\d{1,2})[-. ]{1,2}(\\p{L}{3,9})[-., ]{1,2}(\\d{4}|\\d{2})");
    private static final Pattern MONTH_NAMED =
            Pattern.compile("(\\p{L}{3,9})[-. ]{1,2}(\\d{1,2})[-., ]{1,2}(\\d{4}|\\d{2})");

    private final boolean dayFirst;
    private final LocalDate today;

    private Dates(boolean dayFirst, LocalDate today) {
        this.dayFirst = dayFirst;
        this.today = today;
    }

    /** @param usual how the shop writes a day */
    static Dates of(Collection<String> column, DateOrder usual, LocalDate today) {
        boolean dayOver12 = false;
        boolean monthOver12 = false;
        for (String cell : column) {
            Matcher figures = FIGURES.matcher(cell.strip());
            if (figures.matches()) {
                dayOver12 |= Integer.parseInt(figures.group(1)) > 12;
                monthOver12 |= Integer.parseInt(figures.group(2)) > 12;
            }
        }
        boolean dayFirst = dayOver12 != monthOver12 ? dayOver12 : usual != DateOrder.MONTH_FIRST;
        return new Dates(dayFirst, today);
    }

    /** Empty if there is no such day. */
    Optional<LocalDate> read(String cell) {
        String typed = cell.strip();
        Matcher iso = ISO.matcher(typed);
        if (iso.matches()) {
            return day(number(iso, 1), number(iso, 2), number(iso, 3));
        }
        Matcher figures = FIGURES.matcher(typed);
        if (figures.matches()) {
            int first = number(figures, 1);
            int second = number(figures, 2);
            return day(year(figures.group(3)), dayFirst ? second : first, dayFirst ? first : second);
        }
        Matcher named = DAY_NAMED.matcher(typed);
        if (named.matches()) {
            return month(named.group(2)).flatMap(month -> day(year(named.group(3)), month, number(named, 1)));
        }
        Matcher monthFirst = MONTH_NAMED.matcher(typed);
        return monthFirst.matches()
                ? month(monthFirst.group(1))
                        .flatMap(month -> day(year(monthFirst.group(3)), month, number(monthFirst, 2)))
                : Optional.empty();
    }

    private static int number(Matcher of, int group) {
        return Integer.parseInt(of.group(group));
    }

    /** Two figures are the latest such year that is not to come. */
    private int year(String typed) {
        int year = Integer.parseInt(typed);
        if (typed.length() == 4) {
            return year;
        }
        int century = today.getYear() / 100 * 100;
        return century + year <= today.getYear() ? century + year : century - 100 + year;
    }

    private static Optional<Integer> month(String name) {
        String said = name.toUpperCase(Locale.ROOT);
        return Arrays.stream(Month.values())
                .filter(month -> month.name().startsWith(said))
                .map(Month::getValue)
                .findFirst();
    }

    private static Optional<LocalDate> day(int year, int month, int day) {
        try {
            return Optional.of(LocalDate.of(year, month, day));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }
}
