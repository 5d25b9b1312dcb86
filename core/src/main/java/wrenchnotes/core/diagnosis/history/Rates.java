package wrenchnotes.core.diagnosis.history;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.history.Where.Level;

/**
 * What is to be expected of a unit before anything is said of it: its faults, how often each, and what each shows.
 *
 * @param faults most frequent first
 * @param shows by symptom, how likely each fault shows it
 * @param leaks by symptom, how likely it is told of though no fault here explains it
 * @param extras how many further faults a unit with a fault has, 0 to 1
 * @param nothingWrong how many units that come have nothing wrong with them, 0 to below 1
 * @param unmet how often a unit has a fault that is none of these, above 0, in the measure of the rates
 * @param told by symptom, in how many units of any kind it is told of: that is what a fault that nobody has met shows
 * @param groups faults that came together
 * @param fresh symptoms that are new to the shop: that nobody speaks of them says nothing yet
 * @param behindStrengths by fault, of how many jobs with it what it shows is known, common practice counted in; above 0
 */
public record Rates(
        List<Rated> faults,
        Map<String, Map<FaultName, Double>> shows,
        Map<String, Double> leaks,
        double extras,
        double nothingWrong,
        double unmet,
        Map<String, Double> told,
        List<Group> groups,
        Set<String> fresh,
        Map<FaultName, Double> behindStrengths) {

    /** Before any job is closed: about one in eight has a second fault. Ours, no source. */
    static final double USUAL_EXTRAS = 0.12;
    /** Before any job is closed. Common practice, no source. */
    static final double USUALLY_NOTHING = 0.03;
    /** So much of a rate stays, however much of it came with others. Ours, no source. */
    private static final double AT_LEAST = 0.1;

    private static final double MOST_SURE = 0.95;

    public Rates {
        faults = List.copyOf(faults);
        shows = Map.copyOf(shows);
        leaks = Map.copyOf(leaks);
        told = Map.copyOf(told);
        groups = List.copyOf(groups);
        fresh = Set.copyOf(fresh);
        behindStrengths = Map.copyOf(behindStrengths);
    }

    /** With nothing suspected, and as usual before any job is closed. */
    public Rates(List<Rated> faults, Map<String, Map<FaultName, Double>> shows, Map<String, Double> leaks) {
        this(faults, shows, leaks, USUAL_EXTRAS, USUALLY_NOTHING, 0, Map.of(), List.of(), Set.of(), Map.of());
    }

    /**
     * Faults that were found together, and nothing else, often enough to be told apart from chance: a fall, a spill.
     *
     * @param id tells groups of a model from each other
     * @param faults two or more; one, where the others were found
     * @param rate of units that have just these, above 0 and below 1
     */
    public record Group(String id, Set<FaultName> faults, double rate) {

        public Group {
            faults = Set.copyOf(faults);
        }

        private Set<FaultName> but(Set<FaultName> some) {
            Set<FaultName> left = new TreeSet<>(faults);
            left.removeAll(some);
            return left;
        }

        /** Once some of it was found: how likely the rest is there. Empty if none of it was found, or nothing is left. @param rates of each fault */
        private Optional<Group> after(Set<FaultName> found, Map<FaultName, Double> rates) {
            Set<FaultName> left = but(found);
            double most = faults.stream()
                    .filter(found::contains)
                    .mapToDouble(fault -> rate / rates.getOrDefault(fault, 1.0))
                    .max()
                    .orElse(0);
            return left.isEmpty() || most <= 0
                    ? Optional.empty()
                    : Optional.of(new Group(id, left, Math.min(MOST_SURE, most)));
        }
    }

    /** The jobs behind a rate: the most specific level that has the fault at all. */
    public record Behind(Level level, int count, int outOf) {}

    /**
     * @param rate of units that have it, above 0 and below 1
     * @param had jobs that had it, those lent by the wider levels counted in
     * @param of out of so many
     */
    public record Rated(FaultName fault, double rate, double had, double of, Behind behind) {}

    /** The rate of a fault by itself, what came with others taken out. */
    public double alone(Rated rated) {
        double together = groups.stream()
                .filter(group -> group.faults().contains(rated.fault()))
                .mapToDouble(Group::rate)
                .sum();
        return Math.max(AT_LEAST * rated.rate(), rated.rate() - together);
    }

    /** How many further faults a unit has, those out that came together as ever. */
    public double extrasAlone() {
        double together = groups.stream()
                .mapToDouble(group -> group.rate() * (group.faults().size() - 1))
                .sum();
        return Math.max(AT_LEAST * extras, extras - together);
    }

    /** The same after some faults were found: what comes with them is likely, and other groups are not to be expected. */
    public Rates after(Set<FaultName> found) {
        Map<FaultName, Double> by = new LinkedHashMap<>();
        faults.forEach(rated -> by.put(rated.fault(), rated.rate()));
        List<Group> left = groups.stream()
                .flatMap(group -> group.after(found, by).stream())
                .toList();
        return new Rates(faults, shows, leaks, extrasAlone(), nothingWrong, unmet, told, left, fresh, behindStrengths);
    }

    /** The same with some faults that cannot be there: their parts are new. What else came with them may be there as before. */
    public Rates without(Set<FaultName> gone) {
        List<Group> left = groups.stream()
                .map(group -> new Group(group.id(), group.but(gone), group.rate()))
                .filter(group -> !group.faults().isEmpty())
                .toList();
        return new Rates(faults, shows, leaks, extras, nothingWrong, unmet, told, left, fresh, behindStrengths);
    }

    /** The same with other faults and what they show. */
    public Rates with(List<Rated> others, Map<String, Map<FaultName, Double>> show) {
        return new Rates(others, show, leaks, extras, nothingWrong, unmet, told, groups, fresh, behindStrengths);
    }

    /** Whether closed jobs had a fault so often at least. */
    public boolean knows(FaultName fault, int times) {
        return faults.stream()
                .anyMatch(rated -> rated.fault().equals(fault) && rated.behind().count() >= times);
    }

    /** Whether a fault is known to show one of these symptoms, one time in ten or more. */
    public boolean showsAny(FaultName fault, Collection<String> symptoms) {
        return symptoms.stream()
                .anyMatch(word -> shows.getOrDefault(word, Map.of()).getOrDefault(fault, 0.0) >= 0.1);
    }

    public boolean speaksOf(String symptom) {
        return shows.containsKey(symptom);
    }

    public Map<String, Rated> byWords() {
        Map<String, Rated> by = new LinkedHashMap<>();
        faults.forEach(rated -> by.put(rated.fault().words(), rated));
        return by;
    }
}
