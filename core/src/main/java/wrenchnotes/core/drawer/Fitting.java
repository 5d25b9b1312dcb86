package wrenchnotes.core.drawer;

import java.util.Arrays;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Which part of a drawer may stand in for something: by the words and the sizes that both are described with. A help for the
 * eye, not a verdict: whether it fits is decided with both in the hand.
 */
public final class Fitting {

    private Fitting() {}

    /**
     * @param wanted how the notes describe what is wanted: "case, cross PH1, 2.9 × 12 mm, tapping, black"
     * @param part name of a part and what it is
     * @return words they share, sizes counted twice; 0 if nothing speaks for it, 2 and up worth a look
     */
    public static int score(String wanted, String part) {
        Set<String> have = words(part);
        return words(wanted).stream()
                .filter(have::contains)
                .mapToInt(word -> Character.isDigit(word.charAt(0)) ? 2 : 1)
                .sum();
    }

    private static Set<String> words(String text) {
        // "M2" is a size of 2 to whoever looks for one.
        String plain = text.toLowerCase(Locale.ROOT).replaceAll("\\bm(?=\\d)", "");
        return Arrays.stream(plain.split("[^\\p{L}\\p{N}.]+"))
                .filter(word -> !word.isEmpty()
                        && !word.equals("mm")
                        && (word.length() > 1 || Character.isDigit(word.charAt(0))))
                .collect(Collectors.toSet());
    }
}
