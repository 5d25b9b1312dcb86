package wrenchnotes.core.diagnosis.history;

/**
 * A unit comes back with a component when a later stay has a fault of the same component, whatever the fault is and whatever became
 * of it. Stays of a unit follow one another by check-in. The definition is ours; no source.
 */
public final class Comeback {

    private Comeback() {}

    /**
     * A component that was at fault in a stay of a unit.
     *
     * @param checkedIn when the stay began, in milliseconds since 1970
     * @param job its number, which tells stays of the same millisecond apart
     */
    public record AtFault(long unit, long component, long checkedIn, long job) {}

    /** Whether {@code later} is a comeback of {@code earlier}. */
    public static boolean is(AtFault earlier, AtFault later) {
        return earlier.unit() == later.unit()
                && earlier.component() == later.component()
                && follows(earlier.checkedIn(), earlier.job(), later.checkedIn(), later.job());
    }

    /** Whether a stay of a unit is later than another. */
    static boolean follows(long checkedIn, long job, long laterCheckedIn, long laterJob) {
        return laterCheckedIn != checkedIn ? laterCheckedIn > checkedIn : laterJob > job;
    }
}
