package wrenchnotes.core.typed;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;

/** Figures within words, without zeros at their end. The mark is a point; how a shop writes it is said where it is shown. */
public final class Figures {

    private Figures() {}

    /** "0.47". */
    public static String of(BigDecimal value) {
        return value.stripTrailingZeros().toPlainString();
    }

    /** @param significant digits that are kept, 1 and up */
    public static String of(double value, int significant) {
        return of(BigDecimal.valueOf(value).round(new MathContext(significant)));
    }

    /** @param places after the mark at most, 0 and up */
    public static String rounded(double value, int places) {
        return of(BigDecimal.valueOf(value).setScale(places, RoundingMode.HALF_EVEN));
    }
}
