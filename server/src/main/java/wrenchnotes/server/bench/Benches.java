package wrenchnotes.server.bench;

import java.util.List;
import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.Ledger;
import wrenchnotes.core.bench.Move;
import wrenchnotes.core.bench.OpenEnds;
import wrenchnotes.core.job.JobFacts;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.bench.BenchStore.FittedEntry;
import wrenchnotes.server.ground.By;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.job.FactsStore;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.teardown.NotesStore;

/** Loads the bench of a job, guards it against presses made on an older sight of it, and keeps what was done. */
@Component
class Benches {

    private final BenchStore store;
    private final RunStore runs;
    private final EndsStore ends;
    private final JobStore jobs;
    private final FactsStore facts;
    private final NotesStore notes;
    private final Inside inside;
    private final Journal journal;

    Benches(
            BenchStore store,
            RunStore runs,
            EndsStore ends,
            JobStore jobs,
            FactsStore facts,
            NotesStore notes,
            Inside inside,
            Journal journal) {
        this.store = store;
        this.runs = runs;
        this.ends = ends;
        this.jobs = jobs;
        this.facts = facts;
        this.notes = notes;
        this.inside = inside;
        this.journal = journal;
    }

    BenchState state(long id) {
        JobStore.Job job = jobs.job(id);
        NotesStore.Version version =
                job.openedWith().map(notes::version).orElseGet(() -> notes.newest(job.revisionId()));
        List<FittedEntry> fitted = store.fitted(id);
        BenchRuns all = new BenchRuns(runs.runs(id));
        return BenchState.of(
                job,
                version,
                fitted,
                inside.joined(version.teardown(), fitted),
                all,
                store.steps(id),
                store.ledger(id));
    }

    /** The bench, for a press that has seen it as it is now. */
    BenchState changeable(long id, Seen seen) {
        BenchState state = state(id);
        state.job().mustBeHere();
        seen.mustBe(state.job().benchVersion(), "The bench", () -> view(state));
        return state;
    }

    /** As {@link #changeable}, on a run that is under way. */
    BenchState running(By by, long id, Seen seen) {
        BenchState state = changeable(id, seen);
        if (state.run().isEmpty()) {
            throw Refused.because("Start the run first: say that the unit is off and unplugged.");
        }
        if (state.runs().pausedSince().isPresent()) {
            runs.goOn(by, id);
        }
        return state;
    }

    /** What no account holds and yet is in the way of closing. */
    OpenEnds openEnds(BenchState state) {
        return ends.all(state.job().id()).open();
    }

    BenchView view(BenchState state) {
        return BenchView.of(
                state,
                ends.all(state.job().id()),
                facts.of(state.job()),
                inside.seen(state),
                ends.usuallyFound(state.job().revisionId()));
    }

    JobFacts facts(BenchState state) {
        return facts.of(state.job());
    }

    Ledger post(By by, long job, Long stepEntry, Ledger ledger, List<Move> moves) {
        Ledger now = ledger;
        for (Move move : moves) {
            now = now.with(move);
            store.addMove(by, job, stepEntry, now.thing(move.thing()), move, null);
        }
        return now;
    }

    /** A step as the newest notes have it; null if they have no such step any more. */
    Step writtenNow(long revision, String step) {
        Teardown now = notes.newest(revision).teardown();
        return now.has(step) ? now.step(step) : null;
    }

    /** Tells the story and makes every sight of the bench up to now an older one. */
    void done(By by, long job, String subject, long subjectId, String words, Object after) {
        jobs.countBenchMove(job);
        journal.write(by, Journal.Entry.ofJob(job, subject, subjectId, words, after));
    }
}
