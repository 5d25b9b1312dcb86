package wrenchnotes.core.diagnosis.history;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * How long was worked on a job, by the times of what was entered at its bench: from one entry to the next. A pause lasts until
 * somebody went on, which is an entry too. A gap of more than an hour is taken for another day (common practice, no source) and counts nothing, until
 * somebody says how much of it was worked: a long operation without a press is one, too.
 *
 * @param worked all that counts
 * @param gaps that are longer than an hour and no pause, oldest first
 */
public record BenchTime(Duration worked, List<Gap> gaps) {

    private static final long ANOTHER_DAY = Duration.ofHours(1).toMillis();

    /** In minutes: longer nobody works on one thing. Ours, no source. */
    private static final int ONE_GO = 360;

    /** @param minutes of it that were worked; empty if nobody said, and then none counts */
    public record Gap(Instant from, Instant to, Optional<Integer> minutes) {

        /** @throws Invalid if so much does not fit in */
        public Gap said(int worked) {
            return new Gap(from, to, Optional.of(Checked.within("minutes", worked, 0, most())));
        }

        /** Nothing, an hour, all of it if that can have been one go: minutes. */
        public List<Integer> offers() {
            return most() <= ONE_GO ? List.of(0, 60, most()) : List.of(0, 60, 120);
        }

        private int most() {
            return Math.toIntExact(Duration.between(from, to).toMinutes());
        }
    }

    public BenchTime {
        gaps = List.copyOf(gaps);
    }

    /**
     * @param entries of one job, each as {@link #entry} makes it, in any order
     * @param said minutes worked in a gap, by the moment in milliseconds at which it begins; of what is no gap any more nothing counts
     */
    public static BenchTime of(long[] entries, Map<Long, Integer> said) {
        long[] inTurn = entries.clone();
        Arrays.sort(inTurn);
        long worked = 0;
        List<Gap> gaps = new ArrayList<>();
        for (int n = 1; n < inTurn.length; n++) {
            long from = inTurn[n - 1] >> 1;
            long to = inTurn[n] >> 1;
            if ((inTurn[n - 1] & 1) == 1) {
                continue;
            }
            if (to - from > ANOTHER_DAY) {
                Optional<Integer> minutes = Optional.ofNullable(said.get(from));
                gaps.add(new Gap(Instant.ofEpochMilli(from), Instant.ofEpochMilli(to), minutes));
                worked += Math.min(
                        to - from, Duration.ofMinutes(minutes.orElse(0)).toMillis());
            } else {
                worked += to - from;
            }
        }
        return new BenchTime(Duration.ofMillis(worked), gaps);
    }

    /** Until when somebody can be taken to be at it who pressed something last then. */
    public static Instant atItUntil(Instant pressed) {
        return pressed.plusMillis(ANOTHER_DAY);
    }

    /** @throws Invalid if none begins then */
    public Gap gap(Instant from) {
        return gaps.stream()
                .filter(gap -> gap.from().equals(from))
                .findFirst()
                .orElseThrow(() -> new Invalid("from", "No gap begins then: ask anew what was not counted"));
    }

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
}
