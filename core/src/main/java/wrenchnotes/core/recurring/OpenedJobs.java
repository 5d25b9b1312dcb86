package wrenchnotes.core.recurring;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.history.ClosedBook;
import wrenchnotes.core.diagnosis.history.FoundRows;
import wrenchnotes.core.diagnosis.history.Names;
import wrenchnotes.core.diagnosis.history.Where;

/**
 * The jobs that could have had a fault: those in which a unit of its model was open, and which of them had it.
 *
 * @param jobs in the order in which they were closed
 */
public record OpenedJobs(List<OpenedJob> jobs) {

    /**
     * @param job its number
     * @param same whether the revision itself was open, not another one of the model
     * @param had whether the fault was found; on another revision, a fault that counts as the same
     * @param handedOver in milliseconds since 1970
     */
    public record OpenedJob(long job, boolean same, boolean had, Ownership ownership, long handedOver) {}

    /**
     * @param one the fault of a revision
     * @param from jobs handed over then or later, in milliseconds since 1970
     * @param end and before then
     */
    public static OpenedJobs of(ClosedBook book, Names names, FaultOn one, Narrowed narrowed, long from, long end) {
        Where where = names.revisions().get(one.revision());
        FaultName fault = names.faults().get(one.fault());
        Set<Long> ofModel = where == null ? Set.of() : ofModel(names, where.model());
        List<OpenedJob> jobs = new ArrayList<>();
        for (int job = 0; where != null && job < book.size(); job++) {
            long at = book.handedOver(job);
            if (at < from || at >= end || !narrowed.job(book, job)) {
                continue;
            }
            boolean same = false;
            boolean model = false;
            for (long revision : opened(book, job)) {
                same |= revision == one.revision();
                model |= ofModel.contains(revision);
            }
            if (same || model) {
                jobs.add(new OpenedJob(
                        book.id(job), same, had(book, names, job, one, same, fault), book.ownership(job), at));
            }
        }
        return new OpenedJobs(List.copyOf(jobs));
    }

    private static Set<Long> ofModel(Names names, long model) {
        return names.revisions().values().stream()
                .filter(where -> where.model() == model)
                .map(Where::revision)
                .collect(Collectors.toSet());
    }

    private static boolean had(ClosedBook book, Names names, int job, FaultOn one, boolean same, FaultName fault) {
        FoundRows found = book.found();
        for (int at = book.firstFound(job); at < book.endOfFound(job); at++) {
            boolean counts = same
                    ? found.on(at) == one.revision() && found.fault(at) == one.fault()
                    : names.faults().get((long) found.fault(at)).equals(fault);
            if (counts && found.kind(at).fault()) {
                return true;
            }
        }
        return false;
    }

    /** Each revision that was open in a job, once: the unit's own, what was seen inside it, and what anything was found on. */
    static long[] opened(ClosedBook book, int job) {
        int[] inside = book.inside(job);
        int from = book.firstFound(job);
        if (inside.length == 0 && onItself(book, job)) {
            return new long[] {book.revision(job)};
        }
        long[] all = new long[1 + inside.length + book.endOfFound(job) - from];
        int size = 0;
        size = put(all, size, book.revision(job));
        for (int revision : inside) {
            size = put(all, size, revision);
        }
        for (int at = from; at < book.endOfFound(job); at++) {
            size = put(all, size, book.found().on(at));
        }
        return size == all.length ? all : Arrays.copyOf(all, size);
    }

    private static boolean onItself(ClosedBook book, int job) {
        for (int at = book.firstFound(job); at < book.endOfFound(job); at++) {
            if (book.found().on(at) != book.revision(job)) {
                return false;
            }
        }
        return true;
    }

    private static int put(long[] all, int size, long revision) {
        for (int at = 0; at < size; at++) {
            if (all[at] == revision) {
                return size;
            }
        }
        all[size] = revision;
        return size + 1;
    }
}
