package wrenchnotes.server.diagnosis;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.history.Rates;
import wrenchnotes.core.diagnosis.odds.Diagnosis;

/**
 * What a unit is likely to have, and what to check next.
 *
 * @param ofRevision how many closed jobs of the revision stand behind it
 * @param ofModel how many of the model
 * @param left how many less likely faults are not told
 * @param somethingElse how likely none of the faults is there
 */
public record UnitOdds(
        int ofRevision,
        int ofModel,
        List<LikelyFault> faults,
        int left,
        List<Diagnosis.Together> together,
        Optional<Double> somethingElse,
        double leftOut,
        boolean trusted,
        List<Diagnosis.Outside> outside,
        List<CheckAdvice> next) {

    /** The same fault was mended on this unit before. */
    public record EarlierFix(long jobId, Remedy remedy, Instant handedOverAt, long daysAgo, boolean underWarranty) {}

    /**
     * @param componentId empty if the model has no such component: the fault is from the shipped table
     * @param low a tenth of what rates and strengths may be puts the probability there or below
     * @param high a tenth puts it there or above
     * @param minutesTo to get at it from what is open; empty if no notes lead there
     * @param out whether it was found and dealt with on this stay
     * @param overruled a person's word on it
     */
    public record LikelyFault(
            FaultName fault,
            Optional<Long> componentId,
            Optional<Long> faultId,
            double probability,
            double low,
            double high,
            Rates.Behind behind,
            Optional<Double> minutesTo,
            boolean out,
            Optional<EvidenceStore.OverruledRow> overruled,
            Optional<EarlierFix> earlier) {}

    /**
     * @param ask whether it is a symptom to be asked for or tried rather than a component
     * @param componentId of the component
     * @param onTheWay components to look at on the way there, nearest first; bits and minutes are of all of it
     */
    public record CheckAdvice(
            String what,
            boolean ask,
            Optional<Means> how,
            Optional<Long> componentId,
            List<String> onTheWay,
            double bits,
            double minutes,
            double likely,
            List<FaultName> settles) {}
}
