package wrenchnotes.core.bench;

import java.util.ArrayList;
import java.util.List;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.Head;
import wrenchnotes.core.teardown.LoosePiece;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Thing;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Refused;

/**
 * What came off of one thing on the way in, as counted. Where nobody had counted before, or where there are more than the notes say, what is counted here is
 * how many there are.
 *
 * @param toTray came off whole and lies in the tray
 * @param missing were not there
 * @param broken came off broken, or were found so
 * @param destroyed used up by taking them off, such as rivets cut
 * @param basis how the count is known; left out (null) means counted
 */
public record TakenOff(String thing, int toTray, int missing, int broken, int destroyed, Basis basis) {

    public TakenOff {
        Checked.text("thing", thing, 80);
        Checked.within("toTray", toTray, 0, 99);
        Checked.within("missing", missing, 0, 99);
        Checked.within("broken", broken, 0, 99);
        Checked.within("destroyed", destroyed, 0, 99);
        basis = basis == null ? Basis.COUNTED : basis;
    }

    /** As counted, with nothing used up. */
    public TakenOff(String thing, int toTray, int missing, int broken) {
        this(thing, toTray, missing, broken, 0, Basis.COUNTED);
    }

    /** All of what is in its place comes off whole: what is usual, and one key on the bench. */
    public static TakenOff all(Ledger ledger, String thing) {
        return new TakenOff(thing, there(ledger, thing), 0, 0, 0, basis(ledger, thing, Basis.COUNTED));
    }

    /**
     * What is usual in a step: all comes off whole, but rivets in a step that cannot be undone are used up, and so is what does not survive
     * it.
     */
    public static TakenOff usual(Ledger ledger, Step step, Thing thing, Basis basis) {
        int there = there(ledger, thing.id());
        boolean gone = isUsedUp(step, thing);
        return new TakenOff(thing.id(), gone ? 0 : there, 0, 0, gone ? there : 0, basis(ledger, thing.id(), basis));
    }

    /** What comes off as is usual says nothing of how many there are, if nobody knew. */
    private static Basis basis(Ledger ledger, String thing, Basis said) {
        return ledger.isCounted(thing) ? said : Basis.UNKNOWN;
    }

    /** Whether a thing is used up by taking it off, unless it is said otherwise. */
    public static boolean isUsedUp(Step step, Thing thing) {
        boolean cut = !step.reversible()
                && thing instanceof FastenerGroup group
                && group.head().filter(Head::cut).isPresent();
        return cut || thing instanceof LoosePiece piece && piece.usedUp();
    }

    private static int there(Ledger ledger, String thing) {
        return ledger.count(thing, Account.FITTED) + ledger.count(thing, Account.REPLACED);
    }

    /**
     * The entries that say so. What was fitted from a drawer earlier comes off after what was there as made.
     *
     * @throws Refused if the counts do not add up to what is in its place (a thing is never simply gone) and nobody counted that there are more, or if more
     *     are said to have been missing on arrival than the unit could have come with
     */
    public List<Move> moves(Ledger ledger) {
        List<Move> moves = new ArrayList<>();
        int said = toTray + missing + broken + destroyed;
        int replaced = ledger.count(thing, Account.REPLACED);
        int fitted = ledger.count(thing, Account.FITTED);
        if (basis == Basis.COUNTED && fitted > 0) {
            int more = said - fitted - replaced;
            if (!ledger.isCounted(thing)) {
                post(moves, Account.FITTED, Account.BEYOND_NOTES, fitted, Basis.UNKNOWN);
                more = said - replaced;
                fitted = 0;
            }
            fitted += post(moves, Account.BEYOND_NOTES, Account.FITTED, Math.max(0, more), basis);
        }
        if (said != fitted + replaced) {
            throw Refused.because(
                    "%s: %d should be there and %d are accounted for. Say where the rest are: off, missing or broken."
                            .formatted(ledger.thing(thing).label(), fitted + replaced, said));
        }
        if (missing > fitted) {
            throw Refused.because(
                    "%s: %d of them were put in here, so they cannot have been missing on arrival. Say broken, or off and then lost."
                            .formatted(ledger.thing(thing).label(), replaced));
        }
        int[] left = {fitted, replaced};
        left[0] -= post(moves, Account.FITTED, Account.MISSING_ON_ARRIVAL, missing);
        share(moves, left, Account.BROKEN, broken);
        share(moves, left, Account.DESTROYED, destroyed);
        share(moves, left, Account.TRAY, toTray);
        return moves;
    }

    /** First from what is there as made, the rest from what was put in here. */
    private void share(List<Move> moves, int[] left, Account to, int count) {
        int asMade = post(moves, Account.FITTED, to, Math.min(count, left[0]));
        left[0] -= asMade;
        left[1] -= post(moves, Account.REPLACED, to, count - asMade);
    }

    private int post(List<Move> moves, Account from, Account to, int count) {
        return post(moves, from, to, count, basis);
    }

    private int post(List<Move> moves, Account from, Account to, int count, Basis known) {
        if (count > 0) {
            moves.add(new Move(thing, from, to, count, "", known));
        }
        return count;
    }
}
