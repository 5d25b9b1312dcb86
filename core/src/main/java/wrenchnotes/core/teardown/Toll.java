package wrenchnotes.core.teardown;

import wrenchnotes.core.unit.Checked;

/**
 * What a step takes of the unit.
 *
 * @param partsMinor what it destroys or uses up, in minor units of money, 0 to 100,000,000
 * @param reversible whether it can be undone so that the unit is as made
 */
public record Toll(long partsMinor, boolean reversible) {

    public static final Toll NONE = new Toll(0, true);

    public Toll {
        Checked.within("partsMinor", (double) partsMinor, 0, 100_000_000);
    }
}
