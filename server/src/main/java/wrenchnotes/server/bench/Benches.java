package wrenchnotes.server.bench;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.Account;
import wrenchnotes.core.bench.Move;
import wrenchnotes.core.job.JobFacts;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.teardown.Thing;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.bench.BenchStore.FittedEntry;
import wrenchnotes.server.ground.By;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.job.ArrivalStore;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.teardown.NotesStore;

/** Loads the bench of a job, guards it against presses made on an older sight of it, and keeps what was done. */
@Component
class Benches {

    private final BenchStore store;
    private final RunStore runs;
    private final BesideStore beside;
    private final JobStore jobs;
    private final ArrivalStore arrivals;
    private final NotesStore notes;
    private final Inside inside;
    private final Journal journal;
    private final Clock clock;

    Benches(
            BenchStore store,
            RunStore runs,
            BesideStore beside,
            JobStore jobs,
            ArrivalStore arrivals,
            NotesStore notes,
            Inside inside,
            Journal journal,
            Clock clock) {
        this.store = store;
        this.runs = runs;
        this.beside = beside;
        this.jobs = jobs;
        this.arrivals = arrivals;
        this.notes = notes;
        this.inside = inside;
        this.journal = journal;
        this.clock = clock;
    }

    BenchStore store() {
        return store;
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
    BenchPress changeable(By by, long id, Seen seen) {
        BenchState state = state(id);
        By now = state.job().entered(by);
        seen.mustBe(state.job().benchVersion(), "The bench", () -> view(state));
        return new BenchPress(this, now, state);
    }

    /** As {@link #changeable}, on a run that is under way. */
    BenchPress running(By by, long id, Seen seen) {
        BenchPress press = changeable(by, id, seen);
        if (press.now().run().isEmpty()) {
            throw Refused.because("Start the run first: say that the unit is off and unplugged.");
        }
        if (press.now().runs().pausedSince().isPresent()) {
            runs.goOn(press.by(), id);
            press.is(press.now().with(press.now().runs().goneOn()));
        }
        return press;
    }

    /** As {@link #running}, for a press that makes an entry: the job goes by its notes from its first entry on. */
    BenchPress entering(By by, long id, Seen seen) {
        BenchPress press = running(by, id, seen);
        pin(press, List.of());
        return press;
    }

    /**
     * Keeps the notes as they are now for this job, if it has none yet, and enters what was missing on arrival.
     *
     * @param counted what is counted missing now, in the stead of what was said of the same thing on arrival
     */
    void pin(BenchPress press, List<RunService.CountedMissing> counted) {
        BenchState state = press.now();
        if (state.opened() || state.notes().number() == 0) {
            return;
        }
        jobs.openWith(press.job(), state.notes().id());
        press.is(state.pinned(state.notes(), state.teardown()));
        List<String> again =
                counted.stream().map(RunService.CountedMissing::thing).toList();
        missing(
                press,
                arrivals.missing(press.job()).stream()
                        .filter(thing -> !again.contains(thing.thing()))
                        .map(thing -> new RunService.CountedMissing(thing.thing(), thing.count()))
                        .toList());
    }

    /** The job goes by a later version of its own notes, which has all that the one before had. */
    void goBy(BenchPress press, NotesStore.Version version) {
        jobs.openWith(press.job(), version.id());
        press.is(press.now()
                .pinned(version, inside.joined(version.teardown(), press.now().fitted())));
    }

    /** Enters what is missing of the things that the notes know. */
    void missing(BenchPress press, List<RunService.CountedMissing> missing) {
        List<String> known =
                press.now().teardown().things().stream().map(Thing::id).toList();
        press.post(
                Optional.empty(),
                missing.stream()
                        .filter(thing -> known.contains(thing.thing()))
                        .map(thing -> Move.of(thing.thing(), Account.FITTED, Account.MISSING_ON_ARRIVAL, thing.count()))
                        .toList());
    }

    Beside beside(BenchState state) {
        return beside.beside(state.job().id(), state.job().revisionId());
    }

    JobFacts facts(BenchState state) {
        return state.facts(beside(state));
    }

    BenchView view(BenchState state) {
        return BenchView.of(state, beside(state), inside.seen(state), clock.instant());
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
