package wrenchnotes.core.unit;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The shop tag of a unit, as it stands on its strip of tape: {@code WN-0042}. A unit keeps its tag for life.
 *
 * @param number from 1 to 9,999,999; shown with at least four digits
 */
public record Tag(int number) {

    private static final Pattern WRITTEN = Pattern.compile("(?:WN-?)?0*([1-9]\\d{0,6})");

    public Tag {
        Checked.within("tag", number, 1, 9_999_999);
    }

    public static Tag of(int number) {
        return new Tag(number);
    }

    /** Reads {@code WN-0042}, {@code wn42} or {@code 42}; empty if the text is not a tag. */
    public static Optional<Tag> parse(String text) {
        Matcher written = WRITTEN.matcher(text.strip().toUpperCase(Locale.ROOT));
        return written.matches() ? Optional.of(new Tag(Integer.parseInt(written.group(1)))) : Optional.empty();
    }

    public String text() {
        return "WN-%04d".formatted(number);
    }

    @Override
    public String toString() {
        return text();
    }
}
