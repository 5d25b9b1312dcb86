package wrenchnotes.core.diagnosis.odds;

import java.util.List;
import java.util.Set;

/**
 * What is seen, ready to be weighed: for each symptom how likely it stays away, by its leak and by each fault.
 *
 * @param present for each symptom that is there: 1 − leak
 * @param presentBy for each of them, 1 − strength by fault
 * @param absent the product of 1 − leak over the symptoms that are not there
 * @param absentBy by fault, the product of 1 − strength over the symptoms that are not there
 */
record Evidence(double[] present, double[][] presentBy, double absent, double[] absentBy) {

    static Evidence of(FaultModel model, Set<String> present, Set<String> absent) {
        return of(model, present, absent, 0);
    }

    /**
     * @param silence from 0 to 1: how much it counts that nobody spoke of a symptom, once one is told; 0 not at all, 1 as much as if it was asked for and
     *     denied
     */
    static Evidence of(FaultModel model, Set<String> present, Set<String> absent, double silence) {
        List<FaultModel.ModelSymptom> there =
                present.stream().map(id -> model.symptom("present", id)).toList();
        double[] leaks =
                there.stream().mapToDouble(symptom -> 1 - symptom.leak()).toArray();
        double[][] by = there.stream().map(model::spared).toArray(double[][]::new);
        double away = 1;
        double[] awayBy = new double[model.faults().size()];
        java.util.Arrays.fill(awayBy, 1);
        for (String id : absent) {
            away *= away(model, model.symptom("absent", id), 1, awayBy);
        }
        if (silence > 0 && !present.isEmpty()) {
            for (String id : model.listed()) {
                if (!present.contains(id) && !absent.contains(id)) {
                    away *= away(model, model.symptom("symptoms", id), silence, awayBy);
                }
            }
        }
        return new Evidence(leaks, by, away, awayBy);
    }

    /** A symptom that is not there, to a power: each fault's part is multiplied in, the leak's is the answer. */
    private static double away(FaultModel model, FaultModel.ModelSymptom symptom, double power, double[] awayBy) {
        double[] spared = model.spared(symptom);
        for (int at = 0; at < awayBy.length; at++) {
            awayBy[at] *= Math.pow(spared[at], power);
        }
        return Math.pow(1 - symptom.leak(), power);
    }

    /** Before any fault: how likely each symptom that is there would stay away, and last how likely the absent ones do. */
    double[] spared() {
        double[] spared = java.util.Arrays.copyOf(present, present.length + 1);
        spared[present.length] = absent;
        return spared;
    }

    /** The same with one fault more. */
    double[] with(double[] spared, int fault) {
        double[] next = spared.clone();
        for (int at = 0; at < present.length; at++) {
            next[at] *= presentBy[at][fault];
        }
        next[present.length] *= absentBy[fault];
        return next;
    }

    /** How likely all of it is seen with those faults. */
    double likelihood(double[] spared) {
        double likelihood = spared[present.length];
        for (int at = 0; at < present.length; at++) {
            likelihood *= 1 - spared[at];
        }
        return likelihood;
    }
}
