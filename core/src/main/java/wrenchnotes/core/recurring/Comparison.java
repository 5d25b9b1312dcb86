package wrenchnotes.core.recurring;

import java.util.Locale;
import java.util.Optional;
import wrenchnotes.core.pattern.Share;
import wrenchnotes.core.pattern.rises.Difference;

/**
 * One share beside another, as one sentence: "of belts from Eastmole 18 of 100 came back; at the rate of all others (12 of 200) it would have been 6: 12 more
 * (4 to 21)". Of fewer than five, only the counts are said.
 *
 * @param said the sentence
 * @param difference in shares of one, with its interval ({@link Difference}); empty if either is of fewer than {@value FaultCount#TOO_FEW}
 * @param tells whether one of the two is larger, as far as anybody can tell
 */
public record Comparison(String said, Optional<Difference> difference, boolean tells) {

    /** @param name "belts from Eastmole" @param count 0 to outOf @param outOf 1 or more */
    public record Side(String name, int count, int outOf) {}

    /**
     * @param had what is counted: "came back"
     * @param other what it is compared with
     */
    public static Comparison of(Side one, Side other, String had) {
        if (one.outOf() < FaultCount.TOO_FEW || other.outOf() < FaultCount.TOO_FEW) {
            return new Comparison(
                    "Too few to compare: of " + one.name() + " " + one.count() + " of " + one.outOf() + " " + had
                            + ", of " + other.name() + " " + other.count() + " of " + other.outOf() + ".",
                    Optional.empty(),
                    false);
        }
        Difference difference =
                Difference.of(Share.of(one.count(), one.outOf()), Share.of(other.count(), other.outOf()));
        double hundred = one.outOf();
        String sentence =
                "Of " + one.name() + " " + one.count() + " of " + one.outOf() + " " + had + "; at the rate of "
                        + other.name() + " (" + other.count() + " of " + other.outOf() + ") it would have been "
                        + number(difference.second().share() * hundred) + ": " + more(difference, hundred) + ".";
        return new Comparison(sentence, Optional.of(difference), difference.tells());
    }

    private static String more(Difference difference, double outOf) {
        if (!difference.tells()) {
            return "no difference that can be told (" + signed(difference.low() * outOf) + " to "
                    + signed(difference.high() * outOf) + ")";
        }
        boolean more = difference.difference() > 0;
        double near = more ? difference.low() : -difference.high();
        double far = more ? difference.high() : -difference.low();
        return number(Math.abs(difference.difference()) * outOf) + (more ? " more (" : " fewer (")
                + number(near * outOf) + " to " + number(far * outOf) + ")";
    }

    private static String signed(double count) {
        String number = number(Math.abs(count));
        return number.equals("0") ? "0" : count < 0 ? number + " fewer" : number + " more";
    }

    /** Of few units, with a tenth: 1.4 of 9. */
    private static String number(double count) {
        return count < 9.95 && Math.abs(count - Math.rint(count)) > 0.05
                ? String.format(Locale.ROOT, "%.1f", count)
                : String.valueOf(Math.round(count));
    }
}
