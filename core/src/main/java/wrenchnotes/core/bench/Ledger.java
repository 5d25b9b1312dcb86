package wrenchnotes.core.bench;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wrenchnotes.core.teardown.MainsSide;
import wrenchnotes.core.teardown.Thing;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Refused;

/**
 * The account of everything the notes say a unit has, by double entry: each move takes from one account what it adds to
 * another, so the accounts of a thing always add up to its count as made. Immutable; {@link #with} gives the next one.
 */
public final class Ledger {

    private final Map<String, Thing> things;
    private final Map<String, Map<Account, Integer>> accounts;
    /** How many of a thing were taken off without being counted. */
    private final Map<String, Integer> uncounted;

    private Ledger(
            Map<String, Thing> things, Map<String, Map<Account, Integer>> accounts, Map<String, Integer> uncounted) {
        this.things = things;
        this.accounts = accounts;
        this.uncounted = uncounted;
    }

    /** A ledger in which everything is fitted. */
    public static Ledger allFitted(List<Thing> things) {
        Map<String, Thing> byId = new LinkedHashMap<>();
        Map<String, Map<Account, Integer>> accounts = new LinkedHashMap<>();
        for (Thing thing : things) {
            byId.put(thing.id(), thing);
            accounts.put(thing.id(), new EnumMap<>(Map.of(Account.FITTED, thing.count())));
        }
        return new Ledger(byId, accounts, Map.of());
    }

    /**
     * The ledger of a unit as its entries left it, opposite entries included.
     *
     * @throws Refused if they cannot have happened in this order: an account would hold less than nothing
     */
    public static Ledger replayed(List<Thing> things, List<Move> entries) {
        Ledger ledger = allFitted(things);
        Map<String, Integer> uncounted = new LinkedHashMap<>();
        for (Move entry : entries) {
            // Nobody has seen this ledger yet: it may still be written in.
            ledger.accounts.put(entry.thing(), ledger.after(entry));
            ledger.countUncounted(entry, uncounted);
        }
        return new Ledger(ledger.things, ledger.accounts, uncounted);
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
        return new Ledger(things, next, still);
    }

    /** The accounts of the thing that a move is about, once it is made. */
    private Map<Account, Integer> after(Move move) {
        Thing thing = thing(move.thing());
        int there = count(move.thing(), move.from());
        if (there < move.count()) {
            throw Refused.because("%s: only %d %s, not %d. Look at the mat and count again."
                    .formatted(thing.label(), there, move.from().words(), move.count()));
        }
        Map<Account, Integer> after = new EnumMap<>(accounts.get(move.thing()));
        after.merge(move.from(), -move.count(), Integer::sum);
        after.merge(move.to(), move.count(), Integer::sum);
        after.values().removeIf(n -> n == 0);
        return after;
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

    /** The accounts of one thing; those that hold nothing are not in it. */
    public Map<Account, Integer> accounts(String thing) {
        thing(thing);
        return Map.copyOf(accounts.get(thing));
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
                if (most > 0) {
                    allowed.add(new AllowedMove(from, to, most));
                }
            }
        }
        return List.copyOf(allowed);
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
