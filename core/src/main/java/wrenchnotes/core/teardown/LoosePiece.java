package wrenchnotes.core.teardown;

import wrenchnotes.core.unit.Checked;

/**
 * A small part that lies free once a cover is off.
 *
 * @param hint how it sits, or the attitude that keeps it in: "board side up"
 * @param count 1 to 99
 */
public record LoosePiece(String id, String label, String hint, int count) implements Thing {

    public LoosePiece {
        id = Checked.text("id", id, 80);
        label = Checked.text("label", label, 80);
        hint = Checked.optionalText("hint", hint, 200);
        Checked.within("count", count, 1, 99);
    }

    LoosePiece withId(String other) {
        return new LoosePiece(other, label, hint, count);
    }
}
