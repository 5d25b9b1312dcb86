package wrenchnotes.core.diagnosis.history;

import java.util.Optional;
import java.util.Set;
import wrenchnotes.core.diagnosis.FaultName;

/**
 * A closed job, as far as the next one can learn from it.
 *
 * @param faults that were found; empty if none was
 * @param present symptoms that were there when it came in
 * @param absent symptoms that were asked for and were not there
 * @param worked whether it left the shop working; empty if there was no fault to mend
 * @param work what it took; empty if nobody kept the time or nothing was done
 */
public record PastJob(
        Where where,
        Set<FaultName> faults,
        Set<String> present,
        Set<String> absent,
        Optional<Boolean> worked,
        Optional<Work> work) {

    /**
     * @param minutes at the bench, pauses left out; above 0
     * @param partsMinor what its parts cost
     */
    public record Work(double minutes, long partsMinor) {}

    public PastJob {
        faults = Set.copyOf(faults);
        present = Set.copyOf(present);
        absent = Set.copyOf(absent);
    }
}
