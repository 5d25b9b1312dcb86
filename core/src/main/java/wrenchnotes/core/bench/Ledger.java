package wrenchnotes.core.bench;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wrenchnotes.core.bench.NotesTaken.Opening;
import wrenchnotes.core.teardown.MainsSide;
import wrenchnotes.core.teardown.Thing;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Refused;

/**
 * The account of everything the notes say a unit has, by double entry: each move takes from one account what it adds to
 * another, so the accounts of a thing always add up to its count as made. What a unit has more of than its notes say comes from
 * {@link Account#BEYOND_NOTES}. Things that nobody has counted are one lot, which somebody who counts exchanges for as many as there are.
 * Immutable; {@link #with} gives the next one.
 */
public final class Ledger {

    private final Map<String, Thing> things;
    private final Map<String, Map<Account, Integer>> accounts;
    /** How many of a thing were taken off without being counted. */
    private final Map<String, Integer> uncounted;
    /** How many of a thing somebody here counted that the notes do not have. */
    private final Map<String, Integer> countedHere;

    private final Map<String, Opening> openings;

    private Ledger(
            Map<String, Thing> things,
            Map<String, Map<Account, Integer>> accounts,
            Map<String, Integer> uncounted,
            Map<String, Integer> countedHere,
            Map<String, Opening> openings) {
        this.things = things;
        this.accounts = accounts;
        this.uncounted = uncounted;
        this.countedHere = countedHere;
        this.openings = openings;
    }

    /** A ledger in which everything is fitted. */
    public static Ledger allFitted(List<Thing> things) {
        return opened(things, Map.of());
    }

    /** A ledger in which everything is fitted, and of some of it another number than the notes say. */
    private static Ledger opened(List<Thing> things, Map<String, Opening> openings) {
        Map<String, Thing> byId = new LinkedHashMap<>();
        Map<String, Map<Account, Integer>> accounts = new LinkedHashMap<>();
        for (Thing thing : things) {
            byId.put(thing.id(), thing);
            int opened = opening(thing, openings).count();
            Map<Account, Integer> held = new EnumMap<>(Map.of(Account.FITTED, opened));
            if (opened != thing.asMade()) {
                held.put(Account.BEYOND_NOTES, thing.asMade() - opened);
            }
            accounts.put(thing.id(), held);
        }
        return new Ledger(byId, accounts, Map.of(), Map.of(), openings);
    }

    private static Opening opening(Thing thing, Map<String, Opening> openings) {
        return openings.getOrDefault(thing.id(), new Opening(thing.asMade(), thing.hasCount()));
    }

    /** What the books of a thing opened with. */
    Opening opening(String thing) {
        return opening(thing(thing), openings);
    }

    /**
     * The ledger of a unit as its entries left it, opposite entries included.
     *
     * @throws Refused if they cannot have happened in this order: an account would hold less than nothing
     */
    public static Ledger replayed(List<Thing> things, List<Move> entries) {
        return replayed(things, entries, Map.of());
    }

    /** @param openings of what opened with another number than the notes say now, which the job did not begin with */
    static Ledger replayed(List<Thing> things, List<Move> entries, Map<String, Opening> openings) {
        Ledger ledger = opened(things, openings);
        Map<String, Integer> uncounted = new LinkedHashMap<>();
        Map<String, Integer> counted = new LinkedHashMap<>();
        for (Move entry : entries) {
            // Nobody has seen this ledger yet: it may still be written in.
            ledger.accounts.put(entry.thing(), ledger.after(entry));
            ledger.countUncounted(entry, uncounted);
            count(entry, counted);
        }
        return new Ledger(ledger.things, ledger.accounts, uncounted, counted, openings);
    }

    /**
     * @throws Invalid if the thing is not of this unit
     * @throws Refused if there are not that many in the account, if things do not go that way, or if something is left
     *     out without a reason; nothing has then moved
     */
    public Ledger with(Move move) {
        if (!move.from().goesTo().contains(move.to())) {
            throw Refused.because("%s: what is %s cannot become %s. Put it in the tray or account for it first."
                    .formatted(
                            thing(move.thing()).label(),
                            move.from().words(),
                            move.to().words()));
        }
        if (move.from() == Account.TRAY
                && move.to() == Account.MISSING_ON_ARRIVAL
                && uncounted(move.thing()) < move.count()) {
            throw Refused.because(
                    "%s: they were counted when they came off, so they were here. Say lost, or count what lies on the mat."
                            .formatted(thing(move.thing()).label()));
        }
        if (move.to().wantsReason() && move.reason().isEmpty()) {
            throw Refused.because(
                    "%s: say why it is left out.".formatted(thing(move.thing()).label()));
        }
        return posted(move);
    }

    /**
     * Undoes an earlier entry by its opposite. Any entry can be undone as long as what it moved is still where it went.
     *
     * @throws Refused if some of it has since moved on
     */
    public Ledger undone(Move entry) {
        return posted(entry.opposite());
    }

    private Ledger posted(Move move) {
        Map<Account, Integer> after = after(move);
        Map<String, Map<Account, Integer>> next = new LinkedHashMap<>(accounts);
        next.put(move.thing(), after);
        Map<String, Integer> still = new LinkedHashMap<>(uncounted);
        countUncounted(move, still);
        Map<String, Integer> counted = new LinkedHashMap<>(countedHere);
        count(move, counted);
        return new Ledger(things, next, still, counted, openings);
    }

    /** The accounts of the thing that a move is about, once it is made. */
    private Map<Account, Integer> after(Move move) {
        Thing thing = thing(move.thing());
        int there = count(move.thing(), move.from());
        if (move.from() != Account.BEYOND_NOTES && there < move.count()) {
            throw Refused.because("%s: only %d %s, not %d. Look at the mat and count again."
                    .formatted(thing.label(), there, move.from().words(), move.count()));
        }
        Map<Account, Integer> after = new EnumMap<>(accounts.get(move.thing()));
        after.merge(move.from(), -move.count(), Integer::sum);
        after.merge(move.to(), move.count(), Integer::sum);
        after.values().removeIf(n -> n == 0);
        return after;
    }

    private static void count(Move move, Map<String, Integer> counted) {
        if (move.basis() == Basis.COUNTED && move.from() == Account.BEYOND_NOTES) {
            counted.merge(move.thing(), move.count(), Integer::sum);
        } else if (move.basis() == Basis.COUNTED && move.to() == Account.BEYOND_NOTES) {
            counted.merge(move.thing(), -move.count(), Integer::sum);
        }
    }

    private void countUncounted(Move move, Map<String, Integer> still) {
        if (move.basis() == Basis.COUNTED) {
            return;
        }
        if (move.from().inPlace() && move.to() == Account.TRAY) {
            still.merge(move.thing(), move.count(), Integer::sum);
        } else if (move.from() == Account.TRAY && move.to().inPlace()) {
            still.merge(move.thing(), -move.count(), Integer::sum);
        }
    }

    /** How many of a thing came off without being counted: told, or not known. */
    public int uncounted(String thing) {
        thing(thing);
        return uncounted.getOrDefault(thing, 0);
    }

    /** How many of a thing this unit has or had: as the notes say, and what turned out otherwise here. While nobody has counted, 1 for all of them. */
    public int made(String thing) {
        return thing(thing).asMade() - count(thing, Account.BEYOND_NOTES);
    }

    /** Whether a move about to be made is of a lot that nobody has counted. */
    public boolean isLot(Move move) {
        boolean books = move.from() == Account.BEYOND_NOTES || move.to() == Account.BEYOND_NOTES;
        return move.count() == 1 && (books ? move.basis() == Basis.UNKNOWN : !isCounted(move.thing()));
    }

    /** Whether it is known how many of a thing there are: by the notes, or since somebody counted here. */
    public boolean isCounted(String thing) {
        return opening(thing).counted() || countedHere.getOrDefault(thing, 0) > 0;
    }

    public List<Thing> things() {
        return List.copyOf(things.values());
    }

    /** @throws Invalid if the thing is not of this unit */
    public Thing thing(String id) {
        Thing thing = things.get(id);
        if (thing == null) {
            throw new Invalid("thing", "The notes of this unit have no " + id);
        }
        return thing;
    }

    public int count(String thing, Account account) {
        thing(thing);
        return accounts.get(thing).getOrDefault(account, 0);
    }

    /** The accounts of one thing, which add up to {@link #made}; those that hold nothing are not in it. */
    public Map<Account, Integer> accounts(String thing) {
        thing(thing);
        Map<Account, Integer> held = new EnumMap<>(accounts.get(thing));
        held.remove(Account.BEYOND_NOTES);
        return Map.copyOf(held);
    }

    /**
     * What can become of a thing by hand: every move that {@link #with} allows now, from what is off the unit.
     *
     * @throws Invalid if the thing is not of this unit
     */
    public List<AllowedMove> allowed(String thing) {
        List<AllowedMove> allowed = new ArrayList<>();
        for (Map.Entry<Account, Integer> held : accounts(thing).entrySet()) {
            Account from = held.getKey();
            for (Account to : from.inPlace() ? EnumSet.noneOf(Account.class) : from.goesTo()) {
                boolean never = to == Account.MISSING_ON_ARRIVAL;
                int most = never ? Math.min(held.getValue(), uncounted(thing)) : held.getValue();
                if (most > 0 && byHand(from, to)) {
                    allowed.add(new AllowedMove(from, to, most));
                }
            }
        }
        return List.copyOf(allowed);
    }

    /** Whether somebody can say so with a single press: what turns out to be more than the notes say is counted, {@link Press.Counted}. */
    static boolean byHand(Account from, Account to) {
        return from != Account.BEYOND_NOTES && (to != Account.BEYOND_NOTES || from == Account.MISSING_ON_ARRIVAL);
    }

    /** What is in the way of closing, thing by thing; empty exactly when the ledger balances. */
    public List<Unsettled> unsettled() {
        return things.values().stream()
                .flatMap(thing -> accounts.get(thing.id()).entrySet().stream()
                        .filter(held -> !held.getKey().settled())
                        .map(held -> new Unsettled(thing, held.getKey(), held.getValue())))
                .toList();
    }

    /** What is in the way of closing for now: as {@link #unsettled}, but for what is left out until the next run. */
    public List<Unsettled> unsettledForNow() {
        return unsettled().stream()
                .filter(open -> !open.account().settledForNow())
                .toList();
    }

    /** Nothing in the tray, and every absence decided: only then may the unit be closed. */
    public boolean balances() {
        return unsettled().isEmpty();
    }

    /** What a move is of work on the mains side, in words: something there was replaced. Empty if it is none. */
    public Optional<String> mainsWork(Move move) {
        return Optional.of(thing(move.thing()).label())
                .filter(label -> move.to() == Account.REPLACED && MainsSide.named(label))
                .map(label -> label + " replaced");
    }

    public Tally tally() {
        return Tally.of(this);
    }
}
