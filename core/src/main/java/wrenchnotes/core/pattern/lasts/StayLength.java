package wrenchnotes.core.pattern.lasts;

import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * How long a unit has stayed mended.
 *
 * @param days from handover until it came back, or until today if it did not (or until it was known to be gone); above 0, at most 36,500
 * @param cameBack whether it came back for the same component; else it is censored: all that is known is that it lasted so long
 */
public record StayLength(Double days, Boolean cameBack) {

    private static final double MOST = 36_500;

    public StayLength {
        if (!(Checked.present("days", days) > 0 && days <= MOST)) {
            throw new Invalid("days", "A stay lasts above 0 and at most 36,500 days, not " + days);
        }
        Checked.present("cameBack", cameBack);
    }
}
