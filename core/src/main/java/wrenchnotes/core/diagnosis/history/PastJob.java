package wrenchnotes.core.diagnosis.history;

import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import wrenchnotes.core.diagnosis.FaultName;

/**
 * A closed job, as far as the next one can learn from it.
 *
 * @param faults that were found; empty if none was
 * @param present symptoms that were there when it came in
 * @param absent symptoms that were asked for and were not there
 * @param went by symptom, the faults whose remedy took it away; symptoms that nobody watched are not in it
 * @param stayed by symptom, the faults whose remedy left it there
 * @param inside by sub-assembly that was seen in it, those of its faults that are that one's too; none without any
 * @param work what it took; empty if nobody kept the time or nothing was done
 */
public record PastJob(
        Where where,
        Set<FaultName> faults,
        Set<String> present,
        Set<String> absent,
        Map<String, Set<FaultName>> went,
        Map<String, Set<FaultName>> stayed,
        Map<Where, Set<FaultName>> inside,
        Optional<Work> work) {

    /** One whose remedies nobody watched. */
    public PastJob(Where where, Set<FaultName> faults, Set<String> present, Set<String> absent, Optional<Work> work) {
        this(where, faults, present, absent, Map.of(), Map.of(), Map.of(), work);
    }

    /** The faults that may have shown a symptom: those whose remedy took it away, if any did, and none whose remedy left it. */
    Set<FaultName> mayHaveShown(String symptom) {
        Set<FaultName> may = new LinkedHashSet<>(went.getOrDefault(symptom, faults));
        may.retainAll(faults);
        may.removeAll(stayed.getOrDefault(symptom, Set.of()));
        return may;
    }

    /**
     * @param minutes at the bench, pauses left out; above 0
     * @param partsMinor what its parts cost
     */
    public record Work(double minutes, long partsMinor) {}

    public PastJob {
        faults = Set.copyOf(faults);
        present = Set.copyOf(present);
        absent = Set.copyOf(absent);
        went = Map.copyOf(went);
        stayed = Map.copyOf(stayed);
        inside = Map.copyOf(inside);
    }
}
