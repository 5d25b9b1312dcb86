package wrenchnotes.server.finder;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.TreeMap;
import org.apache.commons.text.similarity.LevenshteinDistance;

/**
 * The shop's words, for slips of the finger: a word that nothing begins with is most likely the nearest that something does. Up to one letter wrong, missing
 * or too many in short words, two from {@value #LONG} letters on; two letters exchanged are two wrong.
 */
final class Slips {

    private static final int LONG = 5;
    private static final int SHORTEST = 4;

    private final NavigableMap<String, Integer> words;

    /** @param words in how many rows each stands */
    Slips(Map<String, Integer> words) {
        this.words = new TreeMap<>(words);
    }

    /** Words that are known or begin one stay; the others become the nearest. Empty if that changes nothing. */
    Optional<SearchWords> meant(SearchWords typed) {
        List<String> meant = typed.words().stream()
                .map(word -> nearest(word.toLowerCase(Locale.ROOT)).orElse(word))
                .toList();
        return meant.equals(typed.words()) ? Optional.empty() : Optional.of(new SearchWords(meant));
    }

    private Optional<String> nearest(String word) {
        String next = words.ceilingKey(word);
        if (word.length() < SHORTEST || next != null && next.startsWith(word)) {
            return Optional.empty();
        }
        int most = word.length() < LONG ? 1 : 2;
        LevenshteinDistance distance = new LevenshteinDistance(most);
        long letters = letters(word);
        return words.entrySet().stream()
                .filter(entry -> Math.abs(entry.getKey().length() - word.length()) <= most)
                .filter(entry -> Long.bitCount(letters ^ letters(entry.getKey())) <= 2 * most)
                .map(entry -> new Near(entry.getKey(), distance.apply(word, entry.getKey()), entry.getValue()))
                .filter(near -> near.apart() >= 0)
                .min(Comparator.comparingInt(Near::apart).thenComparing(Near::rows, Comparator.reverseOrder()))
                .map(Near::word);
    }

    private record Near(String word, int apart, int rows) {}

    /** Which letters are in it: words that are near share most, and that is quickly seen. */
    private static long letters(String word) {
        long letters = 0;
        for (int n = 0; n < word.length(); n++) {
            letters |= 1L << (word.charAt(n) & 63);
        }
        return letters;
    }
}
