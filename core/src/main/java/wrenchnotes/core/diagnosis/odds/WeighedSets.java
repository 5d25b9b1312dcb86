package wrenchnotes.core.diagnosis.odds;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/** Weighs sets of faults from the smallest on, each by its chance times how well it explains what is seen. */
final class WeighedSets {

    private static final int SETS_TOLD = 8;

    private final FaultModel model;
    private final Evidence evidence;
    private final Coming coming;
    private final double[] marginal;
    private final List<LikelySets.Weighed> weighed = new ArrayList<>();
    private double total;
    private double none;

    WeighedSets(FaultModel model, Evidence evidence) {
        this.model = model;
        this.evidence = evidence;
        this.coming = Coming.of(model);
        this.marginal = new double[coming.faults()];
    }

    /** @return a bound of the share of the posterior that was not weighed */
    double untilEnough(long most) {
        double bound = weighAll(most);
        weighed.sort(Comparator.comparingDouble(LikelySets.Weighed::weight).reversed());
        return bound;
    }

    private double weighAll(long most) {
        double[] sizes = coming.sizes();
        double larger = 1;
        double sets = 0;
        double ofSize = 1;
        int n = coming.faults();
        for (int size = 0; size <= n; size++) {
            sets += ofSize;
            if (sets > most) {
                return total > 0 ? Math.min(1, Math.max(0, larger) / total) : 1;
            }
            choose(0, new int[size], 0, Coming.Chance.START, evidence.spared());
            larger -= sizes[size];
            if (size < n && total > 0 && Math.max(0, larger) / total <= Odds.ENOUGH) {
                return Math.max(0, larger) / total;
            }
            ofSize = ofSize * (n - size) / (size + 1);
        }
        return 0;
    }

    private void choose(int from, int[] set, int chosen, Coming.Chance so, double[] spared) {
        if (chosen == set.length) {
            Coming.Chance all = so;
            for (int at = from; at < coming.faults(); at++) {
                all = coming.without(all, at);
            }
            weigh(set, coming.of(all) * evidence.likelihood(spared));
            return;
        }
        Coming.Chance skipped = so;
        for (int at = from; at <= coming.faults() - (set.length - chosen); at++) {
            set[chosen] = at;
            choose(at + 1, set, chosen + 1, coming.with(skipped, at), evidence.with(spared, at));
            skipped = coming.without(skipped, at);
        }
    }

    private void weigh(int[] set, double weight) {
        if (weight <= 0) {
            return;
        }
        total += weight;
        none += set.length == 0 ? weight : 0;
        Arrays.stream(set).forEach(at -> marginal[at] += weight);
        // What is far below what was weighed already will not be among the likeliest.
        if (weight > 1e-10 * total) {
            weighed.add(new LikelySets.Weighed(set.clone(), weight));
        }
    }

    double total() {
        return total;
    }

    /** Of that the set without any fault. */
    double none() {
        return none;
    }

    /** Of each fault, in the order of the model, its share of what was weighed. */
    double[] shares() {
        return Arrays.stream(marginal).map(weight -> weight / total).toArray();
    }

    LikelySets likeliest() {
        return LikelySets.of(model, weighed, total);
    }

    /** The likeliest, likeliest first. @param all what their weights are shares of */
    List<Odds.SetOdds> told(double all) {
        return weighed.stream()
                .limit(SETS_TOLD)
                .map(set -> new Odds.SetOdds(
                        Arrays.stream(set.faults())
                                .mapToObj(at -> model.faults().get(at).id())
                                .toList(),
                        set.weight() / all))
                .toList();
    }
}
