package wrenchnotes.core.diagnosis.history;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
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
        Set<String> fresh,
        Map<FaultName, Double> behindStrengths) {

    /** Before any job is closed: about one in eight has a second fault. Ours, no source. */
    static final double USUAL_EXTRAS = 0.12;
    /** Before any job is closed. Common practice, no source. */
    static final double USUALLY_NOTHING = 0.03;

    public Rates {
        faults = List.copyOf(faults);
        shows = Map.copyOf(shows);
        leaks = Map.copyOf(leaks);
        told = Map.copyOf(told);
        fresh = Set.copyOf(fresh);
        behindStrengths = Map.copyOf(behindStrengths);
    }

    /** With nothing suspected, and as usual before any job is closed. */
    public Rates(List<Rated> faults, Map<String, Map<FaultName, Double>> shows, Map<String, Double> leaks) {
        this(faults, shows, leaks, USUAL_EXTRAS, USUALLY_NOTHING, 0, Map.of(), Set.of(), Map.of());
    }

    /** The jobs behind a rate: the most specific level that has the fault at all. */
    public record Behind(Level level, int count, int outOf) {}

    /**
     * @param rate of units that have it, above 0 and below 1
     * @param had jobs that had it, those lent by the wider levels counted in
     * @param of out of so many
     */
    public record Rated(FaultName fault, double rate, double had, double of, Behind behind) {}

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
