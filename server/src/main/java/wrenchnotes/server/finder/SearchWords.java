package wrenchnotes.server.finder;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;

/**
 * What somebody types into the finder: each word is the beginning of a word.
 *
 * @param words at most {@value #MOST}
 */
record SearchWords(List<String> words) {

    private static final int MOST = 8;

    static SearchWords of(String text) {
        return new SearchWords(Arrays.stream(text.split("[^\\p{L}\\p{N}]+"))
                .filter(word -> !word.isBlank())
                .limit(MOST)
                .toList());
    }

    boolean none() {
        return words.isEmpty();
    }

    /** All of them, quoted, so that nothing typed is read as query syntax. */
    String all() {
        return words.stream().map(SearchWords::beginning).collect(Collectors.joining(" "));
    }

    /** All of them, and at least one in what the row itself says, not only in what it is about. */
    String allOfItsOwn() {
        return "({words} : (" + words.stream().map(SearchWords::beginning).collect(Collectors.joining(" OR "))
                + ")) AND (" + words.stream().map(SearchWords::beginning).collect(Collectors.joining(" AND ")) + ")";
    }

    private static String beginning(String word) {
        return "\"" + word + "\"*";
    }

    @Override
    public String toString() {
        return String.join(" ", words);
    }
}
