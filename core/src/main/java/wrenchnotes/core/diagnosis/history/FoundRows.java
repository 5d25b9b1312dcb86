package wrenchnotes.core.diagnosis.history;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import wrenchnotes.core.diagnosis.FindingKind;
import wrenchnotes.core.diagnosis.Remedy;

/** What was found in closed jobs, a column an array: about 27 bytes a finding. Each finding is asked for by where it stands, from 0 to {@link #size()}. */
public final class FoundRows {

    private static final Remedy[] REMEDIES = Remedy.values();
    private static final FindingKind[] KINDS = FindingKind.values();

    private final Columns.Ints on = new Columns.Ints();
    private final Columns.Ints fault = new Columns.Ints();
    private final Columns.Ints component = new Columns.Ints();
    private final Columns.Bytes remedy = new Columns.Bytes();
    private final Columns.Bytes failed = new Columns.Bytes();
    private final Columns.Bytes kind = new Columns.Bytes();
    private final Columns.Ints supplier = new Columns.Ints();
    private final RemedyChanges changes = new RemedyChanges();
    /** Which fault of which revision, by numbers that have no gaps. */
    private final Columns.Ints sort = new Columns.Ints();

    private final Map<Long, Integer> sorts = new HashMap<>();
    private final List<int[]> sorted = new ArrayList<>();

    void add(List<ClosedJob.FoundFault> found) {
        for (ClosedJob.FoundFault one : found) {
            on.add(one.revision());
            fault.add(one.fault());
            component.add(one.component());
            remedy.add(one.remedy().ordinal());
            failed.add(one.failed() ? 1 : 0);
            kind.add(one.kind().ordinal());
            supplier.add(one.supplier());
            changes.add(one.changed());
            sort.add(sortOf(one));
        }
    }

    private int sortOf(ClosedJob.FoundFault one) {
        return sorts.computeIfAbsent(one.revision() << Integer.SIZE | one.fault(), key -> {
            sorted.add(new int[] {Math.toIntExact(one.revision()), Math.toIntExact(one.fault())});
            return sorted.size() - 1;
        });
    }

    /** How many faults of revisions there are: each finding is of one {@link #sort} below it. */
    public int sorts() {
        return sorted.size();
    }

    /** Which fault of which revision it is, from 0 to {@link #sorts()}. */
    public int sort(int at) {
        return sort.get(at);
    }

    /** The revision of a sort. */
    public long onOf(int sort) {
        return sorted.get(sort)[0];
    }

    /** The fault of a sort. */
    public long faultOf(int sort) {
        return sorted.get(sort)[1];
    }

    int size() {
        return fault.size();
    }

    /** The revision that it was found on: a sub-assembly's own, if it was found there. */
    public int on(int at) {
        return on.get(at);
    }

    public int fault(int at) {
        return fault.get(at);
    }

    public int component(int at) {
        return component.get(at);
    }

    public Remedy remedy(int at) {
        return REMEDIES[remedy.get(at)];
    }

    /** Whether the remedy changed nothing. */
    public boolean failed(int at) {
        return failed.get(at) > 0;
    }

    public FindingKind kind(int at) {
        return KINDS[kind.get(at)];
    }

    /** Whose part went in; {@link ClosedJob#NOBODY} if none did, or nobody knows. */
    public long supplier(int at) {
        return supplier.get(at);
    }

    /** @param told of each symptom that was watched: which, and whether it was still there */
    void changed(int at, BiConsumer<Long, Boolean> told) {
        changes.of(at, told);
    }

    long bytes() {
        return on.bytes()
                + fault.bytes()
                + component.bytes()
                + remedy.bytes()
                + failed.bytes()
                + kind.bytes()
                + supplier.bytes()
                + sort.bytes()
                + changes.bytes();
    }
}
