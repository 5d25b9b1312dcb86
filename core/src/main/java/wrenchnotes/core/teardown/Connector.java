package wrenchnotes.core.teardown;

import wrenchnotes.core.unit.Checked;

/**
 * A cable to unplug.
 *
 * @param mark how it goes back: "red wire to the board edge"; empty if it is keyed and can only go one way
 */
public record Connector(String id, String label, String mark) implements Thing {

    public Connector {
        id = Checked.text("id", id, 40);
        label = Checked.text("label", label, 80);
        mark = Checked.optionalText("mark", mark, 200);
    }

    @Override
    public int count() {
        return 1;
    }
}
