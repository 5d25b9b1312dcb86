package wrenchnotes.core.bench;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import wrenchnotes.core.bench.NotesTaken.Opening;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.teardown.Thing;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Invalid;

/**
 * A unit lies open while its notes are made better: the job may go on by the newer ones. What it moved is found again by its id; what the newer notes do not
 * have is asked; nothing that is off the unit is lost.
 */
public final class NotesChange {

    private final Run run;
    private final Teardown now;

    /** @param now the newer notes, sub-assemblies included */
    public NotesChange(Run run, Teardown now) {
        this.run = run;
        this.now = now;
    }

    /**
     * What the newer notes do not have by its id, and what is open or not simply in its place.
     *
     * @param step whether it is a step; else it is a thing
     * @param words its title or label, with where it lies
     * @param choices ids and words of what it may be in the newer notes, likeliest first
     */
    public record AskedOfNotes(boolean step, String id, String words, List<MayBe> choices) {}

    public record MayBe(String id, String words) {}

    /** What has to be said before the job can go on by them; empty if all is found again. */
    public List<AskedOfNotes> asks() {
        List<AskedOfNotes> asks = new ArrayList<>();
        for (String open : run.way().open()) {
            if (!now.has(open)) {
                Step step = run.notes().step(open);
                asks.add(new AskedOfNotes(
                        true,
                        open,
                        step.title() + ", open",
                        likeliest(step.title(), now.steps().stream().map(one -> new MayBe(one.id(), one.title())))));
            }
        }
        Map<String, Thing> known = byId(now);
        for (Thing thing : run.ledger().things()) {
            if (!known.containsKey(thing.id()) && isOff(thing.id())) {
                asks.add(new AskedOfNotes(
                        false,
                        thing.id(),
                        where(thing),
                        likeliest(
                                thing.label(),
                                known.values().stream()
                                        .filter(one -> one.getClass() == thing.getClass())
                                        .map(one -> new MayBe(one.id(), one.inAll())))));
            }
        }
        return asks;
    }

    private static List<MayBe> likeliest(String label, Stream<MayBe> all) {
        return all.sorted((one, other) -> Boolean.compare(
                        other.words().contains(label), one.words().contains(label)))
                .toList();
    }

    private boolean isOff(String thing) {
        return run.ledger().accounts(thing).keySet().stream().anyMatch(account -> account != Account.FITTED);
    }

    private String where(Thing thing) {
        Map<Account, Integer> held = run.ledger().accounts(thing.id());
        StringBuilder words = new StringBuilder(thing.label());
        for (Account account : Account.values()) {
            if (held.containsKey(account)) {
                words.append(", ").append(held.get(account)).append(' ').append(account.words());
            }
        }
        return words.toString();
    }

    /**
     * @param taken to be kept
     * @param next the run by the newer notes
     * @param entered what the newer notes count, of what nobody had counted or touched here; to be kept too
     */
    public record Taken(NotesTaken taken, Run next, List<Entered> entered) {}

    /**
     * @param steps what was answered of steps, by their id before
     * @param things the same of things
     * @throws Invalid if something that is asked has no answer, or one that the newer notes do not have
     */
    public Taken take(Map<String, String> steps, Map<String, String> things, By by) {
        for (AskedOfNotes ask : asks()) {
            String answer = (ask.step() ? steps : things).get(ask.id());
            if (answer == null
                    || ask.choices().stream().noneMatch(one -> one.id().equals(answer))) {
                throw new Invalid(ask.id(), ask.words() + ": say what it is in the newer notes");
            }
        }
        NotesTaken taken = taken(steps, things, by);
        List<String> open = run.way().open().stream().map(taken::step).toList();
        if (Set.copyOf(open).size() < open.size()) {
            throw new Invalid(
                    "steps", "Two open steps cannot be one step of the newer notes: say another for one of them");
        }
        Run mapped = Run.replayed(now, run.log().renamed(taken));
        List<Move> counted = new ArrayList<>();
        taken.opened().keySet().forEach(thing -> counted(mapped.ledger(), thing, counted));
        if (counted.isEmpty()) {
            return new Taken(taken, mapped, List.of());
        }
        Entered entry = new Moving(mapped, by).asTheNotesCount(counted);
        return new Taken(taken, Run.replayed(now, mapped.log().plus(entry)), List.of(entry));
    }

    private NotesTaken taken(Map<String, String> steps, Map<String, String> things, By by) {
        return new NotesTaken(
                names(run.notes().steps().stream().map(Step::id), steps, now::has),
                names(run.ledger().things().stream().map(Thing::id), things, byId(now)::containsKey),
                opened(things),
                by.moment());
    }

    private static Map<String, String> names(Stream<String> before, Map<String, String> said, Predicate<String> has) {
        Map<String, String> names = new HashMap<>();
        before.filter(id -> !has.test(id)).forEach(id -> names.put(id, said.getOrDefault(id, "")));
        return names;
    }

    private Map<String, Opening> opened(Map<String, String> said) {
        Map<String, Thing> known = byId(now);
        Map<String, Opening> opened = new LinkedHashMap<>();
        for (Thing thing : run.ledger().things()) {
            String id = known.containsKey(thing.id()) ? thing.id() : said.getOrDefault(thing.id(), "");
            if (!id.isEmpty()) {
                opened.merge(id, run.ledger().opening(thing.id()), Opening::and);
            }
        }
        return opened;
    }

    /** What was one lot is as many as the newer notes say; what nobody has touched is too. */
    private void counted(Ledger ledger, String id, List<Move> moves) {
        Thing thing = ledger.thing(id);
        Map<Account, Integer> held = ledger.accounts(id);
        int made = ledger.made(id);
        if (!thing.hasCount() || made == thing.asMade() && ledger.isCounted(id) || held.size() != 1) {
            return;
        }
        Account where = held.keySet().iterator().next();
        Optional<Account> lies = Optional.of(where).filter(Account.BEYOND_NOTES.goesTo()::contains);
        if (!ledger.isCounted(id)) {
            lies.ifPresent(account -> {
                moves.add(new Move(id, account, Account.BEYOND_NOTES, made, "", Basis.UNKNOWN));
                moves.add(Move.of(id, Account.BEYOND_NOTES, account, thing.asMade()));
            });
        } else if (where == Account.FITTED) {
            int more = thing.asMade() - made;
            moves.add(
                    more > 0
                            ? new Move(id, Account.BEYOND_NOTES, Account.FITTED, more, "", Basis.TOLD)
                            : new Move(id, Account.FITTED, Account.BEYOND_NOTES, -more, "", Basis.TOLD));
        }
    }

    private static Map<String, Thing> byId(Teardown notes) {
        Map<String, Thing> byId = new LinkedHashMap<>();
        notes.things().forEach(thing -> byId.put(thing.id(), thing));
        return byId;
    }
}
