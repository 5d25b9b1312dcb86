package wrenchnotes.core.job;

import java.time.Duration;
import java.util.List;
import java.util.Optional;

/**
 * How long a hold of some kind usually lasts: what the shop's own ended holds say, else what is common practice (no source):
 * resin and a washed board overnight, a day for a picture tube or a charge, an hour of soak test. Parts and answers come
 * when they come.
 *
 * <p>A wait for safety is not learned: that three were cut short says nothing of the charge. What cures or dries is learned upwards only: a
 * witness that was still soft is a reason to wait longer, one that was not looked at is none to wait less.
 *
 * @param length 1 minute or more
 * @param words where it is from: "half of 7 here", "common practice"
 */
public record UsualWait(Duration length, String words) {

    /** Fewer than these say nothing about the next. */
    private static final int ENOUGH = 3;

    /**
     * @param own how long ended holds of this kind lasted on this revision, in any order
     * @param all the same over all revisions
     * @return empty if it ends with an event and nothing is known of how long that takes
     */
    public static Optional<UsualWait> of(HoldKind kind, List<Duration> own, List<Duration> all) {
        Optional<UsualWait> practice = practice(kind).map(length -> new UsualWait(length, "common practice"));
        Optional<UsualWait> learned = learned(own, all);
        return switch (kind) {
            case BLEED, REST -> practice;
            case CURE, DRY ->
                learned.filter(wait -> wait.length.compareTo(practice.orElseThrow().length) > 0)
                        .or(() -> practice);
            case SOAK, PART, OWNER, SET_ASIDE -> learned.or(() -> practice);
        };
    }

    private static Optional<UsualWait> learned(List<Duration> own, List<Duration> all) {
        if (own.size() >= ENOUGH) {
            return Optional.of(new UsualWait(median(own), "half of " + own.size() + " on this revision"));
        }
        return all.size() >= ENOUGH
                ? Optional.of(new UsualWait(median(all), "half of " + all.size() + " here"))
                : Optional.empty();
    }

    private static Duration median(List<Duration> lengths) {
        List<Duration> sorted = lengths.stream().sorted().toList();
        Duration middle = sorted.get(sorted.size() / 2);
        return middle.compareTo(Duration.ofMinutes(1)) < 0 ? Duration.ofMinutes(1) : middle;
    }

    private static Optional<Duration> practice(HoldKind kind) {
        return switch (kind) {
            case CURE, DRY -> Optional.of(Duration.ofHours(14));
            case REST, BLEED -> Optional.of(Duration.ofHours(24));
            case SOAK -> Optional.of(Duration.ofHours(1));
            case PART, OWNER, SET_ASIDE -> Optional.empty();
        };
    }
}
