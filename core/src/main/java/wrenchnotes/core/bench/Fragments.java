package wrenchnotes.core.bench;

import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Words;

/**
 * The tally of a broken piece: what is not found is still inside, and stops the next one.
 *
 * @param what "teeth of the loading gear"
 * @param expected how many are missing from the piece, 1 to 99
 * @param found how many were found, 0 to {@code expected}
 * @param explained where the rest is, when it is known that it may stay there; else empty
 */
public record Fragments(String what, int expected, int found, String explained) {

    public Fragments {
        what = Checked.text("what", what, 120);
        Checked.within("expected", expected, 1, 99);
        Checked.within("found", found, 0, 99);
        explained = Checked.optionalText("explained", explained, 200);
        if (found > expected) {
            throw new Invalid("found", "More were found than are missing: count the piece again");
        }
    }

    public int stillInside() {
        return explained.isEmpty() ? expected - found : 0;
    }

    /** "teeth of the loading gear: 3 of 7 not found. Search the mechanism, or say where they are." */
    public String sentence() {
        return what + ": " + (expected - found) + " of " + Words.count(expected, "piece", "pieces")
                + " not found. Search the mechanism, or say where they are.";
    }
}
