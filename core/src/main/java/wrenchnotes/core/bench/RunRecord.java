package wrenchnotes.core.bench;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import wrenchnotes.core.unit.Moment;

/**
 * What is on record of one run: from "off and unplugged" to its closing.
 *
 * @param route where it goes
 * @param skipped ids of the steps passed over
 * @param pausedSince empty unless the clock stands still
 * @param why why it was begun
 * @param startedBy the name of whoever began it
 * @param again why something was opened again on it that was back already, once for each time
 * @param closed whether it was ended by closing the unit
 */
public record RunRecord(
        long id,
        Route route,
        Set<String> skipped,
        Optional<Instant> pausedSince,
        Why why,
        Moment started,
        String startedBy,
        List<Rework> again,
        boolean closed) {

    /**
     * @param targets ids of the components to reach; none for the whole of it
     * @param steps ids of the steps to do, in order; none for all of the notes in theirs
     */
    public record Route(List<Long> targets, List<String> steps) {
        /** All of the notes, in their order. */
        public static final Route THE_WHOLE = new Route(List.of(), List.of());

        public Route {
            targets = List.copyOf(targets);
            steps = List.copyOf(steps);
        }
    }

    /**
     * @param rework why a unit that was closed for good was opened again; empty on a first run and after a closing for now
     * @param words more about that; may be empty
     */
    public record Why(Optional<Rework> rework, String words) {
        public static final Why FIRST = new Why(Optional.empty(), "");

        /** "the wrong part was put in: fuse of 2 A". */
        public String sentence() {
            String reason = rework.map(Rework::words).orElse("");
            return reason.isEmpty() || words.isEmpty() ? reason + words : reason + ": " + words;
        }
    }

    /** A run that begins now, along a way. */
    static RunRecord begun(long id, Route route, Why why, Moment moment, String by) {
        return new RunRecord(id, route, Set.of(), Optional.empty(), why, moment, by, List.of(), false);
    }

    RunRecord turned(Route other) {
        return new RunRecord(id, other, skipped, pausedSince, why, started, startedBy, again, closed);
    }

    RunRecord passedOver(String step) {
        Set<String> more = new TreeSet<>(skipped);
        more.add(step);
        return new RunRecord(id, route, more, pausedSince, why, started, startedBy, again, closed);
    }

    RunRecord openedAgain(Rework reason) {
        List<Rework> more = new ArrayList<>(again);
        more.add(reason);
        return new RunRecord(id, route, skipped, pausedSince, why, started, startedBy, List.copyOf(more), closed);
    }

    /** In the words of newer notes, if it was begun before they were taken; what they do not have any more is left out of its way. */
    RunRecord renamed(NotesTaken taken) {
        if (!started.isBefore(taken.moment())) {
            return this;
        }
        Route other = new Route(
                route.targets(),
                route.steps().stream()
                        .map(taken::step)
                        .filter(id -> !id.isEmpty())
                        .toList());
        Set<String> passed = skipped.stream()
                .map(taken::step)
                .filter(id -> !id.isEmpty())
                .collect(Collectors.toCollection(TreeSet::new));
        return new RunRecord(id, other, passed, pausedSince, why, started, startedBy, again, closed);
    }

    RunRecord paused(Optional<Instant> since) {
        return new RunRecord(id, route, skipped, since, why, started, startedBy, again, closed);
    }

    RunRecord ended() {
        return new RunRecord(id, route, skipped, pausedSince, why, started, startedBy, again, true);
    }
}
