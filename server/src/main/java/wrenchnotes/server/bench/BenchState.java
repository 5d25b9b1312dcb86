package wrenchnotes.server.bench;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import wrenchnotes.core.bench.ClosingGate;
import wrenchnotes.core.bench.Ledger;
import wrenchnotes.core.bench.WayIn;
import wrenchnotes.core.job.JobFacts;
import wrenchnotes.core.teardown.Assembled;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.server.bench.BenchStore.Direction;
import wrenchnotes.server.bench.BenchStore.FittedEntry;
import wrenchnotes.server.bench.BenchStore.LedgerEntry;
import wrenchnotes.server.bench.BenchStore.StepEntry;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.teardown.NotesStore;

/** One unit on the bench as its entries left it. */
record BenchState(
        JobStore.Job job,
        NotesStore.Version notes,
        List<FittedEntry> fitted,
        Teardown teardown,
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
            List<StepEntry> steps,
            List<LedgerEntry> entries) {
        WayIn way = WayIn.closed(teardown);
        for (StepEntry entry : steps) {
            way = entry.direction() == Direction.IN ? way.in(entry.step()) : way.out(entry.step());
        }
        Ledger ledger = Ledger.replayed(
                teardown.things(), entries.stream().map(LedgerEntry::move).toList());
        return new BenchState(job, notes, fitted, teardown, steps, entries, way, ledger);
    }

    /** The revision in whose notes a step is written: the unit's own, or that of a sub-assembly. */
    long revisionOf(Assembled.Written step) {
        return fitted.stream()
                .filter(entry ->
                        step.component().filter(id -> id == entry.component()).isPresent())
                .map(FittedEntry::revision)
                .findFirst()
                .orElse(job.revisionId());
    }

    boolean opened() {
        return job.openedWith().isPresent();
    }

    /** What is in the way of closing up; empty if nothing is, or if there is nothing to close. */
    List<String> inTheWay(JobFacts facts) {
        return facts.lastIn()
                .map(lastIn -> ClosingGate.reasons(
                        teardown(), way, ledger, facts.checks().since(lastIn)))
                .orElse(List.of());
    }

    /** The last step entry that can be taken back: not yet taken back, and no taking back itself. */
    Optional<StepEntry> lastStep(JobFacts facts) {
        Set<Long> takenBack = new HashSet<>();
        steps.forEach(entry -> entry.undoes().ifPresent(takenBack::add));
        return steps.stream()
                .filter(entry -> entry.undoes().isEmpty() && !takenBack.contains(entry.id()))
                .filter(entry -> facts.closedAt()
                        .map(closed -> entry.at().isAfter(closed))
                        .orElse(true))
                .reduce((earlier, later) -> later);
    }
}
