package wrenchnotes.core.diagnosis.odds;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;
import java.util.Set;
import wrenchnotes.core.unit.Invalid;

/**
 * How likely each fault is, given which symptoms are there and which are not.
 *
 * <p>Up to {@value #ALL_SETS} faults every set of faults is weighed: exact. With more, sets are weighed from the smallest on
 * until what is left out, at most the prior chance of a larger set over the weight found, is below {@value #ENOUGH}; if that
 * would take too many sets, the exact posterior is summed over the subsets of the symptoms that are there (published:
 * Heckerman's Quickscore; from memory), and only the sets are left incomplete.
 *
 * @param faults in the order of the model
 * @param sets the likeliest sets of faults, likeliest first; the empty one means that nothing of the model is wrong
 * @param leftOut no more than this share of the posterior was not weighed; 0 if all of it was
 */
public record Odds(List<FaultOdds> faults, List<SetOdds> sets, double leftOut) {

    static final int ALL_SETS = 18;
    static final double ENOUGH = 1e-6;
    private static final long MOST_SETS = 60_000;
    private static final int MOST_PRESENT = 16;
    private static final int SETS_TOLD = 8;

    public record FaultOdds(String id, double probability) {}

    public record SetOdds(List<String> faults, double probability) {}

    /**
     * @param present ids of symptoms that are there
     * @param absent ids of symptoms that were asked for and are not there
     * @throws Invalid if a symptom is unknown or is said to be both, or if what is said cannot happen in this model
     */
    public static Odds of(FaultModel model, Set<String> present, Set<String> absent) {
        for (String id : present) {
            if (absent.contains(id)) {
                throw new Invalid("absent", "\"" + id + "\" is said to be there and not to be there");
            }
        }
        Evidence evidence = Evidence.of(model, present, absent);
        int n = model.faults().size();
        Weighing weighing = new Weighing(model, evidence);
        double leftOut = 0;
        if (n <= ALL_SETS) {
            weighing.setsUpTo(n);
        } else {
            leftOut = weighing.untilEnough(MOST_SETS);
        }
        if (leftOut > ENOUGH && present.size() <= MOST_PRESENT) {
            Quickscore.Marginals exact = Quickscore.marginals(model, evidence);
            if (exact.trusted()) {
                return weighing.withMarginals(exact);
            }
        }
        return weighing.odds(leftOut);
    }

    /** Weighs sets of faults, each by its prior times how well it explains what is seen. */
    private static final class Weighing {

        private final FaultModel model;
        private final Evidence evidence;
        private final double[] ratio;
        private final double[] marginal;
        private final PriorityQueue<Network> best = new PriorityQueue<>(Comparator.comparingDouble(Network::weight));
        private double noFault = 1;
        private double total;

        private record Network(List<Integer> faults, double weight) {}

        Weighing(FaultModel model, Evidence evidence) {
            this.model = model;
            this.evidence = evidence;
            int n = model.faults().size();
            ratio = new double[n];
            marginal = new double[n];
            for (int at = 0; at < n; at++) {
                double prior = model.faults().get(at).prior();
                noFault *= 1 - prior;
                ratio[at] = prior / (1 - prior);
            }
        }

        void setsUpTo(int size) {
            extend(0, size, new ArrayList<>(), noFault, evidence.spared());
        }

        /** @return a bound of the share that was not weighed */
        double untilEnough(long most) {
            double[] sizes = sizes();
            double larger = 1;
            long sets = 0;
            long ofSize = 1;
            int n = model.faults().size();
            for (int size = 0; size <= n; size++) {
                sets += ofSize;
                if (sets > most) {
                    break;
                }
                exactly(size);
                larger -= sizes[size];
                double bound = total > 0 ? Math.max(0, larger) / total : 1;
                if (bound <= ENOUGH) {
                    return bound;
                }
                ofSize = ofSize * (n - size) / (size + 1);
            }
            return total > 0 ? Math.min(1, Math.max(0, larger) / total) : 1;
        }

        /** How likely so many faults are there at once, before anything is known. */
        private double[] sizes() {
            int n = model.faults().size();
            double[] sizes = new double[n + 2];
            sizes[0] = 1;
            for (int at = 0; at < n; at++) {
                double prior = model.faults().get(at).prior();
                for (int size = at + 1; size > 0; size--) {
                    sizes[size] = sizes[size] * (1 - prior) + sizes[size - 1] * prior;
                }
                sizes[0] *= 1 - prior;
            }
            return sizes;
        }

        private void exactly(int size) {
            choose(0, size, new ArrayList<>(), noFault, evidence.spared());
        }

        private void choose(int from, int left, List<Integer> set, double prior, double[] spared) {
            if (left == 0) {
                weigh(set, prior * evidence.likelihood(spared));
                return;
            }
            for (int at = from; at <= model.faults().size() - left; at++) {
                set.add(at);
                choose(at + 1, left - 1, set, prior * ratio[at], evidence.with(spared, at));
                set.remove(set.size() - 1);
            }
        }

        private void extend(int from, int most, List<Integer> set, double prior, double[] spared) {
            weigh(set, prior * evidence.likelihood(spared));
            if (set.size() < most) {
                for (int at = from; at < model.faults().size(); at++) {
                    set.add(at);
                    extend(at + 1, most, set, prior * ratio[at], evidence.with(spared, at));
                    set.remove(set.size() - 1);
                }
            }
        }

        private void weigh(List<Integer> set, double weight) {
            if (weight <= 0) {
                return;
            }
            total += weight;
            set.forEach(at -> marginal[at] += weight);
            if (best.size() < SETS_TOLD || weight > best.peek().weight()) {
                best.add(new Network(List.copyOf(set), weight));
                if (best.size() > SETS_TOLD) {
                    best.poll();
                }
            }
        }

        Odds odds(double leftOut) {
            if (total <= 0) {
                throw impossible();
            }
            double[] share = new double[marginal.length];
            for (int at = 0; at < share.length; at++) {
                share[at] = marginal[at] / total;
            }
            return new Odds(faultOdds(share), setOdds(total), leftOut);
        }

        /** The faults exactly; the sets as far as they were weighed. */
        Odds withMarginals(Quickscore.Marginals exact) {
            if (exact.evidence() <= 0) {
                throw impossible();
            }
            return new Odds(
                    faultOdds(exact.probabilities()),
                    setOdds(exact.evidence()),
                    Math.max(0, 1 - total / exact.evidence()));
        }

        private List<FaultOdds> faultOdds(double[] share) {
            List<FaultOdds> odds = new ArrayList<>();
            for (int at = 0; at < share.length; at++) {
                odds.add(new FaultOdds(model.faults().get(at).id(), share[at]));
            }
            return odds;
        }

        private List<SetOdds> setOdds(double all) {
            return best.stream()
                    .sorted(Comparator.comparingDouble(Network::weight).reversed())
                    .map(set -> new SetOdds(
                            set.faults().stream()
                                    .map(at -> model.faults().get(at).id())
                                    .toList(),
                            set.weight() / all))
                    .toList();
        }

        private static Invalid impossible() {
            return new Invalid(
                    "present",
                    "Nothing in the model can show these symptoms together: give one of them a leak or a cause");
        }
    }
}
