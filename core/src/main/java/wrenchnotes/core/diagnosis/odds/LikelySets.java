package wrenchnotes.core.diagnosis.odds;

import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * The posterior as sets of faults, the likeliest first, for what needs to know which come together: all of them that matter, or as many as can be gone
 * through quickly.
 */
public final class LikelySets {

    /** What is left of the weight matters to nobody. */
    private static final double ENOUGH = 1 - 1e-7;

    private static final int MOST = 1_500;

    private final FaultModel model;
    private final List<Weighed> sets;
    private final double[] shares;

    /** @param faults places in the model */
    record Weighed(int[] faults, double weight) {}

    private LikelySets(FaultModel model, List<Weighed> sets) {
        this.model = model;
        this.sets = sets;
        double all = sets.stream().mapToDouble(Weighed::weight).sum();
        this.shares = sets.stream().mapToDouble(set -> set.weight() / all).toArray();
    }

    /** @param sorted likeliest first @param total weight of all that were weighed */
    static LikelySets of(FaultModel model, List<Weighed> sorted, double total) {
        double reached = 0;
        int taken = 0;
        while (taken < sorted.size() && taken < MOST && reached < ENOUGH * total) {
            reached += sorted.get(taken++).weight();
        }
        return new LikelySets(model, List.copyOf(sorted.subList(0, taken)));
    }

    public int size() {
        return shares.length;
    }

    /** Of each set; they add up to 1. */
    public double[] shares() {
        return shares.clone();
    }

    List<Weighed> sets() {
        return sets;
    }

    /** The same as if nobody's silence on a symptom had counted. @param silence how much it did */
    public LikelySets before(FaultModel.ModelSymptom symptom, double silence) {
        double[] shows = shows(symptom);
        return new LikelySets(
                model,
                IntStream.range(0, size())
                        .mapToObj(at -> new Weighed(
                                sets.get(at).faults(),
                                sets.get(at).weight() / Math.pow(Math.max(1e-9, 1 - shows[at]), silence)))
                        .toList());
    }

    /** Of each set, how likely it shows a symptom. */
    public double[] shows(FaultModel.ModelSymptom symptom) {
        double[] spared = model.spared(symptom);
        double[] shows = new double[sets.size()];
        for (int at = 0; at < shows.length; at++) {
            double away = 1 - symptom.leak();
            for (int fault : sets.get(at).faults()) {
                away *= spared[fault];
            }
            shows[at] = 1 - away;
        }
        return shows;
    }

    /** How likely none of some faults is there. @param ids of faults of the model */
    double noneOf(Set<String> ids) {
        double none = 0;
        for (int at = 0; at < shares.length; at++) {
            boolean any = Arrays.stream(sets.get(at).faults())
                    .anyMatch(fault -> ids.contains(model.faults().get(fault).id()));
            none += any ? 0 : shares[at];
        }
        return Math.min(1, none);
    }

    /** How likely each fault is, in the order of the model, if the sets had other shares. @param weights of each set */
    public double[] marginals(double[] weights) {
        double all = Arrays.stream(weights).sum();
        double[] marginals = new double[model.faults().size()];
        for (int at = 0; at < weights.length; at++) {
            for (int fault : sets.get(at).faults()) {
                marginals[fault] += weights[at] / all;
            }
        }
        return marginals;
    }
}
