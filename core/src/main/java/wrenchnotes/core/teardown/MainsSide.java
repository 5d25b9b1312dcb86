package wrenchnotes.core.teardown;

import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Which things of a unit are on its mains side, by what they are called: common practice, no source. Words are matched, so a thing may be
 * taken for one too often; that is the cheaper mistake.
 */
public final class MainsSide {

    /** A pattern, case aside. */
    public static final String WORDS =
            "mains|\\binlet\\b|\\bfuse|primary|\\bsupply\\b|power (lead|cord|cable|switch|inlet|transformer)";

    private static final Pattern NAMED = Pattern.compile(WORDS, Pattern.CASE_INSENSITIVE);

    private MainsSide() {}

    public static boolean named(String... words) {
        return Stream.of(words).anyMatch(said -> NAMED.matcher(said).find());
    }
}
