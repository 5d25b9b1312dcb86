package wrenchnotes.core.diagnosis.history;

import java.time.Duration;
import java.util.Arrays;

/**
 * How long was worked on a job, by the times of what was entered at its bench: from one entry to the next. A pause lasts until
 * somebody went on, which is an entry too, and a gap of more than an hour is another day (common practice, no source).
 */
public final class BenchTime {

    private static final long ANOTHER_DAY = Duration.ofHours(1).toMillis();

    private BenchTime() {}

    /**
     * An entry as one number, so that millions of them are read quickly. Their order is that of time, and what is entered at the moment at
     * which a pause begins stands before it.
     *
     * @param at in milliseconds since 1970
     * @param pause whether a pause begins with it
     */
    public static long entry(long at, boolean pause) {
        return at * 2 + (pause ? 1 : 0);
    }

    /**
     * @param entries of one job, each as {@link #entry} makes it, in any order
     * @return milliseconds; 0 if nothing, or one thing only, was entered
     */
    public static long millis(long[] entries) {
        long[] inTurn = entries.clone();
        Arrays.sort(inTurn);
        long worked = 0;
        for (int n = 1; n < inTurn.length; n++) {
            long gap = (inTurn[n] >> 1) - (inTurn[n - 1] >> 1);
            boolean paused = (inTurn[n - 1] & 1) == 1;
            worked += paused || gap > ANOTHER_DAY ? 0 : gap;
        }
        return worked;
    }
}
