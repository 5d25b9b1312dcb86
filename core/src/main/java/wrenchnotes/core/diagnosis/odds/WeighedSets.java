package wrenchnotes.core.diagnosis.odds;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;

/** Weighs sets of faults from the smallest on, each by its chance times how well it explains what is seen. */
final class WeighedSets {

    private static final int SETS_TOLD = 8;

    private final FaultModel model;
    private final Evidence evidence;
    private final Coming coming;
    private final double[] marginal;
    private final PriorityQueue<Weighed> best = new PriorityQueue<>(Comparator.comparingDouble(Weighed::weight));
    private double total;
    private double none;

    private record Weighed(List<Integer> faults, double weight) {}

    WeighedSets(FaultModel model, Evidence evidence) {
        this.model = model;
        this.evidence = evidence;
        this.coming = Coming.of(model);
        this.marginal = new double[coming.faults()];
    }

    /** @return a bound of the share of the posterior that was not weighed */
    double untilEnough(long most) {
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
            choose(0, size, new ArrayList<>(), Coming.Chance.START, evidence.spared());
            larger -= sizes[size];
            if (size < n && total > 0 && Math.max(0, larger) / total <= Odds.ENOUGH) {
                return Math.max(0, larger) / total;
            }
            ofSize = ofSize * (n - size) / (size + 1);
        }
        return 0;
    }

    private void choose(int from, int left, List<Integer> set, Coming.Chance so, double[] spared) {
        if (left == 0) {
            Coming.Chance all = so;
            for (int at = from; at < coming.faults(); at++) {
                all = coming.without(all, at);
            }
            weigh(set, coming.of(all) * evidence.likelihood(spared));
            return;
        }
        Coming.Chance skipped = so;
        for (int at = from; at <= coming.faults() - left; at++) {
            set.add(at);
            choose(at + 1, left - 1, set, coming.with(skipped, at), evidence.with(spared, at));
            set.remove(set.size() - 1);
            skipped = coming.without(skipped, at);
        }
    }

    private void weigh(List<Integer> set, double weight) {
        if (weight <= 0) {
            return;
        }
        total += weight;
        none += set.isEmpty() ? weight : 0;
        set.forEach(at -> marginal[at] += weight);
        if (best.size() < SETS_TOLD || weight > best.peek().weight()) {
            best.add(new Weighed(List.copyOf(set), weight));
            if (best.size() > SETS_TOLD) {
                best.poll();
            }
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
        double[] share = new double[marginal.length];
        for (int at = 0; at < share.length; at++) {
            share[at] = marginal[at] / total;
        }
        return share;
    }

    /** The likeliest, likeliest first. @param all what their weights are shares of */
    List<Odds.SetOdds> told(double all) {
        return best.stream()
                .sorted(Comparator.comparingDouble(Weighed::weight).reversed())
                .map(set -> new Odds.SetOdds(
                        set.faults().stream()
                                .map(at -> model.faults().get(at).id())
                                .toList(),
                        set.weight() / all))
                .toList();
    }
}
