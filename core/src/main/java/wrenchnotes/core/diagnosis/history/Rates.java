package wrenchnotes.core.diagnosis.history;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.statistics.distribution.BetaDistribution;
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
 */
public record Rates(
        List<Rated> faults,
        Map<String, Map<FaultName, Double>> shows,
        Map<String, Double> leaks,
        double extras,
        double nothingWrong) {

    private static final double TAIL = 0.1;
    /** Before any job is closed: about one in eight has a second fault. Ours, no source. */
    static final double USUAL_EXTRAS = 0.12;
    /** Before any job is closed. Common practice, no source. */
    static final double USUALLY_NOTHING = 0.03;

    public Rates {
        faults = List.copyOf(faults);
        shows = Map.copyOf(shows);
        leaks = Map.copyOf(leaks);
    }

    /** With nothing suspected, and as usual before any job is closed. */
    public Rates(List<Rated> faults, Map<String, Map<FaultName, Double>> shows, Map<String, Double> leaks) {
        this(faults, shows, leaks, USUAL_EXTRAS, USUALLY_NOTHING);
    }

    /** The jobs behind a rate: the most specific level that has the fault at all. */
    public record Behind(Level level, int count, int outOf) {}

    /**
     * @param rate of units that have it, above 0 and below 1
     * @param had jobs that had it, those lent by the wider levels counted in
     * @param of out of so many
     */
    public record Rated(FaultName fault, double rate, double had, double of, Behind behind) {

        /** Between these the rate lies four times in five: the tenths of the beta distribution of what was seen. */
        public double low() {
            return Math.min(rate, beta().inverseCumulativeProbability(TAIL));
        }

        public double high() {
            return Math.max(rate, beta().inverseSurvivalProbability(TAIL));
        }

        private BetaDistribution beta() {
            return BetaDistribution.of(Math.max(1e-3, had), Math.max(1e-3, of - had));
        }
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
