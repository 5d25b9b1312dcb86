package wrenchnotes.core.gauge;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import wrenchnotes.core.typed.Figures;
import wrenchnotes.core.unit.Invalid;

/**
 * What a meter answered. Numbers come as NR1, NR2 or NR3 of IEEE 488.2; 9.9E37 means overload and 9.91E37 not a number (SCPI-1999,
 * volume 1, 7.2; published, from memory).
 *
 * @param value in the base unit of the function; empty if the meter was overloaded
 * @param words as one would write it down, "12.05 V", "4.7 kΩ"; empty if it was overloaded
 */
public record MeterReading(MeterFunction function, Optional<Double> value, String words) {

    private static final Pattern NUMBER = Pattern.compile("[+-]?(\\d+\\.?\\d*|\\.\\d+)([eE][+-]?\\d{1,3})?");
    private static final BigDecimal OVERLOAD = new BigDecimal("9.9E37");
    private static final BigDecimal MOST = new BigDecimal("1E15");
    /** A meter that sends more places than these shows noise. */
    private static final int PLACES = 6;

    private record Prefix(String letter, int exponent) {}

    private static final List<Prefix> PREFIXES = List.of(
            new Prefix("M", 6),
            new Prefix("k", 3),
            new Prefix("", 0),
            new Prefix("m", -3),
            new Prefix("µ", -6),
            new Prefix("n", -9),
            new Prefix("p", -12));

    /**
     * @param answer one line, as it came from the meter
     * @throws Invalid if it is no number, or one that nothing on a bench has
     */
    public static MeterReading of(MeterFunction function, String answer) {
        String text = answer.strip();
        if (!NUMBER.matcher(text).matches()) {
            throw new Invalid("answer", "\"" + shortened(text) + "\" is no number");
        }
        BigDecimal value = new BigDecimal(text);
        BigDecimal size = value.abs();
        if (size.compareTo(OVERLOAD) == 0) {
            return new MeterReading(function, Optional.empty(), "");
        }
        if (size.compareTo(MOST) > 0) {
            throw new Invalid("answer", shortened(text) + " " + function.unit() + " is nothing that a bench has");
        }
        return new MeterReading(function, Optional.of(value.doubleValue()), words(value, function.unit()));
    }

    private static String shortened(String text) {
        return text.length() > 40 ? text.substring(0, 40) + "…" : text;
    }

    /** Farads are small, ohms may be large; volts and amperes from a tenth up are said without a prefix. */
    private static String words(BigDecimal value, String unit) {
        if (value.signum() == 0) {
            return "0 " + unit;
        }
        BigDecimal size = value.abs();
        boolean fromTenths = unit.equals("V") || unit.equals("A");
        Prefix prefix = PREFIXES.stream()
                .filter(one -> !unit.equals("F") || one.exponent() <= -6)
                .filter(one -> size.compareTo(BigDecimal.ONE.scaleByPowerOfTen(
                                fromTenths && one.exponent() == 0 ? -1 : one.exponent()))
                        >= 0)
                .findFirst()
                .orElse(PREFIXES.get(PREFIXES.size() - 1));
        BigDecimal scaled = value.scaleByPowerOfTen(-prefix.exponent());
        int after = Math.max(0, PLACES - (scaled.precision() - scaled.scale()));
        String number = Figures.of(scaled.setScale(Math.min(after, 6), RoundingMode.HALF_EVEN));
        return number + " " + prefix.letter() + unit;
    }
}
