package wrenchnotes.core.diagnosis.odds;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.history.Rates;
import wrenchnotes.core.diagnosis.history.Where.Level;

/**
 * Faults that no record has and that something on the bench speaks of: a component was seen bad whose faults nobody has ever written down,
 * or a symptom came with a remedy. They stand among the others and take their share of the odds. The figures are ours, no source.
 */
public final class Suspects {

    private static final String UNNAMED = "something wrong with it";
    private static final String OURS = "disturbed by our work";

    /** How often a component has a fault that nobody has met yet. */
    private static final double UNHEARD_OF = 0.02;
    /** How likely such a fault is behind a symptom that was told. */
    private static final double EXPLAINS = 0.2;
    /** How often work on a component disturbs something that was good. */
    private static final double DISTURBED = 0.05;
    /** How likely what came with a remedy is its doing, once it disturbed something. */
    private static final double POINTS = 0.7;

    private Suspects() {}

    /** Whether it is what our own work may have disturbed: it has nothing to do with why the unit came. */
    static boolean isOurs(FaultName fault) {
        return fault.wrong().equals(OURS);
    }

    /** The rates with whatever else is suspected; the same if nothing is. */
    public static Rates beside(Rates history, Known known) {
        Rates rates = afterwards(history, known);
        Set<String> onRecord =
                rates.faults().stream().map(rated -> rated.fault().component()).collect(Collectors.toSet());
        Map<FaultName, Map<String, Double>> suspects = new LinkedHashMap<>();
        Map<FaultName, Double> rated = new LinkedHashMap<>();
        known.looks().stream()
                .filter(look -> !look.good() && !onRecord.contains(look.component()))
                .map(look -> new FaultName(look.component(), UNNAMED))
                .forEach(fault -> {
                    rated.put(fault, UNHEARD_OF);
                    suspects.put(
                            fault, known.present().stream().collect(Collectors.toMap(word -> word, word -> EXPLAINS)));
                });
        known.done().stream().filter(done -> !done.came().isEmpty()).forEach(done -> {
            FaultName fault = new FaultName(done.fault().component(), OURS);
            rated.put(fault, DISTURBED);
            suspects.computeIfAbsent(fault, name -> new LinkedHashMap<>());
            done.came().forEach(word -> suspects.get(fault).put(word, POINTS));
        });
        return suspects.isEmpty() ? rates : joined(rates, rated, suspects);
    }

    /** What was done changes what is to be expected of what came with it. */
    private static Rates afterwards(Rates history, Known known) {
        Set<FaultName> found = done(known, one -> !one.failed());
        Set<FaultName> renewed = done(known, one -> one.failed() && one.remedy() == Remedy.REPLACED);
        Rates rates = renewed.isEmpty() ? history : history.without(renewed);
        return found.isEmpty() ? rates : rates.after(found);
    }

    private static Set<FaultName> done(Known known, Predicate<Known.Done> which) {
        return known.done().stream().filter(which).map(Known.Done::fault).collect(Collectors.toSet());
    }

    private static Rates joined(
            Rates rates, Map<FaultName, Double> rated, Map<FaultName, Map<String, Double>> suspects) {
        List<Rates.Rated> faults = new ArrayList<>(rates.faults());
        rated.forEach((fault, rate) ->
                faults.add(new Rates.Rated(fault, rate, rate, 1, new Rates.Behind(Level.SHIPPED, 0, 0))));
        Map<String, Map<FaultName, Double>> shows = new LinkedHashMap<>();
        rates.shows().forEach((word, by) -> {
            Map<FaultName, Double> all = new LinkedHashMap<>(by);
            suspects.forEach((fault, words) -> {
                if (words.containsKey(word)) {
                    all.put(fault, words.get(word));
                }
            });
            shows.put(word, all);
        });
        return rates.with(faults, shows);
    }
}
