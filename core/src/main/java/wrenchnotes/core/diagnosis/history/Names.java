package wrenchnotes.core.diagnosis.history;

import java.util.List;
import java.util.Map;
import java.util.Set;
import wrenchnotes.core.diagnosis.FaultName;

/**
 * What the numbers in the closed book stand for today. Things are renamed and words are merged: the book keeps numbers, and what is
 * learned of it is learned anew when one of them means something else.
 *
 * @param revisions by number
 * @param faults by number
 * @param words by number, the word that each stands for after all merges
 * @param spoken words that stand for themselves, oldest first
 * @param components by number of the model, their names in lower case
 */
public record Names(
        Map<Long, Where> revisions,
        Map<Long, FaultName> faults,
        Map<Long, String> words,
        List<String> spoken,
        Map<Long, Set<String>> components) {

    public static final Names NONE = new Names(Map.of(), Map.of(), Map.of(), List.of(), Map.of());

    public Names {
        revisions = Map.copyOf(revisions);
        faults = Map.copyOf(faults);
        words = Map.copyOf(words);
        spoken = List.copyOf(spoken);
        components = Map.copyOf(components);
    }

    /** Whether what each number meant it still means in {@code later}; there may be more. */
    public boolean keptBy(Names later) {
        return later.revisions.entrySet().containsAll(revisions.entrySet())
                && later.faults.entrySet().containsAll(faults.entrySet())
                && later.words.entrySet().containsAll(words.entrySet());
    }
}
