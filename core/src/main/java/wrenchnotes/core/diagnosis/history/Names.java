package wrenchnotes.core.diagnosis.history;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import wrenchnotes.core.diagnosis.FaultName;

/**
 * What the numbers in the closed book stand for today. Things are renamed and words are merged: the book keeps numbers, and what is
 * learned of it is learned anew when one of them means something else.
 *
 * @param revisions by number
 * @param faults by number, after all merges
 * @param words by number, the word that each stands for after all merges
 * @param vocabulary words that stand for themselves, oldest first
 * @param components by number of the model, what they count as
 * @param called by number of the model, what each of its components' names counts as
 * @param wrongs by a word for what is wrong that was merged, the one that it counts as
 */
public record Names(
        Map<Long, Where> revisions,
        Map<Long, FaultName> faults,
        Map<Long, String> words,
        Vocabulary vocabulary,
        Map<Long, Set<String>> components,
        Map<Long, Map<String, String>> called,
        Map<String, String> wrongs) {

    public static final Names NONE =
            new Names(Map.of(), Map.of(), Map.of(), Vocabulary.of(List.of()), Map.of(), Map.of(), Map.of());

    public Names {
        revisions = Map.copyOf(revisions);
        faults = Map.copyOf(faults);
        words = Map.copyOf(words);
        components = Map.copyOf(components);
        called = Map.copyOf(called);
        wrongs = Map.copyOf(wrongs);
    }

    /** Words that stand for themselves, oldest first. */
    public List<String> spoken() {
        return vocabulary.words();
    }

    /** A fault as it was said: what is wrong with which component. */
    public record SaidFault(long id, long component, String wrong) {}

    /** @param wrongs as of {@link #wrongs}, in lower case */
    public static Names of(
            Map<Long, Where> revisions,
            Collection<ComponentWords.Called> components,
            Collection<SaidFault> said,
            Map<Long, String> words,
            Vocabulary vocabulary,
            Map<String, String> wrongs) {
        Map<Long, String> meet = ComponentWords.of(components);
        Map<Long, FaultName> faults = new HashMap<>();
        said.forEach(one -> faults.put(one.id(), ComponentWords.fault(meet.get(one.component()), one.wrong(), wrongs)));
        return new Names(
                revisions,
                faults,
                words,
                vocabulary,
                ComponentWords.sets(components, meet),
                ComponentWords.byModel(components, meet),
                wrongs);
    }

    /** What a component of a model counts as; as it is called, in lower case, if the model knows none of that name. */
    public String component(long model, String name) {
        String said = name.strip().toLowerCase(Locale.ROOT);
        return called.getOrDefault(model, Map.of()).getOrDefault(said, said);
    }

    /** What a fault of a model counts as. */
    public FaultName fault(long model, FaultName said) {
        return ComponentWords.fault(component(model, said.component()), said.wrong(), wrongs);
    }

    /** Whether what each number meant it still means in {@code later}; there may be more. */
    public boolean keptBy(Names later) {
        return later.revisions.entrySet().containsAll(revisions.entrySet())
                && later.faults.entrySet().containsAll(faults.entrySet())
                && later.words.entrySet().containsAll(words.entrySet());
    }
}
