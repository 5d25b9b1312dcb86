package wrenchnotes.server.bench;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import wrenchnotes.server.bench.RunStore.Run;

/**
 * The runs of one job.
 *
 * @param all oldest first
 * @param skipped steps passed over on the run that is under way
 */
record BenchRuns(List<Run> all, Set<String> skipped) {

    static BenchRuns of(List<Run> all, RunStore store) {
        Optional<Run> now = underWay(all);
        return new BenchRuns(all, now.map(run -> store.skipped(run.id())).orElse(Set.of()));
    }

    /** The run that is under way, if the unit is not closed. */
    Optional<Run> now() {
        return underWay(all);
    }

    private static Optional<Run> underWay(List<Run> all) {
        return all.isEmpty()
                ? Optional.empty()
                : Optional.of(all.get(all.size() - 1))
                        .filter(run -> run.closing().isEmpty());
    }

    /** The steps of the way that was chosen; none for all of the notes in their order. */
    List<String> route() {
        return now().map(Run::route).orElse(List.of());
    }

    /** Runs that opened a unit which had been closed for good. */
    List<Run> reworks() {
        return all.stream().filter(run -> run.rework().isPresent()).toList();
    }
}
