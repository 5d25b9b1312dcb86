package wrenchnotes.server.bench;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.Account;
import wrenchnotes.core.bench.Ledger;
import wrenchnotes.core.bench.Move;
import wrenchnotes.core.bench.PutBack;
import wrenchnotes.core.bench.TakenOff;
import wrenchnotes.core.bench.WayIn;
import wrenchnotes.core.job.JobFacts;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Thing;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.bench.BenchStore.Direction;
import wrenchnotes.server.bench.BenchStore.FittedEntry;
import wrenchnotes.server.bench.BenchStore.LedgerEntry;
import wrenchnotes.server.bench.BenchStore.StepEntry;
import wrenchnotes.server.drawer.DrawerService;
import wrenchnotes.server.ground.By;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.job.ArrivalStore;
import wrenchnotes.server.job.FactsStore;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.teardown.NotesStore;

/** Work on an opened unit. Each method runs in the caller's transaction. */
@Component
public class BenchService {

    private final BenchStore store;
    private final JobStore jobs;
    private final FactsStore facts;
    private final ArrivalStore arrivals;
    private final NotesStore notes;
    private final Inside inside;
    private final DrawerService drawers;
    private final Journal journal;

    BenchService(
            BenchStore store,
            JobStore jobs,
            FactsStore facts,
            ArrivalStore arrivals,
            NotesStore notes,
            Inside inside,
            DrawerService drawers,
            Journal journal) {
        this.store = store;
        this.jobs = jobs;
        this.facts = facts;
        this.arrivals = arrivals;
        this.notes = notes;
        this.inside = inside;
        this.drawers = drawers;
        this.journal = journal;
    }

    /** The bench as it is now. */
    BenchView view(long job) {
        BenchState state = state(job);
        return view(state);
    }

    private BenchView view(BenchState state) {
        return BenchView.of(state, facts.of(state.job()), inside.seen(state));
    }

    private BenchState state(long id) {
        JobStore.Job job = jobs.job(id);
        NotesStore.Version version =
                job.openedWith().map(notes::version).orElseGet(() -> notes.newest(job.revisionId()));
        List<FittedEntry> fitted = store.fitted(id);
        return BenchState.of(
                job, version, fitted, inside.joined(version.teardown(), fitted), store.steps(id), store.ledger(id));
    }

    private BenchState changeable(long id, Seen seen) {
        BenchState state = state(id);
        state.job().mustBeHere();
        seen.mustBe(state.job().benchVersion(), "The bench", () -> view(state));
        return state;
    }

    /**
     * One step in. What is not said comes off whole.
     *
     * @param said what was found otherwise than the notes say
     */
    public void stepIn(By by, long job, Seen seen, String stepId, List<TakenOff> said) {
        BenchState state = changeable(job, seen);
        Step step = state.teardown().step(stepId);
        WayIn way = state.way().in(stepId);
        Ledger ledger = state.opened() ? state.ledger() : open(by, state);
        Map<String, TakenOff> byThing = byThing(step, said, TakenOff::thing);
        long entry = store.addStep(by, job, stepId, Direction.IN, null);
        StringBuilder words = new StringBuilder("In: " + step.title());
        for (Thing thing : step.things()) {
            TakenOff off = byThing.getOrDefault(thing.id(), TakenOff.all(ledger, thing.id()));
            ledger = post(by, job, entry, ledger, off.moves(ledger));
            tell(words, off.missing(), thing, "missing");
            tell(words, off.broken(), thing, "broken");
        }
        done(by, job, "step", entry, words.toString(), Map.of("step", stepId, "open", way.open()));
    }

    private static void tell(StringBuilder words, int count, Thing thing, String what) {
        if (count > 0) {
            words.append(". ")
                    .append(count)
                    .append(" × ")
                    .append(thing.label())
                    .append(' ')
                    .append(what);
        }
    }

    /** Keeps the notes as they are now for this job, and enters what was missing on arrival. */
    private Ledger open(By by, BenchState state) {
        if (state.teardown().steps().isEmpty()) {
            throw Refused.because("There are no notes for " + state.job().model() + " "
                    + state.job().revision() + " yet. Write the first step under Models.");
        }
        long job = state.job().id();
        jobs.openWith(job, state.notes().id());
        List<String> known = state.teardown().things().stream().map(Thing::id).toList();
        List<Move> missing = arrivals.missing(job).stream()
                .filter(thing -> known.contains(thing.thing()))
                .map(thing -> Move.of(thing.thing(), Account.FITTED, Account.MISSING_ON_ARRIVAL, thing.count()))
                .toList();
        return post(by, job, null, state.ledger(), missing);
    }

    /**
     * What became of a thing on the way out.
     *
     * @param part the part taken from a drawer for what is replaced; empty if it came from elsewhere
     */
    public record Settled(PutBack putBack, Optional<Long> part) {
        String thing() {
            return putBack.thing();
        }
    }

    /** One step out. What is not said goes back from the tray. */
    public void stepOut(By by, long job, Seen seen, String stepId, List<Settled> said) {
        BenchState state = changeable(job, seen);
        Step step = state.teardown().step(stepId);
        WayIn way = state.way().out(stepId);
        Map<String, Settled> byThing = byThing(step, said, Settled::thing);
        long entry = store.addStep(by, job, stepId, Direction.OUT, null);
        Ledger ledger = state.ledger();
        StringBuilder words = new StringBuilder("Out: " + step.title());
        for (Thing thing : step.things()) {
            Settled out =
                    byThing.getOrDefault(thing.id(), new Settled(PutBack.all(ledger, thing.id()), Optional.empty()));
            ledger = post(by, job, entry, ledger, out.putBack().moves(ledger));
            tell(words, out.putBack().replaced(), thing, "replaced");
            tell(
                    words,
                    out.putBack().leftOut(),
                    thing,
                    "left out: " + out.putBack().reason());
            if (out.part().isPresent() && out.putBack().replaced() > 0) {
                DrawerService.Taken taken = drawers.take(
                        by, out.part().get(), out.putBack().replaced(), job, "in place of " + thing.label());
                words.append(" (").append(taken.words()).append(')');
            }
        }
        done(by, job, "step", entry, words.toString(), Map.of("step", stepId, "open", way.open()));
    }

    /** Takes back the last step, in or out, by opposite entries. */
    public void stepBack(By by, long job, Seen seen) {
        BenchState state = changeable(job, seen);
        StepEntry last = state.lastStep(facts.of(state.job()))
                .orElseThrow(() -> Refused.because("There is no step to take back since the unit was last closed."));
        List<LedgerEntry> moves = state.entries().stream()
                .filter(entry -> entry.stepEntry().filter(id -> id == last.id()).isPresent())
                .toList();
        Direction opposite = last.direction() == Direction.IN ? Direction.OUT : Direction.IN;
        Step step = state.teardown().step(last.step());
        WayIn way = opposite == Direction.IN
                ? state.way().in(last.step())
                : state.way().out(last.step());
        long entry = store.addStep(by, job, last.step(), opposite, last.id());
        Ledger ledger = state.ledger();
        for (int at = moves.size() - 1; at >= 0; at--) {
            Move move = moves.get(at).move();
            ledger = ledger.undone(move);
            store.addMove(
                    by,
                    job,
                    entry,
                    ledger.thing(move.thing()),
                    move.opposite(),
                    moves.get(at).id());
        }
        done(
                by,
                job,
                "step",
                entry,
                "Taken back: " + step.title() + " " + last.direction().name().toLowerCase(java.util.Locale.ROOT),
                Map.of("step", last.step(), "open", way.open()));
    }

    /**
     * One move of the ledger by hand: found again, lost, broken, put back, replaced, left out.
     *
     * @param part the part taken from a drawer when something is replaced; empty if it came from elsewhere
     */
    public void move(By by, long job, Seen seen, Move move, Optional<Long> part) {
        BenchState state = changeable(job, seen);
        if (!state.opened()) {
            throw Refused.because("The unit is not open: do the first step in.");
        }
        Thing thing = state.ledger().thing(move.thing());
        post(by, job, null, state.ledger(), List.of(move));
        String words = move.count() + " × " + thing.label() + ": " + move.from().words() + " → "
                + move.to().words() + (move.reason().isEmpty() ? "" : ". " + move.reason());
        if (part.isPresent() && move.to() == Account.REPLACED) {
            words += " ("
                    + drawers.take(by, part.get(), move.count(), job, "in place of " + thing.label())
                            .words() + ")";
        }
        done(by, job, "ledger", job, words, move);
    }

    /** Says which variant of its model a component is, once it can be seen. */
    public void fit(By by, long job, Seen seen, long component, long revision) {
        BenchState state = changeable(job, seen);
        done(by, job, "fitted", component, inside.fit(by, state, component, revision), revision);
    }

    /** Closes the unit, if nothing is in the way; else names each thing that is. */
    public void close(By by, long job, Seen seen) {
        BenchState state = changeable(job, seen);
        JobFacts now = facts.of(state.job());
        if (now.closed()) {
            throw Refused.because("The unit is closed already.");
        }
        List<String> reasons = state.inTheWay(now);
        if (!reasons.isEmpty()) {
            throw Refused.because(reasons);
        }
        done(by, job, "closing", store.addClosing(by, job), "Closed up, everything accounted for", null);
    }

    private Ledger post(By by, long job, Long stepEntry, Ledger ledger, List<Move> moves) {
        Ledger now = ledger;
        for (Move move : moves) {
            now = now.with(move);
            store.addMove(by, job, stepEntry, now.thing(move.thing()), move, null);
        }
        return now;
    }

    private void done(By by, long job, String subject, long subjectId, String words, Object after) {
        jobs.countBenchMove(job);
        journal.write(by, Journal.Entry.ofJob(job, subject, subjectId, words, after));
    }

    private static <T> Map<String, T> byThing(Step step, List<T> said, Function<T, String> thing) {
        List<String> ids = step.things().stream().map(Thing::id).toList();
        return said.stream()
                .peek(one -> {
                    if (!ids.contains(thing.apply(one))) {
                        throw new Invalid("thing", "\"" + step.title() + "\" has no " + thing.apply(one));
                    }
                })
                .collect(Collectors.toMap(thing, Function.identity(), (one, other) -> {
                    throw new Invalid("thing", thing.apply(one) + " is said twice");
                }));
    }
}
