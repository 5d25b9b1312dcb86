package wrenchnotes.core.diagnosis.history;

/**
 * Which components of a revision are worth a look whatever the unit came for: at fault in a fifth at least of the last
 * {@value #LAST_JOBS} closed jobs of the revision, and in three or more. The bounds are ours; no source.
 */
public final class OftenWrong {

    public static final int LAST_JOBS = 500;
    private static final int LEAST_JOBS = 3;
    private static final int ONE_IN = 5;

    private OftenWrong() {}

    /**
     * @param jobs in how many of them it was at fault
     * @param of out of how many
     */
    public static boolean is(int jobs, int of) {
        return jobs >= LEAST_JOBS && jobs * ONE_IN >= of;
    }
}
