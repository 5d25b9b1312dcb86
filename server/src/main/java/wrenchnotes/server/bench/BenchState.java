package wrenchnotes.server.bench;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import wrenchnotes.core.bench.BothWays;
import wrenchnotes.core.bench.ClosingGate;
import wrenchnotes.core.bench.Ledger;
import wrenchnotes.core.bench.Move;
import wrenchnotes.core.bench.OpenEnds;
import wrenchnotes.core.bench.WayIn;
import wrenchnotes.core.job.JobFacts;
import wrenchnotes.core.teardown.Assembled;
import wrenchnotes.core.teardown.Overview;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.unit.Moment;
import wrenchnotes.server.bench.BenchStore.Direction;
import wrenchnotes.server.bench.BenchStore.FittedEntry;
import wrenchnotes.server.bench.BenchStore.LedgerEntry;
import wrenchnotes.server.bench.BenchStore.StepEntry;
import wrenchnotes.server.bench.RunStore.Run;
import wrenchnotes.server.ground.By;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.teardown.NotesStore;

/** One unit on the bench as its entries left it. */
record BenchState(
        JobStore.Job job,
        NotesStore.Version notes,
        List<FittedEntry> fitted,
        Teardown teardown,
        BenchRuns runs,
        List<StepEntry> steps,
        List<LedgerEntry> entries,
        WayIn way,
        Ledger ledger) {

    /**
     * @param fitted the variants of sub-assemblies that were seen
     * @param teardown the notes that the job goes by, sub-assemblies included
     */
    static BenchState of(
            JobStore.Job job,
            NotesStore.Version notes,
            List<FittedEntry> fitted,
            Teardown teardown,
            BenchRuns runs,
            List<StepEntry> steps,
            List<LedgerEntry> entries) {
        List<String> open = new ArrayList<>();
        for (StepEntry entry : steps) {
            if (entry.direction() == Direction.IN) {
                open.add(entry.step());
            } else {
                open.remove(entry.step());
            }
        }
        Set<String> skipped = new HashSet<>(runs.skipped());
        skipped.removeAll(open);
        return new BenchState(
                job,
                notes,
                fitted,
                teardown,
                runs,
                steps,
                entries,
                WayIn.recorded(teardown, open, skipped),
                Ledger.replayed(
                        teardown.things(),
                        entries.stream().map(LedgerEntry::move).toList()));
    }

    BenchState plus(StepEntry entry) {
        return of(job, notes, fitted, teardown, runs, more(steps, List.of(entry)), entries);
    }

    BenchState plus(List<LedgerEntry> moves) {
        return moves.isEmpty() ? this : of(job, notes, fitted, teardown, runs, steps, more(entries, moves));
    }

    BenchState with(BenchRuns others) {
        return of(job, notes, fitted, teardown, others, steps, entries);
    }

    BenchState with(List<FittedEntry> inside, Teardown joined) {
        return of(job, notes, inside, joined, runs, steps, entries);
    }

    /** The job goes by these notes from now on. */
    BenchState pinned(NotesStore.Version version, Teardown joined) {
        return of(job.openedWith(version.id()), version, fitted, joined, runs, steps, entries);
    }

    /** One more press was made on it. */
    BenchState pressed(By by) {
        return new BenchState(job.pressed(by), notes, fitted, teardown, runs, steps, entries, way, ledger);
    }

    private static <T> List<T> more(List<T> some, List<T> others) {
        return Stream.concat(some.stream(), others.stream()).toList();
    }

    /** The revision in whose notes a step is written: the unit's own, or that of a sub-assembly. */
    long revisionOf(Assembled.Written step) {
        return fitted.stream()
                .filter(entry ->
                        step.component().filter(id -> id == entry.component()).isPresent())
                .map(FittedEntry::revision)
                .findFirst()
                .orElse(notes.revision());
    }

    Optional<Run> run() {
        return runs.now();
    }

    boolean opened() {
        return job.openedWith().isPresent();
    }

    Optional<Step> nextIn() {
        return way.nextIn(runs.route());
    }

    /** As {@link wrenchnotes.server.job.FactsStore} reads them of many jobs at once; a test holds the two together. */
    JobFacts facts(Beside beside) {
        Set<Long> takenBack = undone(steps.stream().flatMap(entry -> entry.undoes().stream()));
        Optional<Moment> lastIn = steps.stream()
                .filter(entry -> entry.direction() == Direction.IN && !takenBack.contains(entry.id()))
                .map(StepEntry::moment)
                .max(Moment::compareTo);
        return new JobFacts(
                job.checkedInAt(),
                job.dueAt(),
                beside.holds(),
                ledger.tally(),
                way.open().size(),
                lastIn,
                beside.lastClosing().map(Beside.Closing::moment),
                beside.lastClosing().flatMap(Beside.Closing::forNow),
                opened() ? notes.teardown().overview() : Overview.NONE,
                runs.reworks().size(),
                beside.checks(),
                beside.outcome(),
                beside.findings(),
                job.handedOverAt());
    }

    /** What is in the way of closing for good; empty if nothing is, or if there is nothing to close. */
    List<String> inTheWay(JobFacts facts, OpenEnds ends) {
        return facts.lastIn()
                .map(at -> ClosingGate.reasons(
                        teardown(), way, ledger, ends, facts.checks().since(at)))
                .orElse(List.of());
    }

    /** What is in the way of closing for now. */
    List<String> inTheWayForNow(JobFacts facts, OpenEnds ends) {
        return facts.lastIn()
                .map(at -> ClosingGate.reasonsForNow(
                        teardown(), way, ledger, ends, facts.checks().since(at)))
                .orElse(List.of());
    }

    /** The way out of this run against its way in, what was taken back left out. */
    List<BothWays.CountLine> bothWays() {
        Set<Long> takenBack = undone(entries.stream().flatMap(entry -> entry.undoes().stream()));
        List<Move> moves = run().map(run -> entries.stream()
                        .filter(entry -> entry.undoes().isEmpty() && !takenBack.contains(entry.id()))
                        .filter(entry -> !entry.moment().isBefore(run.started()))
                        .map(LedgerEntry::move)
                        .toList())
                .orElse(List.of());
        return BothWays.disagreeing(teardown.things(), moves);
    }

    /** The last step entry of this run that can be taken back: not yet taken back, and no taking back itself. */
    Optional<StepEntry> lastStep() {
        Set<Long> takenBack = undone(steps.stream().flatMap(entry -> entry.undoes().stream()));
        return run().flatMap(run -> steps.stream()
                .filter(entry -> entry.undoes().isEmpty() && !takenBack.contains(entry.id()))
                .filter(entry -> !entry.moment().isBefore(run.started()))
                .reduce((earlier, later) -> later));
    }

    private static Set<Long> undone(Stream<Long> ids) {
        Set<Long> undone = new HashSet<>();
        ids.forEach(undone::add);
        return undone;
    }
}
