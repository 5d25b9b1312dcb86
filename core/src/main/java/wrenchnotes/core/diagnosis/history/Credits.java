package wrenchnotes.core.diagnosis.history;

import java.util.LinkedHashMap;
import java.util.Map;
import wrenchnotes.core.diagnosis.FaultName;

/**
 * To what the symptoms of a job are put down: a step of expectation maximisation for noisy-OR (published: Dempster, Laird and Rubin 1977; from memory). Each
 * fault that was there, and chance, takes the share with which it caused the symptom by what is known of it.
 *
 * @param shown by symptom and fault, how likely the fault caused it, 0 to 1; a fault may have caused what another caused too
 * @param leaked by symptom, how likely it came by chance
 */
record Credits(Map<String, Map<FaultName, Double>> shown, Map<String, Double> leaked) {

    /** How likely a fault, or chance, shows a symptom on a unit, as far as is known. */
    interface Known {
        double strength(FaultName fault, String symptom);

        double leak(String symptom);
    }

    static Credits of(PastJob job, Known known) {
        Map<String, Map<FaultName, Double>> shown = new LinkedHashMap<>();
        Map<String, Double> leaked = new LinkedHashMap<>();
        for (String symptom : job.present()) {
            // What went with a remedy was there because of what it mended, not by chance.
            double leak = job.went().containsKey(symptom) ? 0 : known.leak(symptom);
            double away = 1 - leak;
            Map<FaultName, Double> by = new LinkedHashMap<>();
            for (FaultName fault : job.mayHaveShown(symptom)) {
                double strength = known.strength(fault, symptom);
                by.put(fault, strength);
                away *= 1 - strength;
            }
            double there = Math.max(1e-9, 1 - away);
            by.replaceAll((fault, strength) -> strength / there);
            shown.put(symptom, by);
            leaked.put(symptom, leak / there);
        }
        return new Credits(shown, leaked);
    }
}
