package wrenchnotes.core.typed;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.Optional;

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

    /** "19 to 26.6", "from 5", "up to 80"; empty if neither is there. */
    public static String range(Optional<Double> least, Optional<Double> most) {
        if (least.isPresent() && most.isPresent()) {
            return of(least.get(), 4) + " to " + of(most.get(), 4);
        }
        return least.map(one -> "from " + of(one, 4))
                .or(() -> most.map(one -> "up to " + of(one, 4)))
                .orElse("");
    }
}
