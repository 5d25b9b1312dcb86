package wrenchnotes.core.recurring;

import java.util.AbstractList;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.RandomAccess;
import java.util.stream.IntStream;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.diagnosis.FindingKind;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.history.Afterwards;
import wrenchnotes.core.diagnosis.history.ClosedBook;
import wrenchnotes.core.diagnosis.history.Comeback;
import wrenchnotes.core.diagnosis.history.FoundRows;
import wrenchnotes.core.diagnosis.history.Names;
import wrenchnotes.core.pattern.Share;
import wrenchnotes.core.pattern.rises.Rising;
import wrenchnotes.core.recurring.FaultCount.RemedyCount;
import wrenchnotes.core.unit.Checked;

/**
 * What keeps failing, counted in one walk over the closed book.
 *
 * @param jobs that were looked at
 * @param faults what rises first; then by what is sure rather than by what is seen, for three of three is less than thirty of forty; what was seen in too few
 *     jobs last
 * @param upkeep what was done on principle, which is no failure of anything, the most often done first
 */
public record Recurring(int jobs, List<FaultCount> faults, List<UpkeepCount> upkeep) {

    /** @param jobs in how many it was done */
    public record UpkeepCount(long fault, Remedy remedy, int jobs) {}

    private static final Remedy[] REMEDIES = Remedy.values();
    private static final Comparator<FaultCount> ORDER = Comparator.comparing((FaultCount one) -> !one.rising())
            .thenComparing(FaultCount::few)
            .thenComparing(one -> -one.share().low())
            .thenComparing(one -> one.on().revision())
            .thenComparing(one -> one.on().fault());

    /**
     * @param months when each begins, in milliseconds since 1970, the earliest first, one or more
     * @param end of the last one
     * @param here faults of units that are in the shop now
     */
    public static Recurring of(
            ClosedBook book,
            Names names,
            Narrowed narrowed,
            List<Long> months,
            long end,
            Collection<Comeback.AtFault> here) {
        Checked.within("months", months.size(), 1, 1_200);
        Walk walk = new Walk(book, names, narrowed, months, end);
        walk.through(new Afterwards(book, here));
        Map<Integer, Rising.RisingVerdict> verdicts = walk.verdicts();
        List<FaultCount> faults = IntStream.range(0, walk.rows.length)
                .filter(sort -> walk.rows[sort] != null)
                .mapToObj(sort -> walk.rows[sort].count(walk.faultOn(sort), walk.openOf(sort), verdicts.get(sort)))
                .sorted(ORDER)
                .toList();
        return new Recurring(walk.jobs, faults, walk.upkeep());
    }

    /** A view: of thousands of faults only those that are shown are ever read. */
    private static final class MonthCounts extends AbstractList<Integer> implements RandomAccess {
        private final int[] of;

        MonthCounts(int[] of) {
            this.of = of;
        }

        @Override
        public Integer get(int month) {
            return of[month];
        }

        @Override
        public int size() {
            return of.length;
        }
    }

    /** One walk over the book. */
    private static final class Walk {
        private final ClosedBook book;
        private final Names names;
        private final Narrowed narrowed;
        private final long[] starts;
        private final long end;
        /** By sort: what is looked at. */
        private final Row[] rows;
        /** By sort: in how many jobs of each month, whether it is looked at or not. */
        private final int[][] all;
        /** By sort: the job that was counted last in {@link #all}. */
        private final int[] last;

        private final boolean[] wanted;
        /** By revision, how many jobs of each month had such a unit open. */
        private final Map<Long, int[]> open = new HashMap<>();

        private final Map<Long, Boolean> looked = new HashMap<>();
        private final Map<Long, int[]> upkeep = new HashMap<>();
        private int jobs;

        Walk(ClosedBook book, Names names, Narrowed narrowed, List<Long> months, long end) {
            this.book = book;
            this.names = names;
            this.narrowed = narrowed;
            this.starts = months.stream().mapToLong(Long::longValue).toArray();
            this.end = end;
            int sorts = book.found().sorts();
            rows = new Row[sorts];
            all = new int[sorts][];
            last = new int[sorts];
            Arrays.fill(last, -1);
            wanted = new boolean[sorts];
            for (int sort = 0; sort < sorts; sort++) {
                wanted[sort] = narrowed.fault(faultOn(sort), names);
            }
        }

        FaultOn faultOn(int sort) {
            return new FaultOn(book.found().onOf(sort), book.found().faultOf(sort));
        }

        int[] openOf(int sort) {
            return open.get(book.found().onOf(sort));
        }

        void through(Afterwards afterwards) {
            for (int job = 0; job < book.size(); job++) {
                long at = book.handedOver(job);
                if (at >= starts[0] && at < end && narrowed.job(book, job)) {
                    int found = Arrays.binarySearch(starts, at);
                    job(job, found >= 0 ? found : -found - 2, afterwards);
                }
            }
        }

        private void job(int job, int month, Afterwards afterwards) {
            opened(job, month);
            FoundRows found = book.found();
            for (int at = book.firstFound(job); at < book.endOfFound(job); at++) {
                FindingKind kind = found.kind(at);
                int sort = found.sort(at);
                if (kind.fault()) {
                    counts(sort, job, month);
                    if (wanted[sort] && narrowed.done(found, at)) {
                        rows[sort] = rows[sort] == null ? new Row(starts.length) : rows[sort];
                        rows[sort].add(job, at, month, book, afterwards.cameBack(job, at));
                    }
                } else if (kind == FindingKind.UPKEEP && wanted[sort] && narrowed.done(found, at)) {
                    upkeep.computeIfAbsent(found.faultOf(sort), fault -> new int[REMEDIES.length])[
                            found.remedy(at).ordinal()]++;
                }
            }
        }

        private void counts(int sort, int job, int month) {
            if (last[sort] != job) {
                last[sort] = job;
                all[sort] = all[sort] == null ? new int[starts.length] : all[sort];
                all[sort][month]++;
            }
        }

        private void opened(int job, int month) {
            boolean counts = false;
            for (long revision : OpenedJobs.opened(book, job)) {
                open.computeIfAbsent(revision, none -> new int[starts.length])[month]++;
                counts |= looked.computeIfAbsent(
                        revision, id -> narrowed.on(names.revisions().get(id)));
            }
            jobs += counts ? 1 : 0;
        }

        /** Over all faults at once, whichever of them are looked at: a mark must not come and go as one looks closer. */
        Map<Integer, Rising.RisingVerdict> verdicts() {
            List<Integer> sorts = IntStream.range(0, all.length)
                    .filter(sort -> all[sort] != null)
                    .boxed()
                    .toList();
            List<Rising.RisingVerdict> told = sorts.isEmpty()
                    ? List.of()
                    : Rising.of(sorts.stream()
                                    .map(sort -> new Rising.Months("", openOf(sort), all[sort]))
                                    .toList())
                            .rows();
            Map<Integer, Rising.RisingVerdict> verdicts = new HashMap<>();
            IntStream.range(0, sorts.size()).forEach(at -> verdicts.put(sorts.get(at), told.get(at)));
            return verdicts;
        }

        List<UpkeepCount> upkeep() {
            List<UpkeepCount> counts = new ArrayList<>();
            upkeep.forEach((fault, times) -> {
                for (int remedy = 0; remedy < times.length; remedy++) {
                    if (times[remedy] > 0) {
                        counts.add(new UpkeepCount(fault, REMEDIES[remedy], times[remedy]));
                    }
                }
            });
            counts.sort(Comparator.comparingInt(UpkeepCount::jobs)
                    .reversed()
                    .thenComparing(UpkeepCount::fault)
                    .thenComparing(UpkeepCount::remedy));
            return List.copyOf(counts);
        }
    }

    /** What is counted of one fault. */
    private static final class Row {
        private static final int DONE = 0;
        private static final int FAILED = 1;
        private static final int BACK = 2;
        private final int[] byMonth;
        private final int[][] remedies = new int[REMEDIES.length][];
        private int customer;
        private int resale;
        private int cameBack;
        private int last = -1;
        private boolean lastCameBack;

        Row(int months) {
            byMonth = new int[months];
        }

        void add(int job, int found, int month, ClosedBook book, boolean back) {
            if (job != last) {
                last = job;
                lastCameBack = false;
                byMonth[month]++;
                customer += book.ownership(job) == Ownership.CUSTOMER ? 1 : 0;
                resale += book.ownership(job) == Ownership.RESALE ? 1 : 0;
            }
            int remedy = book.found().remedy(found).ordinal();
            remedies[remedy] = remedies[remedy] == null ? new int[3] : remedies[remedy];
            boolean failed = book.found().failed(found);
            remedies[remedy][failed ? FAILED : DONE]++;
            remedies[remedy][BACK] += back && !failed ? 1 : 0;
            cameBack += back && !lastCameBack ? 1 : 0;
            lastCameBack |= back;
        }

        FaultCount count(FaultOn one, int[] open, Rising.RisingVerdict verdict) {
            int outOf = Arrays.stream(open).sum();
            List<RemedyCount> counts = IntStream.range(0, REMEDIES.length)
                    .filter(remedy -> remedies[remedy] != null)
                    .mapToObj(remedy -> new RemedyCount(
                            REMEDIES[remedy], remedies[remedy][DONE], remedies[remedy][FAILED], remedies[remedy][BACK]))
                    .sorted(Comparator.comparingInt((RemedyCount remedy) -> -remedy.done() - remedy.failed())
                            .thenComparing(RemedyCount::remedy))
                    .toList();
            return new FaultCount(
                    one,
                    Share.of(Arrays.stream(byMonth).sum(), outOf),
                    customer,
                    resale,
                    cameBack,
                    new MonthCounts(byMonth),
                    counts,
                    verdict.rising(),
                    verdict.q(),
                    outOf < FaultCount.TOO_FEW);
        }
    }
}
