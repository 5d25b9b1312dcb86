package wrenchnotes.core.diagnosis.history;

/** Which jobs are stays of the same unit, in columns: 4 bytes a job and 4 a unit. */
final class StaysOfUnits {

    static final int NONE = -1;

    private final Columns.Ints unit = new Columns.Ints();
    /** The job of the same unit that was added before it. */
    private final Columns.Ints before = new Columns.Ints();
    /** By unit: its job that was added last. */
    private final Columns.Ints last = new Columns.Ints(NONE);

    /** Adds the next job. Jobs of no unit follow on none. */
    void add(long of) {
        int job = unit.size();
        unit.add(of);
        before.add(last.get(unit.get(job)));
        last.set(unit.get(job), of == ClosedJob.NO_UNIT ? NONE : job);
    }

    int unit(int job) {
        return unit.get(job);
    }

    /** The stay of a unit that was added last; {@link #NONE} without any. */
    int last(long of) {
        return last.get(Math.toIntExact(of));
    }

    /** The one of the same unit that was added before a stay; {@link #NONE} before the first. */
    int before(int stay) {
        return before.get(stay);
    }

    long bytes() {
        return unit.bytes() + before.bytes() + last.bytes();
    }
}
