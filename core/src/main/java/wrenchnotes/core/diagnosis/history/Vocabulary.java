package wrenchnotes.core.diagnosis.history;

import java.util.Collection;
import java.util.List;
import java.util.Map;

/**
 * The shop's words for what a unit shows.
 *
 * @param words in the order in which they came in
 * @param areas by word, what it is about (power, picture, sound); a word without one stands alone
 */
public record Vocabulary(List<String> words, Map<String, String> areas) {

    public Vocabulary {
        words = List.copyOf(words);
        areas = Map.copyOf(areas);
    }

    public static Vocabulary of(Collection<String> words) {
        return new Vocabulary(List.copyOf(words), Map.of());
    }
}
