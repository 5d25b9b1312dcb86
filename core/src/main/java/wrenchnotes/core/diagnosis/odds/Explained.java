package wrenchnotes.core.diagnosis.odds;

/**
 * The exact posterior of each fault, forward and backward over the faults: the state is which of the told symptoms are explained so far, by a leak
 * or by a fault that is there, and whether the main fault was met ({@link Coming}). Every term is positive, so no digits are lost, however
 * unlikely what is seen is. Time grows with the faults and with m · 2^m of the told symptoms (forward-backward: Baum; published, from memory; noisy-OR as
 * which cause explained it: Pearl).
 */
public final class Explained {

    private final Evidence seen;
    private final Coming coming;
    private final int told;
    private final int states;

    private Explained(FaultModel model, Evidence seen) {
        this.seen = seen;
        this.coming = Coming.of(model);
        this.told = seen.present().length;
        this.states = 1 << told;
    }

    /**
     * @param evidence how likely what is seen is in the model
     * @param none how likely nothing of the model is wrong
     * @param probabilities of each fault, in the order of the model
     */
    public record Marginals(double evidence, double none, double[] probabilities) {}

    /** What was explained so far, as {@link Coming.Chance} has it; two of the three stay as they are where they do not count. */
    private record Sums(double[] nothing, double[] without, double[] met) {}

    /** @return evidence 0, and probabilities without meaning, if what is seen cannot happen in this model */
    static Marginals marginals(FaultModel model, Evidence seen) {
        return new Explained(model, seen).marginals();
    }

    private Marginals marginals() {
        int n = coming.faults();
        // Of all sums only every √n-th is kept, and those between are made anew on the way back: memory grows with √n.
        int every = (int) Math.ceil(Math.sqrt(n));
        Sums[] kept = new Sums[(n + every - 1) / every];
        double[] byLeaks = byLeaks();
        Sums now = new Sums(byLeaks, byLeaks, new double[states]);
        for (int at = 0; at < n; at++) {
            if (at % every == 0) {
                kept[at / every] = now;
            }
            now = with(now, at);
        }
        Coming.Chance end = coming.atTheEnd();
        double all = end.nothing() * now.nothing()[states - 1]
                + end.without() * now.without()[states - 1]
                + end.met() * now.met()[states - 1];
        double[] joint = new double[n];
        Sums back = new Sums(ended(end.nothing()), ended(end.without()), ended(end.met()));
        for (int block = kept.length - 1; block >= 0; block--) {
            int last = Math.min(n, (block + 1) * every);
            Sums[] before = new Sums[last - block * every];
            before[0] = kept[block];
            for (int at = 1; at < before.length; at++) {
                before[at] = with(before[at - 1], block * every + at - 1);
            }
            for (int at = last - 1; at >= block * every; at--) {
                back = back(back, before[at - block * every], at, joint);
            }
        }
        double[] probabilities = new double[n];
        for (int at = 0; at < n; at++) {
            probabilities[at] = Math.min(1, joint[at] / all);
        }
        return new Marginals(all, coming.nothing() * byLeaks[states - 1] / all, probabilities);
    }

    private double[] byLeaks() {
        double[] sums = new double[states];
        for (int state = 0; state < states; state++) {
            double product = seen.absent();
            for (int symptom = 0; symptom < told; symptom++) {
                double away = seen.present()[symptom];
                product *= (state >> symptom & 1) == 1 ? 1 - away : away;
            }
            sums[state] = product;
        }
        return sums;
    }

    private double[] ended(double counts) {
        double[] sums = new double[states];
        sums[states - 1] = counts;
        return sums;
    }

    private Sums with(Sums before, int fault) {
        double beside = coming.beside()[fault];
        double[] there = spread(before.without(), fault);
        double[] without = mixed(before.without(), 1 - beside, there, beside);
        if (coming.main().isEmpty()) {
            return new Sums(before.nothing(), without, before.met());
        }
        double[] met = mixed(before.met(), 1 - beside, spread(before.met(), fault), beside);
        add(met, there, coming.asMain()[fault]);
        double[] nothing = coming.aside()[fault]
                ? mixed(before.nothing(), 1 - beside, spread(before.nothing(), fault), beside)
                : before.nothing();
        return new Sums(nothing, without, met);
    }

    /** What the faults behind this one are worth from each state, with this one in it; and what it has to do with all of it. */
    private Sums back(Sums after, Sums before, int fault, double[] joint) {
        double beside = coming.beside()[fault];
        double[] withoutThere = gathered(after.without(), fault);
        joint[fault] += beside * product(before.without(), withoutThere);
        double[] without = mixed(after.without(), 1 - beside, withoutThere, beside);
        if (coming.main().isEmpty()) {
            return new Sums(after.nothing(), without, after.met());
        }
        double asMain = coming.asMain()[fault];
        double[] metThere = gathered(after.met(), fault);
        joint[fault] += beside * product(before.met(), metThere) + asMain * product(before.without(), metThere);
        add(without, metThere, asMain);
        double[] nothing = after.nothing();
        if (coming.aside()[fault]) {
            double[] nothingThere = gathered(after.nothing(), fault);
            joint[fault] += beside * product(before.nothing(), nothingThere);
            nothing = mixed(after.nothing(), 1 - beside, nothingThere, beside);
        }
        return new Sums(nothing, without, mixed(after.met(), 1 - beside, metThere, beside));
    }

    private static double product(double[] one, double[] other) {
        double sum = 0;
        for (int state = 0; state < one.length; state++) {
            sum += one[state] * other[state];
        }
        return sum;
    }

    /** With the fault there, it explains each told symptom that nothing explained yet with its strength, and none of the absent ones. */
    private double[] spread(double[] sums, int fault) {
        return there(sums, fault, true);
    }

    /** The same looked at from behind: what a state is worth by the states that it becomes. */
    private double[] gathered(double[] sums, int fault) {
        return there(sums, fault, false);
    }

    private double[] there(double[] sums, int fault, boolean forward) {
        double[] there = sums.clone();
        for (int symptom = 0; symptom < told; symptom++) {
            double spared = seen.presentBy()[symptom][fault];
            if (spared == 1) {
                continue;
            }
            int bit = 1 << symptom;
            for (int state = 0; state < states; state++) {
                if ((state & bit) != 0) {
                    continue;
                }
                if (forward) {
                    there[state | bit] += there[state] * (1 - spared);
                    there[state] *= spared;
                } else {
                    there[state] = there[state] * spared + there[state | bit] * (1 - spared);
                }
            }
        }
        return times(there, seen.absentBy()[fault]);
    }

    private static double[] times(double[] sums, double factor) {
        if (factor != 1) {
            for (int state = 0; state < sums.length; state++) {
                sums[state] *= factor;
            }
        }
        return sums;
    }

    private static double[] mixed(double[] one, double share, double[] other, double otherShare) {
        double[] sums = new double[one.length];
        for (int state = 0; state < sums.length; state++) {
            sums[state] = one[state] * share + other[state] * otherShare;
        }
        return sums;
    }

    private static void add(double[] to, double[] other, double share) {
        for (int state = 0; state < to.length; state++) {
            to[state] += other[state] * share;
        }
    }
}
