package wrenchnotes.core.diagnosis.history;

import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import java.util.Set;
import java.util.stream.Collectors;

/** How often what was found in the closed book, for patterns. */
public final class FindingCounts {

    private FindingCounts() {}

    /** How many jobs of each revision were handed over. @param from in milliseconds since 1970 @param only one revision; empty for all */
    public static Map<Long, Integer> jobs(ClosedBook book, long from, OptionalLong only) {
        Map<Long, Integer> counts = new HashMap<>();
        for (int job = 0; job < book.size(); job++) {
            if (book.handedOver(job) >= from && (only.isEmpty() || only.getAsLong() == book.revision(job))) {
                counts.merge(book.revision(job), 1, Integer::sum);
            }
        }
        return counts;
    }

    /**
     * @param from jobs handed over then or later, in milliseconds since 1970
     * @param only one revision; empty for all
     * @param open faults of units that are in the shop now: a comeback counts before it is mended
     */
    public static Map<FindingSort, FindingCount> of(
            ClosedBook book, long from, OptionalLong only, Collection<Comeback.AtFault> open) {
        Map<Long, List<Comeback.AtFault>> here = open.stream().collect(Collectors.groupingBy(Comeback.AtFault::unit));
        Map<FindingSort, FindingCount> counts = new HashMap<>();
        for (int job = 0; job < book.size(); job++) {
            if (book.handedOver(job) < from || book.firstFound(job) == book.endOfFound(job)) {
                continue;
            }
            Set<Integer> seen = new HashSet<>();
            for (int at = book.firstFound(job); at < book.endOfFound(job); at++) {
                boolean first = seen.add(book.fault(at));
                if (only.isEmpty() || only.getAsLong() == book.foundOn(at)) {
                    FindingSort sort = new FindingSort(
                            book.foundOn(at), book.fault(at), book.kind(at), book.ownership(job), book.remedy(at));
                    boolean back = book.kind(at).fault() && book.cameBack(job, at, here);
                    FindingCount one = new FindingCount(1, first ? 1 : 0, back ? 1 : 0);
                    counts.merge(sort, one, FindingCount::plus);
                }
            }
        }
        return counts;
    }
}
