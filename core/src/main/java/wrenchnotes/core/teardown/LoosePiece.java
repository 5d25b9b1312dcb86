package wrenchnotes.core.teardown;

import java.util.Optional;
import wrenchnotes.core.unit.Checked;

/**
 * A small part that lies free once a cover is off, or something that a step uses up merely by being done.
 *
 * @param hint how it sits, or the attitude that keeps it in: "board side up"
 * @param count 1 to 99; empty if nobody has counted yet, and left out (null) means the same
 * @param usedUp whether it does not survive the step, and another has to go in on the way back: paste, a gasket, a seal; left out (null)
 *     means that it does survive
 */
public record LoosePiece(String id, String label, String hint, Optional<Integer> count, Boolean usedUp)
        implements Thing {

    public LoosePiece {
        id = Checked.text("id", id, 80);
        label = Checked.text("label", label, 80);
        hint = Checked.optionalText("hint", hint, 200);
        count = count == null ? Optional.empty() : count;
        count.ifPresent(n -> Checked.within("count", n, 1, 99));
        usedUp = usedUp != null && usedUp;
    }

    /** Some that were counted. */
    public LoosePiece(String id, String label, String hint, int count, Boolean usedUp) {
        this(id, label, hint, Optional.of(count), usedUp);
    }

    /** One that comes off whole. */
    public LoosePiece(String id, String label, String hint, int count) {
        this(id, label, hint, count, false);
    }

    /** The same piece with another count. */
    @Override
    public LoosePiece counting(int others) {
        return new LoosePiece(id, label, hint, others, usedUp);
    }

    @Override
    public int asMade() {
        return count.orElse(1);
    }

    @Override
    public boolean hasCount() {
        return count.isPresent();
    }

    LoosePiece withId(String other) {
        return new LoosePiece(other, label, hint, count, usedUp);
    }
}
