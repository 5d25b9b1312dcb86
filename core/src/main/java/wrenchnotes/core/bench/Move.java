package wrenchnotes.core.bench;

import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * One entry of the ledger: {@code count} of a thing go from one account to another.
 *
 * @param thing id of the thing in the notes
 * @param count 1 to 99
 * @param reason why; must be said when something is left out, else may be empty
 * @param basis how the count is known; left out (null) means counted
 */
public record Move(String thing, Account from, Account to, int count, String reason, Basis basis) {

    public Move {
        Checked.text("thing", thing, 80);
        Checked.present("from", from);
        Checked.present("to", to);
        Checked.within("count", count, 1, 99);
        reason = Checked.optionalText("reason", reason, 300);
        basis = basis == null ? Basis.COUNTED : basis;
        if (from == to) {
            throw new Invalid("to", "A move from " + from.words() + " to the same is none");
        }
    }

    /** A move that was counted. */
    public Move(String thing, Account from, Account to, int count, String reason) {
        this(thing, from, to, count, reason, Basis.COUNTED);
    }

    public static Move of(String thing, Account from, Account to, int count) {
        return new Move(thing, from, to, count, "");
    }

    public Move because(String why) {
        return new Move(thing, from, to, count, why, basis);
    }

    /** The entry that undoes this one: the same things the other way. */
    public Move opposite() {
        return new Move(thing, to, from, count, reason, basis);
    }
}
