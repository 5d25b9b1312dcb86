package wrenchnotes.core.typed;

import java.math.BigDecimal;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A number as people write it, 0 or more: comma or point as decimal mark; point, comma, space or apostrophe between groups of three
 * digits. Of two different marks the last is the decimal one; a mark that comes twice is none. One point or comma with exactly three
 * digits after it can be either: "1.234". The marks in use differ by country (CLDR number patterns; ISO 80000-1:2022, 7.2.2 wants
 * small spaces between groups and allows either decimal mark).
 */
final class Numeral {

    private static final Pattern GROUPED =
            Pattern.compile("(\\d{1,3}(?:([ '.,])\\d{3})(?:\\2\\d{3})*)(?:([.,])(\\d+))?");
    private static final Pattern PLAIN = Pattern.compile("(\\d*)(?:[.,](\\d+))?");
    private static final Pattern EITHER = Pattern.compile("[1-9]\\d{0,2}[.,]\\d{3}");

    private Numeral() {}

    /** Spaces of any width are one space, curly apostrophes straight ones. */
    static String plain(String typed) {
        return typed.replaceAll("[\\s\\u00a0\\u2007\\u2009\\u202f]+", " ")
                .replace('\u2019', '\'')
                .strip();
    }

    /** @param typed as {@link #plain} leaves it */
    static Typed<BigDecimal> read(String typed) {
        if (EITHER.matcher(typed).matches()) {
            return new Typed.Ask<>(
                    List.of(new BigDecimal(typed.replaceAll("[.,]", "")), new BigDecimal(typed.replace(',', '.'))));
        }
        Matcher plain = PLAIN.matcher(typed);
        if (!typed.isEmpty() && plain.matches()) {
            return new Typed.Read<>(new BigDecimal(("0" + typed).replace(',', '.')));
        }
        Matcher grouped = GROUPED.matcher(typed);
        if (grouped.matches() && !grouped.group(2).equals(grouped.group(3))) {
            String whole = grouped.group(1).replaceAll("\\D", "");
            return new Typed.Read<>(new BigDecimal(grouped.group(4) == null ? whole : whole + "." + grouped.group(4)));
        }
        return new Typed.Unread<>("No number can be read in \"" + typed + "\"");
    }

    /** As {@link #read}, of something measured: either mark is a decimal one. */
    static Typed<BigDecimal> measured(String typed) {
        Typed<BigDecimal> read = read(typed);
        return read instanceof Typed.Ask<BigDecimal> ask
                ? new Typed.Read<>(ask.readings().get(1))
                : read;
    }
}
