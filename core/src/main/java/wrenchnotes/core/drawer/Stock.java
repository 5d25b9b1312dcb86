package wrenchnotes.core.drawer;

import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Refused;

/**
 * How many of a part lie in its drawer, and what one costs the shop.
 *
 * @param count 0 to 99,999
 * @param eachMinor in minor units of the shop's currency, 0 or more
 */
public record Stock(String part, int count, long eachMinor) {

    private static final int MOST = 99_999;

    public Stock {
        part = Checked.text("part", part, 120);
        Checked.within("count", count, 0, MOST);
        if (eachMinor < 0) {
            throw new Invalid("eachMinor", "A part cannot cost less than nothing: give 0 or more");
        }
    }

    /**
     * @param taken 1 or more
     * @throws Refused if there are not that many: the drawer is wrong, or the part is not from it
     */
    public Stock take(int taken) {
        Checked.within("count", taken, 1, MOST);
        if (taken > count) {
            throw Refused.because("%s: the drawer has %d, not %d. Book some in, or choose another part."
                    .formatted(part, count, taken));
        }
        return new Stock(part, count - taken, eachMinor);
    }

    /** @param added 1 or more */
    public Stock bookIn(int added) {
        Checked.within("count", added, 1, MOST - count);
        return new Stock(part, count + added, eachMinor);
    }

    /** In minor units. */
    public long costOf(int taken) {
        return Math.multiplyExact(eachMinor, taken);
    }
}
