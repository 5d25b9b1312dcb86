package wrenchnotes.core.teardown;

import wrenchnotes.core.unit.Checked;

/**
 * A cable to unplug, or several of a kind from one place.
 *
 * @param mark how it goes back: "red wire to the board edge"; empty if it is keyed and can only go one way
 * @param keyed whether it can only go in one way; left out (null) means it is not known, which is false
 * @param latch how it is held: "slide", "flip up"; empty if it pulls straight out
 * @param count 1 to 99; left out (null) means one
 */
public record Connector(String id, String label, String mark, Boolean keyed, String latch, Integer count)
        implements Thing {

    public Connector {
        id = Checked.text("id", id, 80);
        label = Checked.text("label", label, 80);
        mark = Checked.optionalText("mark", mark, 200);
        keyed = keyed != null && keyed;
        latch = Checked.optionalText("latch", latch, 60);
        count = count == null ? 1 : Checked.within("count", count, 1, 99);
    }

    /** One. */
    public Connector(String id, String label, String mark, Boolean keyed, String latch) {
        this(id, label, mark, keyed, latch, 1);
    }

    /** The same plugs with another count. */
    @Override
    public Connector counting(int others) {
        return new Connector(id, label, mark, keyed, latch, others);
    }

    Connector withId(String other) {
        return new Connector(other, label, mark, keyed, latch, count);
    }

    @Override
    public int asMade() {
        return count;
    }

    @Override
    public boolean hasCount() {
        return true;
    }
}
