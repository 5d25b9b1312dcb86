package wrenchnotes.core.teardown;

import wrenchnotes.core.unit.Checked;

/**
 * A small part that lies free once a cover is off, or something that a step uses up merely by being done.
 *
 * @param hint how it sits, or the attitude that keeps it in: "board side up"
 * @param count 1 to 99
 * @param usedUp whether it does not survive the step, and another has to go in on the way back: paste, a gasket, a seal; left out (null)
 *     means that it does survive
 */
public record LoosePiece(String id, String label, String hint, int count, Boolean usedUp) implements Thing {

    public LoosePiece {
        id = Checked.text("id", id, 80);
        label = Checked.text("label", label, 80);
        hint = Checked.optionalText("hint", hint, 200);
        Checked.within("count", count, 1, 99);
        usedUp = usedUp != null && usedUp;
    }

    /** One that comes off whole. */
    public LoosePiece(String id, String label, String hint, int count) {
        this(id, label, hint, count, false);
    }

    LoosePiece withId(String other) {
        return new LoosePiece(other, label, hint, count, usedUp);
    }
}
