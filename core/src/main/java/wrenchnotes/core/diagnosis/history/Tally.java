package wrenchnotes.core.diagnosis.history;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import wrenchnotes.core.diagnosis.FaultName;

/** What was seen in some jobs, each counted by how much it weighs. */
final class Tally {

    private double jobs;
    private double none;
    private double further;
    private final Map<Long, Double> byModel = new LinkedHashMap<>();
    private final Map<FaultName, Double> faults = new LinkedHashMap<>();
    private final Map<FaultName, Map<String, Double>> shown = new LinkedHashMap<>();
    private final Map<Set<FaultName>, Double> together = new LinkedHashMap<>();
    private final Map<String, Double> leaked = new LinkedHashMap<>();

    void add(PastJob job, Credits credits, double weight) {
        found(job.where(), job.faults(), credits, weight);
        none += job.faults().isEmpty() ? weight : 0;
        further += Math.max(0, job.faults().size() - 1) * weight;
        credits.leaked().forEach((symptom, credit) -> leaked.merge(symptom, credit * weight, Double::sum));
    }

    /** Of a sub-assembly: what else the unit had says nothing of it. */
    void found(Where where, Set<FaultName> its, Credits credits, double weight) {
        jobs += weight;
        byModel.merge(where.model(), weight, Double::sum);
        its.forEach(fault -> faults.merge(fault, weight, Double::sum));
        if (its.size() > 1) {
            together.merge(its, weight, Double::sum);
        }
        credits.shown()
                .forEach((symptom, by) -> by.forEach((fault, credit) -> {
                    if (its.contains(fault)) {
                        shown.computeIfAbsent(fault, name -> new LinkedHashMap<>())
                                .merge(symptom, credit * weight, Double::sum);
                    }
                }));
    }

    void scale(double factor) {
        jobs *= factor;
        none *= factor;
        further *= factor;
        byModel.replaceAll((model, weight) -> weight * factor);
        faults.replaceAll((fault, weight) -> weight * factor);
        shown.values().forEach(by -> by.replaceAll((symptom, weight) -> weight * factor));
        together.replaceAll((faults, weight) -> weight * factor);
        leaked.replaceAll((symptom, weight) -> weight * factor);
    }

    double jobs() {
        return jobs;
    }

    double none() {
        return none;
    }

    double further() {
        return further;
    }

    Map<Long, Double> byModel() {
        return byModel;
    }

    Set<FaultName> faults() {
        return faults.keySet();
    }

    double of(FaultName fault) {
        return faults.getOrDefault(fault, 0.0);
    }

    double shown(FaultName fault, String symptom) {
        return shown.getOrDefault(fault, Map.of()).getOrDefault(symptom, 0.0);
    }

    /** Jobs in which just these were found. */
    double together(Set<FaultName> faults) {
        return together.getOrDefault(faults, 0.0);
    }

    double leaked(String symptom) {
        return leaked.getOrDefault(symptom, 0.0);
    }
}
