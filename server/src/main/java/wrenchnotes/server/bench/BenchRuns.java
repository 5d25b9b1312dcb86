package wrenchnotes.server.bench;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import wrenchnotes.server.bench.RunStore.Run;

/**
 * The runs of one job.
 *
 * @param all oldest first
 */
record BenchRuns(List<Run> all) {

    /** The run that is under way, if the unit is not closed. */
    Optional<Run> now() {
        return all.isEmpty()
                ? Optional.empty()
                : Optional.of(all.get(all.size() - 1))
                        .filter(run -> run.closing().isEmpty());
    }

    BenchRuns plus(Run run) {
        List<Run> more = new ArrayList<>(all);
        more.add(run);
        return new BenchRuns(List.copyOf(more));
    }

    /** The run that is under way, changed. */
    BenchRuns changed(UnaryOperator<Run> change) {
        List<Run> others = new ArrayList<>(all);
        others.set(others.size() - 1, change.apply(others.get(others.size() - 1)));
        return new BenchRuns(List.copyOf(others));
    }

    BenchRuns goneOn() {
        return changed(run -> run.pausedSince(Optional.empty()));
    }

    /** The steps of the way that was chosen; none for all of the notes in their order. */
    List<String> route() {
        return now().map(Run::route).orElse(List.of());
    }

    /** Steps passed over on the run that is under way. */
    Set<String> skipped() {
        return now().map(Run::skipped).orElse(Set.of());
    }

    Optional<Instant> pausedSince() {
        return now().flatMap(Run::pausedSince);
    }

    /** Runs that opened a unit which had been closed for good. */
    List<Run> reworks() {
        return all.stream().filter(run -> run.rework().isPresent()).toList();
    }
}
