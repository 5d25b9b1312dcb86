package wrenchnotes.core.teardown;

import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * What can hurt in a step, shown before it.
 *
 * @param words up to 500 characters; empty if nothing is said
 * @param waitHours how long the unit must have been unplugged before it, 0 to 240
 * @param live whether it is done under power: pins read, an adjustment made, a noise felt for
 * @param leadOnly whether only a lead may do it
 */
public record Caution(String words, int waitHours, boolean live, boolean leadOnly) {

    public static final Caution NONE = new Caution("", 0);

    public Caution {
        words = Checked.optionalText("caution", words, 500);
        Checked.within("waitHours", waitHours, 0, 240);
        if (live && waitHours > 0) {
            throw new Invalid("live", "Nothing can wait without power and be done under it: take one of them out");
        }
        if (live && words.isEmpty()) {
            throw new Invalid("caution", "Say what can hurt: work under power has a caution of its own");
        }
    }

    public Caution(String words, int waitHours) {
        this(words, waitHours, false, false);
    }

    public static Caution of(String words) {
        return new Caution(words, 0);
    }

    /** Of work under power. */
    public static Caution live(String words) {
        return new Caution(words, 0, true, false);
    }
}
