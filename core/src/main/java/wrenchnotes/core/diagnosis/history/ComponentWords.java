package wrenchnotes.core.diagnosis.history;

import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import wrenchnotes.core.diagnosis.FaultName;

/**
 * One vocabulary of components: a component that is called "drive belt" here and "belt" there, or has that as another name, is one and
 * the same to the odds. What people see on a model stays what they called it.
 *
 * <p>Of its name and its other names a component counts as the one that most models use as a name; words of the shipped table come
 * before all others, and its own name wins a tie. Two components of one model never become one: then each keeps its own name.
 */
public final class ComponentWords {

    private ComponentWords() {}

    /** @param aliases other names that people call it by */
    public record Called(long id, long model, String name, List<String> aliases) {

        Set<String> words() {
            Set<String> words = new LinkedHashSet<>();
            words.add(lower(name));
            aliases.forEach(alias -> words.add(lower(alias)));
            return words;
        }
    }

    /** By number of the component, the word that it counts as, in lower case. */
    public static Map<Long, String> of(Collection<Called> all) {
        Set<String> shipped = CommonPractice.TABLE.stream()
                .map(usual -> usual.fault().component())
                .collect(Collectors.toSet());
        Map<String, Long> models = all.stream()
                .collect(Collectors.groupingBy(
                        one -> lower(one.name()), Collectors.mapping(Called::model, countingDistinct())));
        Map<Long, String> words = new HashMap<>();
        all.forEach(one -> {
            String best = lower(one.name());
            for (String word : one.words()) {
                if (weight(word, shipped, models) > weight(best, shipped, models)) {
                    best = word;
                }
            }
            words.put(one.id(), best);
        });
        keepApart(all, words);
        return words;
    }

    private static java.util.stream.Collector<Long, ?, Long> countingDistinct() {
        return Collectors.collectingAndThen(Collectors.toSet(), set -> (long) set.size());
    }

    private static long weight(String word, Set<String> shipped, Map<String, Long> models) {
        return (shipped.contains(word) ? 1_000_000 : 0) + models.getOrDefault(word, 0L);
    }

    private static void keepApart(Collection<Called> all, Map<Long, String> words) {
        Map<List<Object>, List<Called>> together =
                all.stream().collect(Collectors.groupingBy(one -> List.<Object>of(one.model(), words.get(one.id()))));
        together.values().stream()
                .filter(ones -> ones.size() > 1)
                .forEach(ones -> ones.forEach(one -> words.put(one.id(), lower(one.name()))));
    }

    /** By model, what each name of its components counts as; what they count as counts as itself. */
    static Map<Long, Map<String, String>> byModel(Collection<Called> all, Map<Long, String> words) {
        Map<Long, Map<String, String>> byModel = new HashMap<>();
        for (Called one : all) {
            Map<String, String> of = byModel.computeIfAbsent(one.model(), model -> new HashMap<>());
            String word = words.get(one.id());
            of.putIfAbsent(word, word);
            one.words().forEach(name -> of.putIfAbsent(name, word));
        }
        // A component's own name says more than another one's alias.
        all.forEach(one -> byModel.get(one.model()).put(lower(one.name()), words.get(one.id())));
        return byModel;
    }

    /** By model, the words that its components count as. */
    static Map<Long, Set<String>> sets(Collection<Called> all, Map<Long, String> words) {
        return all.stream()
                .collect(Collectors.groupingBy(
                        Called::model,
                        Collectors.mapping(one -> words.get(one.id()), Collectors.toCollection(TreeSet::new))));
    }

    static FaultName fault(String component, String wrong, Map<String, String> wrongs) {
        FaultName said = new FaultName(component, wrong);
        return new FaultName(said.component(), wrongs.getOrDefault(said.wrong(), said.wrong()));
    }

    private static String lower(String word) {
        return word.strip().toLowerCase(Locale.ROOT);
    }
}
