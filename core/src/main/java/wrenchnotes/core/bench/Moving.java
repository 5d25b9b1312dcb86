package wrenchnotes.core.bench;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Thing;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.core.unit.Words;

/** What a press puts in the ledger: steps in and out, a step taken back, a move by hand. Lives for one press. */
final class Moving {

    private final Run before;
    private final By by;
    private long lastId;

    Moving(Run before, By by) {
        this.before = before;
        this.by = by;
        this.lastId = Stream.concat(
                        before.log().steps().stream().map(StepEntry::id),
                        before.log().moves().stream().map(LedgerEntry::id))
                .mapToLong(Long::longValue)
                .max()
                .orElse(0);
    }

    /** An entry, and what to tell of it. */
    record Made(Entered entry, String words) {}

    Made in(Press.StepIn said) {
        Step step = before.notes().step(said.step());
        before.way().in(said.step());
        Map<String, TakenOff> byThing = byThing(step, said.found(), TakenOff::thing);
        List<Move> moves = new ArrayList<>();
        StringBuilder words = new StringBuilder("In: " + step.title());
        for (Thing thing : step.things()) {
            TakenOff off = byThing.getOrDefault(thing.id(), TakenOff.usual(before.ledger(), step, thing, said.basis()));
            moves.addAll(off.moves(before.ledger()));
            tell(words, off.missing(), thing, "missing");
            tell(words, off.broken(), thing, "broken");
            tell(words, off.destroyed(), thing, "used up");
        }
        if (said.basis() != Basis.COUNTED) {
            words.append(" (").append(said.basis().words()).append(')');
        }
        return new Made(stepped(step, Direction.IN, Optional.empty(), plain(moves)), words.toString());
    }

    Made out(Press.StepOut said) {
        Step step = before.notes().step(said.step());
        before.way().out(said.step());
        refuseIfLastReach(step);
        Map<String, PutBack> byThing = byThing(step, said.settled(), PutBack::thing);
        List<Move> moves = new ArrayList<>();
        StringBuilder words = new StringBuilder("Out: " + step.title());
        for (Thing thing : step.things()) {
            PutBack usual = Replaced.usual(before.ledger(), thing, said.ends().replaced());
            PutBack put = byThing.getOrDefault(thing.id(), usual);
            if (put.back() > usual.back() && usual.replaced() > 0) {
                throw Refused.because(Replaced.sentence(thing));
            }
            moves.addAll(put.moves(before.ledger()));
            tell(words, put.replaced(), thing, put.instead().isEmpty() ? "replaced" : "went back as " + put.instead());
            tell(words, put.leftOut(), thing, "left out: " + put.reason());
            tell(words, put.forNow(), thing, "left out for now: " + put.reason());
            if (put.replaced() > 0 && said.parts().containsKey(thing.id())) {
                words.append(" (").append(said.parts().get(thing.id())).append(')');
            }
        }
        return new Made(stepped(step, Direction.OUT, Optional.empty(), plain(moves)), words.toString());
    }

    private void refuseIfLastReach(Step step) {
        List<String> off = before.lastReach(step).stream()
                .map(open -> "Under it, and out of reach later: " + open.sentence())
                .toList();
        if (!off.isEmpty()) {
            throw Refused.because(off);
        }
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

    Made back() {
        StepEntry last = before.lastStep()
                .orElseThrow(() -> Refused.because("There is no step to take back since the unit was last closed."));
        Step step = before.notes().step(last.step());
        if (last.direction() == Direction.IN) {
            before.way().out(last.step());
        } else {
            before.way().in(last.step());
        }
        List<LedgerEntry> its = new ArrayList<>(before.log().moves().stream()
                .filter(entry -> entry.stepEntry().filter(id -> id == last.id()).isPresent())
                .toList());
        Collections.reverse(its);
        Ledger ledger = before.ledger();
        for (LedgerEntry entry : its) {
            ledger = ledger.undone(entry.move());
        }
        Entered entry = stepped(
                step,
                last.direction().opposite(),
                Optional.of(last.id()),
                its.stream()
                        .map(one -> new Posted(one.move().opposite(), Optional.of(one.id())))
                        .toList());
        return new Made(
                entry, "Taken back: " + step.title() + " " + last.direction().words());
    }

    Made move(Press.MoveByHand said) {
        Move move = said.move();
        Thing thing = before.ledger().thing(move.thing());
        if (!Ledger.byHand(move.from(), move.to())) {
            throw Refused.because(
                    thing.label() + ": count what lies on the mat, and what the notes do not know is entered by that.");
        }
        Entered entry = new Entered.Moved(posted(Optional.empty(), plain(List.of(move))));
        String words = move.count() + " × " + thing.label() + ": " + move.from().words() + " → "
                + move.to().words() + (move.reason().isEmpty() ? "" : ". " + move.reason())
                + (said.part().isEmpty() ? "" : " (" + said.part() + ")");
        return new Made(entry, words);
    }

    /** What lies on the mat is counted: what was one lot is so many, or there are more than the notes say. */
    Made counted(Press.Counted said) {
        Checked.within("lying", said.lying(), 1, 99);
        Ledger ledger = before.ledger();
        Thing thing = ledger.thing(said.thing());
        int tray = ledger.count(thing.id(), Account.TRAY);
        int lot = ledger.isCounted(thing.id()) ? 0 : tray;
        int more = said.lying() - tray + lot;
        if (tray == 0) {
            throw Refused.because(thing.label() + ": none of them lies on the mat. Take them off first.");
        }
        if (more < 0) {
            throw Refused.because("%s: %d lie on the mat, not %d. Say what became of the rest: lost, broken, back."
                    .formatted(thing.label(), tray, said.lying()));
        }
        if (more == 0) {
            throw Refused.because(thing.label() + ": that many lie on the mat already.");
        }
        List<Move> moves = new ArrayList<>();
        if (lot > 0) {
            moves.add(new Move(thing.id(), Account.TRAY, Account.BEYOND_NOTES, lot, "", Basis.UNKNOWN));
        }
        moves.add(Move.of(thing.id(), Account.BEYOND_NOTES, Account.TRAY, more));
        String words = lot > 0
                ? "Counted: " + said.lying() + " × " + thing.label()
                : more + " × " + thing.label() + " more than the notes say";
        return new Made(new Entered.Moved(posted(Optional.empty(), plain(moves))), words);
    }

    /** What the notes that the job goes by from now on count, of what nobody had counted or touched here. */
    Entered asTheNotesCount(List<Move> moves) {
        return new Entered.Moved(posted(Optional.empty(), plain(moves)));
    }

    /** What findings say was replaced, after the old one was said to be back in its place. */
    Made settle(Press.Settle said) {
        List<Move> moves = new ArrayList<>();
        StringBuilder words = new StringBuilder("As the finding says");
        for (Thing thing : before.agreed().stillTheOld(said.replaced())) {
            int others = Replaced.stillTheOld(before.ledger(), thing, said.replaced());
            moves.add(new Move(thing.id(), Account.FITTED, Account.REPLACED, others, "as a finding says"));
            tell(words, others, thing, "replaced");
        }
        return new Made(new Entered.Moved(posted(Optional.empty(), plain(moves))), words.toString());
    }

    /** A press that moved something by hand is taken back, as far as it was not taken back before. */
    Made takeBack(Press.TakeBack said) {
        List<LedgerEntry> its = new ArrayList<>(before.agreed().byHand(said.moment()));
        Collections.reverse(its);
        if (its.isEmpty()) {
            throw Refused.because("There is no such move to take back.");
        }
        List<Posted> opposite = its.stream()
                .map(one -> new Posted(one.move().opposite(), Optional.of(one.id())))
                .toList();
        StringBuilder words = new StringBuilder("Taken back");
        its.forEach(one -> tell(
                words,
                one.move().count(),
                before.ledger().thing(one.move().thing()),
                one.move().to().words()));
        return new Made(new Entered.Moved(posted(Optional.empty(), opposite)), words.toString());
    }

    Made missing(Press.CountMissing said) {
        List<String> known = before.notes().things().stream().map(Thing::id).toList();
        List<Move> moves = said.things().stream()
                .filter(one -> known.contains(one.thing()))
                .map(this::missing)
                .toList();
        int count = moves.stream().mapToInt(Move::count).sum();
        return new Made(
                new Entered.Moved(posted(Optional.empty(), plain(moves))),
                Words.count(count, "thing", "things") + " missing on arrival");
    }

    /** Of what nobody has counted, what is missing is beside the lot that is there. */
    private Move missing(Press.CountedMissing one) {
        return before.ledger().isCounted(one.thing())
                ? Move.of(one.thing(), Account.FITTED, Account.MISSING_ON_ARRIVAL, one.count())
                : new Move(one.thing(), Account.BEYOND_NOTES, Account.MISSING_ON_ARRIVAL, one.count(), "", Basis.TOLD);
    }

    /** A move about to be entered. */
    private record Posted(Move move, Optional<Long> undoes) {}

    private static List<Posted> plain(List<Move> moves) {
        return moves.stream().map(move -> new Posted(move, Optional.empty())).toList();
    }

    private Entered stepped(Step step, Direction direction, Optional<Long> undoes, List<Posted> moves) {
        StepEntry entry = new StepEntry(++lastId, step.id(), direction, undoes, by.moment());
        return new Entered.Stepped(entry, posted(Optional.of(entry.id()), moves));
    }

    /** Each is allowed by the ledger after those before it, or undoes an earlier one. */
    private List<LedgerEntry> posted(Optional<Long> step, List<Posted> moves) {
        Ledger ledger = before.ledger();
        List<LedgerEntry> entries = new ArrayList<>();
        for (Posted one : moves) {
            ledger = one.undoes().isPresent() ? ledger.undone(one.move().opposite()) : ledger.with(one.move());
            entries.add(new LedgerEntry(++lastId, step, one.move(), one.undoes(), by.moment()));
        }
        return entries;
    }

    private static <T> Map<String, T> byThing(Step step, List<T> said, Function<T, String> thing) {
        List<String> ids = step.things().stream().map(Thing::id).toList();
        for (T one : said) {
            if (!ids.contains(thing.apply(one))) {
                throw new Invalid("thing", "\"" + step.title() + "\" has no " + thing.apply(one));
            }
        }
        return said.stream().collect(Collectors.toMap(thing, Function.identity(), (one, other) -> {
            throw new Invalid("thing", thing.apply(one) + " is said twice");
        }));
    }
}
