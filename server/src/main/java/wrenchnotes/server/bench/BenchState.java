package wrenchnotes.server.bench;

import java.util.List;
import wrenchnotes.core.bench.Run;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.job.JobFacts;
import wrenchnotes.core.teardown.Assembled;
import wrenchnotes.core.teardown.Overview;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.bench.BenchStore.FittedEntry;
import wrenchnotes.server.teardown.NotesStore;

/**
 * One unit on the bench: the job, the notes that it goes by, and its run.
 *
 * @param notes its own, sub-assemblies left out
 * @param fitted the variants of sub-assemblies that were seen
 */
record BenchState(Job job, NotesStore.Version notes, List<FittedEntry> fitted, Run run) {

    BenchState with(Run next) {
        return new BenchState(job, notes, fitted, next);
    }

    BenchState with(List<FittedEntry> inside, Teardown joined) {
        return new BenchState(job, notes, inside, run.by(joined));
    }

    /** The job goes by these notes from now on. */
    BenchState pinned(NotesStore.Version version, Teardown joined) {
        return new BenchState(job.openedWith(version.id()), version, fitted, run.by(joined));
    }

    /** The job goes on by newer notes. */
    BenchState by(NotesStore.Version version, Run next) {
        return new BenchState(job.openedWith(version.id()), version, fitted, next);
    }

    /** One more press was made on it. */
    BenchState pressed(By by) {
        return new BenchState(job.pressed(by), notes, fitted, run);
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

    boolean opened() {
        return job.openedWith().isPresent();
    }

    /** As {@link wrenchnotes.server.job.FactsStore} reads them of many jobs at once; a test holds the two together. */
    JobFacts facts(Beside beside) {
        return new JobFacts(
                job.brought().checkedInAt(),
                job.brought().dueAt(),
                beside.holds(),
                run.ledger().tally(),
                run.way().open().size(),
                run.lastIn(),
                beside.lastClosing(),
                opened() ? notes.teardown().overview() : Overview.NONE,
                run.reworks().size(),
                beside.checks(),
                beside.outcome(),
                beside.findings(),
                beside.mains(),
                // What must not leave is asked for when it leaves, which is not at the bench.
                List.of(),
                job.onLoan(),
                job.handedOverAt());
    }
}
