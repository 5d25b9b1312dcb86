package wrenchnotes.core.bench;

import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * One entry of the ledger: {@code count} of a thing go from one account to another.
 *
 * @param thing id of the thing in the notes
 * @param count 1 to 99
 * @param reason why; must be said when something is left out, else may be empty
 */
public record Move(String thing, Account from, Account to, int count, String reason) {

    public Move {
        Checked.text("thing", thing, 80);
        Checked.present("from", from);
        Checked.present("to", to);
        Checked.within("count", count, 1, 99);
        reason = Checked.optionalText("reason", reason, 300);
        if (from == to) {
            throw new Invalid("to", "A move from " + from.words() + " to the same is none");
        }
    }

    public static Move of(String thing, Account from, Account to, int count) {
        return new Move(thing, from, to, count, "");
    }

    public Move because(String why) {
        return new Move(thing, from, to, count, why);
    }

    /** The entry that undoes this one: the same things the other way. */
    public Move opposite() {
        return new Move(thing, to, from, count, reason);
    }
}
