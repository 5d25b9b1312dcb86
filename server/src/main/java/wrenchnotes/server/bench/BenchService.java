package wrenchnotes.server.bench;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.Account;
import wrenchnotes.core.bench.Basis;
import wrenchnotes.core.bench.LastReach;
import wrenchnotes.core.bench.Ledger;
import wrenchnotes.core.bench.Move;
import wrenchnotes.core.bench.PutBack;
import wrenchnotes.core.bench.TakenOff;
import wrenchnotes.core.bench.WayIn;
import wrenchnotes.core.teardown.Assembled;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Thing;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.bench.BenchStore.Direction;
import wrenchnotes.server.bench.BenchStore.LedgerEntry;
import wrenchnotes.server.bench.BenchStore.StepEntry;
import wrenchnotes.server.drawer.DrawerService;
import wrenchnotes.server.ground.By;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.teardown.ProposalService;

/** Work on an opened unit: steps in and out, and moves of the ledger. Each method runs in the caller's transaction. */
@Component
public class BenchService {

    private final Benches benches;
    private final BenchStore store;
    private final Inside inside;
    private final DrawerService drawers;
    private final ProposalService proposals;

    BenchService(Benches benches, BenchStore store, Inside inside, DrawerService drawers, ProposalService proposals) {
        this.benches = benches;
        this.store = store;
        this.inside = inside;
        this.drawers = drawers;
        this.proposals = proposals;
    }

    /** The bench as it is now. */
    BenchView view(long job) {
        return benches.view(benches.state(job));
    }

    /**
     * What was found in a step on the way in. What is not said comes off as is usual.
     *
     * @param found otherwise than the notes say
     * @param basis how the counts are known that are not said one by one
     * @param acknowledged that the wait which the step's caution asks for was kept, and what it asks for was done
     */
    public record CameOff(List<TakenOff> found, Basis basis, boolean acknowledged) {
        public static final CameOff AS_THE_NOTES_SAY = new CameOff(List.of(), Basis.COUNTED, false);
    }

    /** One step in. */
    public void stepIn(By by, long job, Seen seen, String stepId, CameOff said) {
        BenchState state = benches.running(by, job, seen);
        Step step = state.teardown().step(stepId);
        WayIn way = state.way().in(stepId);
        Waits.mustBeOver(step, state.run().orElseThrow(), said.acknowledged(), by.at());
        Map<String, TakenOff> byThing = byThing(step, said.found(), TakenOff::thing);
        long entry = store.addStep(by, job, stepId, Direction.IN, null);
        Ledger ledger = state.ledger();
        StringBuilder words = new StringBuilder("In: " + step.title());
        for (Thing thing : step.things()) {
            TakenOff off = byThing.getOrDefault(thing.id(), TakenOff.usual(ledger, step, thing, said.basis()));
            ledger = benches.post(by, job, entry, ledger, off.moves(ledger));
            tell(words, off.missing(), thing, "missing");
            tell(words, off.broken(), thing, "broken");
            tell(words, off.destroyed(), thing, "used up");
        }
        if (said.basis() != Basis.COUNTED) {
            words.append(" (").append(said.basis().words()).append(')');
        }
        benches.done(by, job, "step", entry, words.toString(), Map.of("step", stepId, "open", way.open()));
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

    /** One step out. What is not said goes back from the tray. Refused while something under it is still off. */
    public void stepOut(By by, long job, Seen seen, String stepId, List<Settled> said) {
        BenchState state = benches.running(by, job, seen);
        Step step = state.teardown().step(stepId);
        WayIn way = state.way().out(stepId);
        refuseIfLastReach(state, step);
        Map<String, Settled> byThing = byThing(step, said, Settled::thing);
        long entry = store.addStep(by, job, stepId, Direction.OUT, null);
        Ledger ledger = state.ledger();
        StringBuilder words = new StringBuilder("Out: " + step.title());
        for (Thing thing : step.things()) {
            Settled out =
                    byThing.getOrDefault(thing.id(), new Settled(PutBack.all(ledger, thing.id()), Optional.empty()));
            PutBack put = out.putBack();
            ledger = benches.post(by, job, entry, ledger, put.moves(ledger));
            String instead = put.instead().isEmpty() ? "replaced" : "went back as " + put.instead();
            tell(words, put.replaced(), thing, instead);
            tell(words, put.leftOut(), thing, "left out: " + put.reason());
            tell(words, put.forNow(), thing, "left out for now: " + put.reason());
            if (out.part().isPresent() && put.replaced() > 0) {
                DrawerService.Taken taken =
                        drawers.take(by, out.part().get(), put.replaced(), job, "in place of " + thing.label());
                words.append(" (").append(taken.words()).append(')');
            }
            proposeInstead(by, state, step, thing, put);
        }
        benches.done(by, job, "step", entry, words.toString(), Map.of("step", stepId, "open", way.open()));
    }

    private static void refuseIfLastReach(BenchState state, Step step) {
        List<String> off = LastReach.before(state.teardown(), state.way(), state.ledger(), step.id()).stream()
                .map(thing -> "Still off under it: " + thing.label()
                        + ". Put it in now, or say why it stays out: it cannot be reached later.")
                .toList();
        if (!off.isEmpty()) {
            throw Refused.because(off);
        }
    }

    /** What went back as something else is worth a line in the notes, if whoever knows the model thinks so too. */
    private void proposeInstead(By by, BenchState state, Step step, Thing thing, PutBack put) {
        if (put.instead().isEmpty() || put.replaced() == 0) {
            return;
        }
        Assembled.Written written = Assembled.written(step.id());
        long revision = state.revisionOf(written);
        Step now = benches.writtenNow(revision, written.id());
        String words = "In place of " + put.replaced() + " × " + thing.label() + ": " + put.instead();
        if (now != null && !now.closeUp().contains(words) && now.closeUp().length() + words.length() < 490) {
            String closeUp = now.closeUp().isEmpty() ? words + "." : now.closeUp() + " " + words + ".";
            proposals.propose(by, revision, Optional.of(state.job().id()), now.closingUp(closeUp), words);
        }
    }

    /** Takes back the last step, in or out, by opposite entries. */
    public void stepBack(By by, long job, Seen seen) {
        BenchState state = benches.running(by, job, seen);
        StepEntry last = state.lastStep()
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
        benches.done(
                by,
                job,
                "step",
                entry,
                "Taken back: " + step.title() + " " + last.direction().name().toLowerCase(Locale.ROOT),
                Map.of("step", last.step(), "open", way.open()));
    }

    /**
     * One move of the ledger by hand: found again, lost, broken, put back, replaced, left out.
     *
     * @param part the part taken from a drawer when something is replaced; empty if it came from elsewhere
     */
    public void move(By by, long job, Seen seen, Move move, Optional<Long> part) {
        BenchState state = benches.running(by, job, seen);
        Thing thing = state.ledger().thing(move.thing());
        benches.post(by, job, null, state.ledger(), List.of(move));
        String words = move.count() + " × " + thing.label() + ": " + move.from().words() + " → "
                + move.to().words() + (move.reason().isEmpty() ? "" : ". " + move.reason());
        if (part.isPresent() && move.to() == Account.REPLACED) {
            words += " ("
                    + drawers.take(by, part.get(), move.count(), job, "in place of " + thing.label())
                            .words() + ")";
        }
        benches.done(by, job, "ledger", job, words, move);
    }

    /** Says which variant of its model a component is, once it can be seen. */
    public void fit(By by, long job, Seen seen, long component, long revision) {
        BenchState state = benches.running(by, job, seen);
        benches.done(by, job, "fitted", component, inside.fit(by, state, component, revision), revision);
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
