package wrenchnotes.core.teardown;

import wrenchnotes.core.unit.Checked;

/**
 * What can hurt in a step, shown before it.
 *
 * @param words up to 500 characters; empty if nothing is said
 * @param waitHours how long the unit must have been left off before it, 0 to 240
 */
public record Caution(String words, int waitHours) {

    public static final Caution NONE = new Caution("", 0);

    public Caution {
        words = Checked.optionalText("caution", words, 500);
        Checked.within("waitHours", waitHours, 0, 240);
    }

    public static Caution of(String words) {
        return new Caution(words, 0);
    }
}
