package wrenchnotes.core.bench;

import java.util.ArrayList;
import java.util.List;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Refused;

/**
 * What came off of one thing on the way in, as counted.
 *
 * @param toTray came off whole and lies in the tray
 * @param missing were not there
 * @param broken came off broken, or were found so
 */
public record TakenOff(String thing, int toTray, int missing, int broken) {

    public TakenOff {
        Checked.text("thing", thing, 80);
        Checked.within("toTray", toTray, 0, 99);
        Checked.within("missing", missing, 0, 99);
        Checked.within("broken", broken, 0, 99);
    }

    /** All of what is in its place comes off whole: what is usual, and one key on the bench. */
    public static TakenOff all(Ledger ledger, String thing) {
        int there = ledger.count(thing, Account.FITTED) + ledger.count(thing, Account.REPLACED);
        return new TakenOff(thing, there, 0, 0);
    }

    /**
     * The entries that say so. What was fitted from a drawer earlier comes off after what was there as made.
     *
     * @throws Refused if the counts do not add up to what is in its place (a thing is never simply gone), or if more are
     *     said to have been missing on arrival than the unit could have come with
     */
    public List<Move> moves(Ledger ledger) {
        int fitted = ledger.count(thing, Account.FITTED);
        int replaced = ledger.count(thing, Account.REPLACED);
        int said = toTray + missing + broken;
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
        List<Move> moves = new ArrayList<>();
        int left = fitted;
        left -= post(moves, Account.FITTED, Account.MISSING_ON_ARRIVAL, missing);
        int fittedBroken = post(moves, Account.FITTED, Account.BROKEN, Math.min(broken, left));
        left -= fittedBroken;
        post(moves, Account.REPLACED, Account.BROKEN, broken - fittedBroken);
        int fittedOff = post(moves, Account.FITTED, Account.TRAY, Math.min(toTray, left));
        post(moves, Account.REPLACED, Account.TRAY, toTray - fittedOff);
        return moves;
    }

    private int post(List<Move> moves, Account from, Account to, int count) {
        if (count > 0) {
            moves.add(Move.of(thing, from, to, count));
        }
        return count;
    }
}
