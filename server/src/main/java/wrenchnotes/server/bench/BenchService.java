package wrenchnotes.server.bench;

import java.util.ArrayList;
import java.util.Collections;
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
import wrenchnotes.core.job.JobEntry;
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
import wrenchnotes.server.job.EntryService;
import wrenchnotes.server.teardown.ProposalService;

/** Work on an opened unit: steps in and out, and moves of the ledger. Each method runs in the caller's transaction. */
@Component
public class BenchService {

    private final Benches benches;
    private final Inside inside;
    private final DrawerService drawers;
    private final ProposalService proposals;
    private final EntryService entries;

    BenchService(
            Benches benches, Inside inside, DrawerService drawers, ProposalService proposals, EntryService entries) {
        this.benches = benches;
        this.inside = inside;
        this.drawers = drawers;
        this.proposals = proposals;
        this.entries = entries;
    }

    /** The bench as it is now. */
    BenchView view(long job) {
        return benches.view(benches.state(job));
    }

    BenchView view(BenchState state) {
        return benches.view(state);
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
    public BenchState stepIn(By by, long job, Seen seen, String stepId, CameOff said) {
        return stepIn(benches.entering(by, job, seen), stepId, said);
    }

    BenchState stepIn(BenchPress press, String stepId, CameOff said) {
        BenchState state = press.now();
        Step step = state.teardown().step(stepId);
        WayIn way = state.way().in(stepId);
        Waits.mustBeOver(
                step, state.run().orElseThrow(), said.acknowledged(), press.by().now());
        Map<String, TakenOff> byThing = byThing(step, said.found(), TakenOff::thing);
        if (step.waitHours() > 0) {
            entries.say(press.by(), press.job(), new JobEntry.Acknowledged(stepId, step.title(), step.caution()));
        }
        StepEntry entry = press.step(stepId, Direction.IN, Optional.empty());
        List<Move> moves = new ArrayList<>();
        StringBuilder words = new StringBuilder("In: " + step.title());
        for (Thing thing : step.things()) {
            TakenOff off = byThing.getOrDefault(thing.id(), TakenOff.usual(state.ledger(), step, thing, said.basis()));
            moves.addAll(off.moves(state.ledger()));
            tell(words, off.missing(), thing, "missing");
            tell(words, off.broken(), thing, "broken");
            tell(words, off.destroyed(), thing, "used up");
        }
        press.post(Optional.of(entry.id()), moves);
        if (said.basis() != Basis.COUNTED) {
            words.append(" (").append(said.basis().words()).append(')');
        }
        return press.done("step", entry.id(), words.toString(), Map.of("step", stepId, "open", way.open()));
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
    public BenchState stepOut(By by, long job, Seen seen, String stepId, List<Settled> said) {
        BenchPress press = benches.running(by, job, seen);
        BenchState state = press.now();
        Step step = state.teardown().step(stepId);
        WayIn way = state.way().out(stepId);
        refuseIfLastReach(state, step);
        Map<String, Settled> byThing = byThing(step, said, Settled::thing);
        StepEntry entry = press.step(stepId, Direction.OUT, Optional.empty());
        Ledger ledger = state.ledger();
        List<Move> moves = new ArrayList<>();
        StringBuilder words = new StringBuilder("Out: " + step.title());
        for (Thing thing : step.things()) {
            Settled out =
                    byThing.getOrDefault(thing.id(), new Settled(PutBack.all(ledger, thing.id()), Optional.empty()));
            PutBack put = out.putBack();
            moves.addAll(put.moves(ledger));
            String instead = put.instead().isEmpty() ? "replaced" : "went back as " + put.instead();
            tell(words, put.replaced(), thing, instead);
            tell(words, put.leftOut(), thing, "left out: " + put.reason());
            tell(words, put.forNow(), thing, "left out for now: " + put.reason());
            if (out.part().isPresent() && put.replaced() > 0) {
                words.append(taken(press, out.part().get(), put.replaced(), thing));
            }
            proposeInstead(press, step, thing, put);
        }
        press.post(Optional.of(entry.id()), moves);
        return press.done("step", entry.id(), words.toString(), Map.of("step", stepId, "open", way.open()));
    }

    /** The part that a thing was replaced with, out of its drawer. */
    private String taken(BenchPress press, long part, int count, Thing thing) {
        return " ("
                + drawers.take(press.by(), part, count, press.job(), "in place of " + thing.label())
                        .words()
                + ")";
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
    private void proposeInstead(BenchPress press, Step step, Thing thing, PutBack put) {
        if (put.instead().isEmpty() || put.replaced() == 0) {
            return;
        }
        Assembled.Written written = Assembled.written(step.id());
        long revision = press.now().revisionOf(written);
        Step now = benches.writtenNow(revision, written.id());
        String words = "In place of " + put.replaced() + " × " + thing.label() + ": " + put.instead();
        if (now != null && !now.closeUp().contains(words) && now.closeUp().length() + words.length() < 490) {
            String closeUp = now.closeUp().isEmpty() ? words + "." : now.closeUp() + " " + words + ".";
            proposals.propose(press.by(), revision, Optional.of(press.job()), now.closingUp(closeUp), words);
        }
    }

    /** Takes back the last step, in or out, by opposite entries. */
    public BenchState stepBack(By by, long job, Seen seen) {
        BenchPress press = benches.running(by, job, seen);
        BenchState state = press.now();
        StepEntry last = state.lastStep()
                .orElseThrow(() -> Refused.because("There is no step to take back since the unit was last closed."));
        List<LedgerEntry> moves = new ArrayList<>(state.entries().stream()
                .filter(entry -> entry.stepEntry().filter(id -> id == last.id()).isPresent())
                .toList());
        Collections.reverse(moves);
        Direction opposite = last.direction() == Direction.IN ? Direction.OUT : Direction.IN;
        Step step = state.teardown().step(last.step());
        WayIn way = opposite == Direction.IN
                ? state.way().in(last.step())
                : state.way().out(last.step());
        Ledger ledger = state.ledger();
        for (LedgerEntry move : moves) {
            ledger = ledger.undone(move.move());
        }
        StepEntry entry = press.step(last.step(), opposite, Optional.of(last.id()));
        press.enter(
                Optional.of(entry.id()),
                moves.stream()
                        .map(one -> new BenchStore.NewMove(one.move().opposite(), Optional.of(one.id())))
                        .toList());
        return press.done(
                "step",
                entry.id(),
                "Taken back: " + step.title() + " " + last.direction().name().toLowerCase(Locale.ROOT),
                Map.of("step", last.step(), "open", way.open()));
    }

    /**
     * One move of the ledger by hand: found again, lost, broken, put back, replaced, left out.
     *
     * @param part the part taken from a drawer when something is replaced; empty if it came from elsewhere
     */
    public BenchState move(By by, long job, Seen seen, Move move, Optional<Long> part) {
        BenchPress press = benches.entering(by, job, seen);
        Thing thing = press.now().ledger().thing(move.thing());
        press.post(Optional.empty(), List.of(move));
        String words = move.count() + " × " + thing.label() + ": " + move.from().words() + " → "
                + move.to().words() + (move.reason().isEmpty() ? "" : ". " + move.reason());
        if (part.isPresent() && move.to() == Account.REPLACED) {
            words += taken(press, part.get(), move.count(), thing);
        }
        return press.done("ledger", job, words, move);
    }

    /** Says which variant of its model a component is, once it can be seen. */
    public BenchState fit(By by, long job, Seen seen, long component, long revision) {
        BenchPress press = benches.running(by, job, seen);
        String words = inside.fit(press, component, revision);
        return press.done("fitted", component, words, revision);
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
