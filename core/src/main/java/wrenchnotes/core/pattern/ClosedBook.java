package wrenchnotes.core.pattern;

import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import java.util.Set;
import java.util.stream.Collectors;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.diagnosis.Remedy;

/**
 * All closed jobs in memory, a column an array: about 45 bytes a job and 13 a finding. Jobs are added as they are closed and counted from
 * first to last, so that any filter is as quick as none. Numbers of rows must fit an {@code int}.
 *
 * <p>Not safe for several threads: whoever holds it lets one add, or many count.
 */
public final class ClosedBook {

    private static final int NONE = -1;

    private int jobs;
    private long[] id = new long[0];
    private long[] checkedIn = new long[0];
    private long[] handedOver = new long[0];
    private int[] revision = new int[0];
    private int[] unit = new int[0];
    private byte[] ownership = new byte[0];
    /** Where the findings of a job begin; they end where those of the next do. */
    private int[] firstFound = new int[0];
    /** The job of the same unit that was added before it. */
    private int[] sameUnitBefore = new int[0];
    /** By unit: its job that was added last. */
    private int[] lastOfUnit = new int[0];

    private int findings;
    private int[] foundOn = new int[0];
    private int[] fault = new int[0];
    private int[] component = new int[0];
    private byte[] remedy = new byte[0];

    public int size() {
        return jobs;
    }

    /** What the columns take, in bytes. */
    public long bytes() {
        return id.length * (3L * Long.BYTES + 4L * Integer.BYTES + Byte.BYTES)
                + lastOfUnit.length * (long) Integer.BYTES
                + fault.length * (3L * Integer.BYTES + Byte.BYTES);
    }

    /** Adds a job, once. */
    public void add(ClosedJob job) {
        grow(job);
        id[jobs] = job.id();
        checkedIn[jobs] = job.checkedIn();
        handedOver[jobs] = job.handedOver();
        revision[jobs] = Math.toIntExact(job.revision());
        unit[jobs] = Math.toIntExact(job.unit());
        ownership[jobs] = (byte) job.ownership().ordinal();
        firstFound[jobs] = findings;
        sameUnitBefore[jobs] = lastOfUnit[unit[jobs]];
        lastOfUnit[unit[jobs]] = jobs;
        for (ClosedJob.FoundFault found : job.found()) {
            foundOn[findings] = Math.toIntExact(found.revision());
            fault[findings] = Math.toIntExact(found.fault());
            component[findings] = Math.toIntExact(found.component());
            remedy[findings] = (byte) found.remedy().ordinal();
            findings++;
        }
        jobs++;
    }

    private void grow(ClosedJob job) {
        if (jobs == id.length) {
            int size = larger(id.length, jobs + 1);
            id = Arrays.copyOf(id, size);
            checkedIn = Arrays.copyOf(checkedIn, size);
            handedOver = Arrays.copyOf(handedOver, size);
            revision = Arrays.copyOf(revision, size);
            unit = Arrays.copyOf(unit, size);
            ownership = Arrays.copyOf(ownership, size);
            firstFound = Arrays.copyOf(firstFound, size);
            sameUnitBefore = Arrays.copyOf(sameUnitBefore, size);
        }
        if (job.unit() >= lastOfUnit.length) {
            int before = lastOfUnit.length;
            lastOfUnit = Arrays.copyOf(lastOfUnit, larger(before, Math.toIntExact(job.unit()) + 1));
            Arrays.fill(lastOfUnit, before, lastOfUnit.length, NONE);
        }
        int needed = findings + job.found().size();
        if (needed > fault.length) {
            int size = larger(fault.length, needed);
            foundOn = Arrays.copyOf(foundOn, size);
            fault = Arrays.copyOf(fault, size);
            component = Arrays.copyOf(component, size);
            remedy = Arrays.copyOf(remedy, size);
        }
    }

    private static int larger(int length, int least) {
        return Math.max(least, Math.max(16, length + length / 4));
    }

    /** How many jobs of a revision were handed over. */
    public Map<Long, Integer> jobsByRevision(long from, OptionalLong only) {
        Map<Long, Integer> counts = new HashMap<>();
        for (int job = 0; job < jobs; job++) {
            if (handedOver[job] >= from && (only.isEmpty() || only.getAsLong() == revision[job])) {
                counts.merge((long) revision[job], 1, Integer::sum);
            }
        }
        return counts;
    }

    /** What is counted together. */
    public record Sort(long revision, long fault, Ownership ownership, Remedy remedy) {}

    /**
     * @param findings how many times it was found and so remedied
     * @param jobs in how many jobs, each counted with the remedy that was tried first
     * @param comebacks how many of the findings were followed by a {@link Comeback}
     */
    public record Count(int findings, int jobs, int comebacks) {

        Count plus(Count other) {
            return new Count(findings + other.findings, jobs + other.jobs, comebacks + other.comebacks);
        }
    }

    /**
     * @param from jobs handed over then or later, in milliseconds since 1970
     * @param only one revision; empty for all
     * @param open faults of units that are in the shop now: a comeback counts before it is mended
     */
    public Map<Sort, Count> count(long from, OptionalLong only, Collection<Comeback.AtFault> open) {
        Map<Long, List<Comeback.AtFault>> here = open.stream().collect(Collectors.groupingBy(Comeback.AtFault::unit));
        Map<Sort, Count> counts = new HashMap<>();
        for (int job = 0; job < jobs; job++) {
            if (handedOver[job] < from || firstFound[job] == endOf(job)) {
                continue;
            }
            Set<Integer> seen = new HashSet<>();
            for (int at = firstFound[job]; at < endOf(job); at++) {
                boolean first = seen.add(fault[at]);
                if (only.isEmpty() || only.getAsLong() == foundOn[at]) {
                    Sort sort = new Sort(
                            foundOn[at], fault[at], Ownership.values()[ownership[job]], Remedy.values()[remedy[at]]);
                    Count one = new Count(1, first ? 1 : 0, cameBack(job, at, here) ? 1 : 0);
                    counts.merge(sort, one, Count::plus);
                }
            }
        }
        return counts;
    }

    private int endOf(int job) {
        return job + 1 < jobs ? firstFound[job + 1] : findings;
    }

    private boolean cameBack(int job, int at, Map<Long, List<Comeback.AtFault>> here) {
        Comeback.AtFault now = new Comeback.AtFault(unit[job], component[at], checkedIn[job], id[job]);
        for (int stay = lastOfUnit[unit[job]]; stay != NONE; stay = sameUnitBefore[stay]) {
            if (stay != job
                    && Comeback.follows(checkedIn[job], id[job], checkedIn[stay], id[stay])
                    && has(stay, component[at])) {
                return true;
            }
        }
        return here.getOrDefault(now.unit(), List.of()).stream().anyMatch(later -> Comeback.is(now, later));
    }

    private boolean has(int job, int wanted) {
        for (int at = firstFound[job]; at < endOf(job); at++) {
            if (component[at] == wanted) {
                return true;
            }
        }
        return false;
    }
}
