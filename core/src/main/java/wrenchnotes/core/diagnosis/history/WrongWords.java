package wrenchnotes.core.diagnosis.history;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import wrenchnotes.core.diagnosis.FaultName;

/**
 * Words for what is wrong with a component that nothing was found wrong with before: those that the shop has for its like, which end in the same word ("capstan
 * belt" and "drive belt"), the most frequent first; then those that it has for anything. Ours, no source.
 */
public final class WrongWords {

    private final Map<String, Map<String, Integer>> byLike = new HashMap<>();
    private final Map<String, Integer> all = new HashMap<>();

    private WrongWords() {}

    public static WrongWords of(ClosedBook book, Names names) {
        WrongWords words = new WrongWords();
        for (int job = 0; job < book.size(); job++) {
            for (int at = book.firstFound(job); at < book.endOfFound(job); at++) {
                FaultName fault = names.faults().get((long) book.found().fault(at));
                if (book.found().kind(at).fault()) {
                    words.all.merge(fault.wrong(), 1, Integer::sum);
                    words.byLike
                            .computeIfAbsent(like(fault.component()), word -> new HashMap<>())
                            .merge(fault.wrong(), 1, Integer::sum);
                }
            }
        }
        return words;
    }

    /** @param most how many; fewer if the shop has no more */
    public List<String> offered(String component, int most) {
        return Stream.concat(frequent(byLike.getOrDefault(like(component), Map.of())), frequent(all))
                .distinct()
                .limit(most)
                .toList();
    }

    private static Stream<String> frequent(Map<String, Integer> words) {
        return words.entrySet().stream()
                .sorted(Map.Entry.<String, Integer>comparingByValue(Comparator.reverseOrder())
                        .thenComparing(Map.Entry.comparingByKey()))
                .map(Map.Entry::getKey);
    }

    private static String like(String component) {
        String name = component.strip().toLowerCase(Locale.ROOT);
        return name.substring(name.lastIndexOf(' ') + 1);
    }
}
