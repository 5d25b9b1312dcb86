package wrenchnotes.core.diagnosis.history;

import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.OptionalLong;
import java.util.Set;

/**
 * Jobs that were handed over, and faults that were found in them, month by month.
 *
 * @param jobs by revision, of each month
 * @param faults by revision and fault, in how many of these jobs, of each month
 */
public record FaultMonths(Map<Long, int[]> jobs, Map<FaultOn, int[]> faults) {

    public record FaultOn(long revision, long fault) {}

    /**
     * @param starts when each month begins, in milliseconds since 1970, the earliest first
     * @param end of the last one
     * @param only one revision; empty for all
     */
    public static FaultMonths of(ClosedBook book, long[] starts, long end, OptionalLong only) {
        Map<Long, int[]> jobs = new HashMap<>();
        Map<FaultOn, int[]> faults = new HashMap<>();
        for (int job = 0; job < book.size(); job++) {
            long at = book.handedOver(job);
            if (at < starts[0] || at >= end) {
                continue;
            }
            int found = Arrays.binarySearch(starts, at);
            int month = found >= 0 ? found : -found - 2;
            if (only.isEmpty() || only.getAsLong() == book.revision(job)) {
                jobs.computeIfAbsent(book.revision(job), none -> new int[starts.length])[month]++;
            }
            Set<FaultOn> seen = new HashSet<>();
            for (int n = book.firstFound(job); n < book.endOfFound(job); n++) {
                FaultOn one = new FaultOn(book.foundOn(n), book.fault(n));
                if (book.kind(n).fault() && (only.isEmpty() || only.getAsLong() == one.revision()) && seen.add(one)) {
                    faults.computeIfAbsent(one, none -> new int[starts.length])[month]++;
                }
            }
        }
        return new FaultMonths(jobs, faults);
    }
}
