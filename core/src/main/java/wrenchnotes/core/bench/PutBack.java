package wrenchnotes.core.bench;

import java.util.ArrayList;
import java.util.List;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Refused;

/**
 * What became of one thing on the way out. What is not said stays in the tray, and the gate will ask for it.
 *
 * @param back into its place: from the tray, and then what was left out for now
 * @param replaced filled from a drawer instead
 * @param leftOut the place stays empty on purpose
 * @param forNow the place stays empty until the next run
 * @param reason why, if something is left out
 * @param instead what was put in, if it is not the same again: "M3 × 8 screws and nuts"; else empty
 */
public record PutBack(String thing, int back, int replaced, int leftOut, int forNow, String reason, String instead) {

    private static final List<Account> ABSENT_FIRST = List.of(
            Account.DESTROYED,
            Account.BROKEN,
            Account.LOST,
            Account.MISSING_ON_ARRIVAL,
            Account.OUT_FOR_NOW,
            Account.TRAY);

    public PutBack {
        Checked.text("thing", thing, 80);
        Checked.within("back", back, 0, 99);
        Checked.within("replaced", replaced, 0, 99);
        Checked.within("leftOut", leftOut, 0, 99);
        Checked.within("forNow", forNow, 0, 99);
        reason = Checked.optionalText("reason", reason, 300);
        instead = Checked.optionalText("instead", instead, 200);
    }

    /** All that lies in the tray goes back: what is usual, and one key on the bench. */
    public static PutBack all(Ledger ledger, String thing) {
        return new PutBack(thing, ledger.count(thing, Account.TRAY), 0, 0, 0, "", "");
    }

    /**
     * The entries that say so. Replacements and places left out are taken from what is absent first, then from the
     * tray.
     *
     * @throws Refused if more is said than there is to put back or decide
     */
    public List<Move> moves(Ledger ledger) {
        List<Move> moves = new ArrayList<>();
        Ledger now = ledger;
        int found = Math.min(back - ledger.count(thing, Account.TRAY), ledger.count(thing, Account.OUT_FOR_NOW));
        if (found > 0) {
            now = post(moves, now, Move.of(thing, Account.OUT_FOR_NOW, Account.TRAY, found));
        }
        if (back > 0) {
            now = post(moves, now, Move.of(thing, Account.TRAY, Account.FITTED, back));
        }
        now = settle(moves, now, Account.REPLACED, replaced, instead.isEmpty() ? reason : instead);
        now = settle(moves, now, Account.LEFT_OUT, leftOut, reason);
        settle(moves, now, Account.OUT_FOR_NOW, forNow, reason);
        return moves;
    }

    private Ledger settle(List<Move> moves, Ledger ledger, Account to, int count, String why) {
        Ledger now = ledger;
        int rest = count;
        for (Account from : ABSENT_FIRST) {
            int some = from == to ? 0 : Math.min(rest, now.count(thing, from));
            if (some > 0) {
                now = post(moves, now, new Move(thing, from, to, some, why));
                rest -= some;
            }
        }
        if (rest > 0) {
            throw Refused.because("%s: %d more are said to be %s than are off the unit. Count again."
                    .formatted(ledger.thing(thing).label(), rest, to.words()));
        }
        return now;
    }

    private static Ledger post(List<Move> moves, Ledger ledger, Move move) {
        Ledger next = ledger.with(move);
        moves.add(move);
        return next;
    }
}
