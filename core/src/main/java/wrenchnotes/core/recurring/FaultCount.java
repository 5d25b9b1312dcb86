package wrenchnotes.core.recurring;

import java.util.List;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.pattern.Share;

/**
 * How often a fault was found on a revision.
 *
 * @param share of the jobs that had such a unit open, in how many it was found; each job counts once, however often it was found there
 * @param customer how many of these were customers' units
 * @param resale how many were resale units
 * @param cameBack after how many of these the unit was back for the same component
 * @param byMonth in how many jobs of each month, the earliest first
 * @param rising whether it is called rising, among all faults at once
 * @param q the least error rate at which it would be, 0 to 1
 * @param few fewer than {@value #TOO_FEW} jobs in all: no rank is given to what is said of so few
 */
public record FaultCount(
        FaultOn on,
        Share share,
        int customer,
        int resale,
        int cameBack,
        List<Integer> byMonth,
        List<RemedyCount> remedies,
        boolean rising,
        double q,
        boolean few) {

    /** Below it nothing is ranked. */
    public static final int TOO_FEW = 5;

    /**
     * @param done how often it was done and did something
     * @param failed how often it changed nothing: then it was something else
     * @param cameBack after how many of those that were done the unit was back for the same component
     */
    public record RemedyCount(Remedy remedy, int done, int failed, int cameBack) {}
}
