package wrenchnotes.core.diagnosis.odds;

/**
 * The exact posterior of each fault by inclusion and exclusion over the symptoms that are there: the time grows with two to
 * their number, and with the number of faults only in proportion (published: Heckerman 1989, Quickscore; from memory).
 */
public final class Quickscore {

    /** What rounding may take from each term, and a million times that to be worth six digits. */
    private static final double LOST = 1e-16 * 1e6;

    private Quickscore() {}

    /**
     * @param evidence how likely what is seen is in the model
     * @param probabilities of each fault, in the order of the model
     * @param trusted false if so little is left of the sum that rounding may have eaten it
     */
    public record Marginals(double evidence, double[] probabilities, boolean trusted) {}

    static Marginals marginals(FaultModel model, Evidence seen) {
        int n = model.faults().size();
        double all = 0;
        double[] joint = new double[n];
        int subsets = 1 << seen.present().length;
        for (int subset = 0; subset < subsets; subset++) {
            double term = Integer.bitCount(subset) % 2 == 0 ? seen.absent() : -seen.absent();
            double[] by = seen.absentBy().clone();
            for (int at = 0; at < seen.present().length; at++) {
                if ((subset >> at & 1) == 1) {
                    term *= seen.present()[at];
                    for (int fault = 0; fault < n; fault++) {
                        by[fault] *= seen.presentBy()[at][fault];
                    }
                }
            }
            for (int fault = 0; fault < n; fault++) {
                double prior = model.faults().get(fault).prior();
                term *= 1 - prior + prior * by[fault];
            }
            all += term;
            for (int fault = 0; fault < n; fault++) {
                double prior = model.faults().get(fault).prior();
                joint[fault] += term * prior * by[fault] / (1 - prior + prior * by[fault]);
            }
        }
        double[] probabilities = new double[n];
        for (int fault = 0; fault < n; fault++) {
            probabilities[fault] = Math.min(1, Math.max(0, joint[fault] / all));
        }
        return new Marginals(all, probabilities, all > subsets * LOST);
    }
}
