package wrenchnotes.core.teardown;

import wrenchnotes.core.unit.Checked;

/**
 * A cable to unplug.
 *
 * @param mark how it goes back: "red wire to the board edge"; empty if it is keyed and can only go one way
 * @param keyed whether it can only go in one way; left out (null) means it is not known, which is false
 * @param latch how it is held: "slide", "flip up"; empty if it pulls straight out
 */
public record Connector(String id, String label, String mark, Boolean keyed, String latch) implements Thing {

    public Connector {
        id = Checked.text("id", id, 80);
        label = Checked.text("label", label, 80);
        mark = Checked.optionalText("mark", mark, 200);
        keyed = keyed != null && keyed;
        latch = Checked.optionalText("latch", latch, 60);
    }

    Connector withId(String other) {
        return new Connector(other, label, mark, keyed, latch);
    }

    @Override
    public int count() {
        return 1;
    }
}
