package wrenchnotes.server.bench;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.NotesTaken;
import wrenchnotes.core.bench.Press;
import wrenchnotes.core.bench.Run;
import wrenchnotes.core.bench.RunLog;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.bench.BenchStore.FittedEntry;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.job.ArrivalStore;
import wrenchnotes.server.job.EntryStore;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.job.TimeWorkedStore;
import wrenchnotes.server.teardown.NotesStore;

/** Loads the bench of a job, guards it against presses made on an older sight of it, and keeps what was done. */
@Component
class Benches {

    private final BenchStore store;
    private final RunStore runs;
    private final TakenStore taken;
    private final BesideStore beside;
    private final EntryStore entries;
    private final JobStore jobs;
    private final ArrivalStore arrivals;
    private final NotesStore notes;
    private final Inside inside;
    private final Journal journal;
    private final Recorder recorder;
    private final TimeWorkedStore time;
    private final Clock clock;

    Benches(
            BenchStore store,
            RunStore runs,
            TakenStore taken,
            BesideStore beside,
            EntryStore entries,
            JobStore jobs,
            ArrivalStore arrivals,
            NotesStore notes,
            Inside inside,
            Journal journal,
            Recorder recorder,
            TimeWorkedStore time,
            Clock clock) {
        this.store = store;
        this.runs = runs;
        this.taken = taken;
        this.beside = beside;
        this.entries = entries;
        this.jobs = jobs;
        this.arrivals = arrivals;
        this.notes = notes;
        this.inside = inside;
        this.journal = journal;
        this.recorder = recorder;
        this.time = time;
        this.clock = clock;
    }

    Recorder recorder() {
        return recorder;
    }

    BenchState state(long id) {
        Job job = jobs.job(id);
        NotesStore.Version version =
                job.openedWith().map(notes::version).orElseGet(() -> notes.newest(job.revisionId()));
        List<FittedEntry> fitted = store.fitted(id);
        List<EntryStore.SaidAt> said = entries.saidFirst(id);
        RunLog log = new RunLog(
                runs.runs(id),
                store.steps(id),
                store.ledger(id),
                SaidFirst.power(said),
                SaidFirst.acknowledged(said),
                SaidFirst.marks(said));
        for (NotesTaken one : taken.of(id)) {
            log = log.renamed(one);
        }
        return new BenchState(job, version, fitted, Run.replayed(inside.joined(version.teardown(), fitted), log));
    }

    /** The bench, for a press that has seen it as it is now. */
    BenchPress changeable(By by, long id, Seen seen) {
        BenchState state = state(id);
        By now = state.job().entered(by);
        seen.mustBe(state.job().benchVersion(), "The bench", () -> view(state));
        return new BenchPress(this, now, state);
    }

    /** The bench as it is, for what was told in another room and is only put right here. */
    BenchPress onRecord(By by, long id) {
        BenchState state = state(id);
        return new BenchPress(this, state.job().entered(by), state);
    }

    /** As {@link #changeable}, on a run that is under way; its clock goes on. */
    BenchPress running(By by, long id, Seen seen) {
        BenchPress press = changeable(by, id, seen);
        press.keep(new Press.GoOn());
        return press;
    }

    /** Keeps the notes as they are now for this job, if it has none yet, and enters what was missing on arrival. */
    void pin(BenchPress press) {
        pin(press, List.of());
    }

    /** @param counted what is counted missing now, in the stead of what was said of the same thing on arrival */
    void pin(BenchPress press, List<Press.CountedMissing> counted) {
        BenchState state = press.now();
        if (state.opened() || state.notes().number() == 0) {
            return;
        }
        jobs.openWith(press.job(), state.notes().id());
        press.is(state.pinned(state.notes(), state.run().notes()));
        List<String> again = counted.stream().map(Press.CountedMissing::thing).toList();
        List<Press.CountedMissing> missing = new ArrayList<>(arrivals.missing(press.job()).stream()
                .filter(thing -> !again.contains(thing.thing()))
                .map(thing -> new Press.CountedMissing(thing.thing(), thing.count()))
                .toList());
        missing.addAll(counted);
        if (!missing.isEmpty()) {
            press.keep(new Press.CountMissing(missing));
        }
    }

    /** The job goes by a later version of its own notes, which has all that the one before had. */
    void goBy(BenchPress press, NotesStore.Version version) {
        jobs.openWith(press.job(), version.id());
        press.is(press.now()
                .pinned(version, inside.joined(version.teardown(), press.now().fitted())));
    }

    /** The job goes by newer notes, its entries in their words. */
    void goBy(BenchPress press, NotesStore.Version version, Run next) {
        jobs.openWith(press.job(), version.id());
        press.is(press.now().by(version, next));
    }

    Beside beside(BenchState state) {
        return beside.beside(state.job().id(), state.job().revisionId());
    }

    BenchView view(BenchState state) {
        return BenchView.of(
                state, beside(state), inside.seen(state), time.of(state.job().id()), clock.instant());
    }

    /** A step as the newest notes have it; null if they have no such step any more. */
    Step writtenNow(long revision, String step) {
        Teardown now = notes.newest(revision).teardown();
        return now.has(step) ? now.step(step) : null;
    }

    void told(By by, long job, String subject, long subjectId, String words, Object after) {
        jobs.countBenchMove(job);
        journal.write(by, Journal.Entry.ofJob(job, subject, subjectId, words, after));
    }
}
