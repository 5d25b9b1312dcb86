package wrenchnotes.core.drawer;

import java.math.BigDecimal;
import java.math.RoundingMode;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Refused;

/**
 * How many of a part lie in one account, and what all of them together cost the shop. What is taken costs its share: round half
 * up(value · taken / count), so that the last one takes the rest and no fraction of a cent is ever lost.
 *
 * @param count 0 to 99,999
 * @param valueMinor of all of them, in minor units of the shop's currency, 0 or more
 */
public record Stock(String part, int count, long valueMinor) {

    private static final int MOST = 99_999;

    public Stock {
        part = Checked.text("part", part, 120);
        Checked.within("count", count, 0, MOST);
        if (valueMinor < 0) {
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
        return new Stock(part, count - taken, valueMinor - costOf(taken));
    }

    /**
     * @param added 1 or more
     * @param addedMinor what they cost together
     */
    public Stock bookIn(int added, long addedMinor) {
        Checked.within("count", added, 1, MOST - count);
        return new Stock(part, count + added, Math.addExact(valueMinor, addedMinor));
    }

    /**
     * What some of them cost, in minor units.
     *
     * @param some 0 to {@link #count}
     */
    public long costOf(int some) {
        return some == 0
                ? 0
                : BigDecimal.valueOf(valueMinor)
                        .multiply(BigDecimal.valueOf(some))
                        .divide(BigDecimal.valueOf(count), 0, RoundingMode.HALF_UP)
                        .longValueExact();
    }
}
