package wrenchnotes.core.typed;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A measured quantity as people write it, in the unit that is asked for: "4,7 µF", "47 mfd", "4k7", "1 1/2 in", "12 mm", "0.83in".
 * Either decimal mark is one. A letter in the stead of the mark, "4k7", is that of IEC 60062. An inch is 25.4 mm. Both letters mu
 * are one; "mfd" on old parts is the microfarad, "mF" the millifarad (SI); since what was taken is shown beside the field, whoever
 * means the other by it sees so.
 */
public final class Quantity {

    /** Unit asked for → what may be written → how many of the first it is. */
    private static final Map<String, Map<String, Double>> UNITS = Map.of(
            "mm",
                    Map.of(
                            "", 1.0, "mm", 1.0, "cm", 10.0, "m", 1000.0, "in", 25.4, "inch", 25.4, "\"", 25.4, "\u2033",
                            25.4),
            "V", Map.of("", 1.0, "V", 1.0, "µV", 1e-6, "mV", 1e-3, "kV", 1e3, "v", 1.0),
            "mV", Map.of("", 1.0, "mV", 1.0, "V", 1e3, "µV", 1e-3),
            "mA", Map.of("", 1.0, "mA", 1.0, "A", 1e3, "µA", 1e-3),
            "Ω",
                    Map.ofEntries(
                            Map.entry("", 1.0),
                            Map.entry("Ω", 1.0),
                            Map.entry("R", 1.0),
                            Map.entry("ohm", 1.0),
                            Map.entry("ohms", 1.0),
                            Map.entry("k", 1e3),
                            Map.entry("K", 1e3),
                            Map.entry("kΩ", 1e3),
                            Map.entry("M", 1e6),
                            Map.entry("MΩ", 1e6),
                            Map.entry("mΩ", 1e-3)),
            "µF",
                    Map.ofEntries(
                            Map.entry("", 1.0),
                            Map.entry("F", 1e6),
                            Map.entry("µF", 1.0),
                            Map.entry("µ", 1.0),
                            Map.entry("uF", 1.0),
                            Map.entry("u", 1.0),
                            Map.entry("mfd", 1.0),
                            Map.entry("mF", 1e3),
                            Map.entry("MFD", 1.0),
                            Map.entry("nF", 1e-3),
                            Map.entry("n", 1e-3),
                            Map.entry("pF", 1e-6),
                            Map.entry("p", 1e-6)),
            "min", Map.of("", 1.0, "min", 1.0, "h", 60.0),
            "°C", Map.of("", 1.0, "°C", 1.0, "C", 1.0));

    private static final Pattern FRACTION = Pattern.compile("(?:(\\d+) )?(\\d+)/([1-9]\\d*) ?([^\\d\\s]*)");
    private static final Pattern LETTER = Pattern.compile("(\\d+)([RkKMµunp])(\\d+) ?(F|Ω)?");
    private static final Pattern NUMBER = Pattern.compile("([-\u2212]?)([\\d .,']*\\d) ?([^\\d\\s]*)");

    private Quantity() {}

    /**
     * @param unit what is asked for, one of mm, V, mV, mA, Ω, µF, min, °C; any other is read only as itself or as nothing
     * @return so many of it
     */
    public static Typed<Double> read(String typed, String unit) {
        String plain = Numeral.plain(typed)
                .replace('\u03bc', 'µ')
                .replace('\u2126', 'Ω')
                .replace("½", " 1/2")
                .replace("¼", " 1/4")
                .replace("¾", " 3/4")
                .strip();
        Map<String, Double> units = UNITS.getOrDefault(unit, Map.of("", 1.0, unit, 1.0));
        Matcher fraction = FRACTION.matcher(plain);
        if (fraction.matches()) {
            double whole = fraction.group(1) == null ? 0 : Double.parseDouble(fraction.group(1));
            double part = Double.parseDouble(fraction.group(2)) / Double.parseDouble(fraction.group(3));
            return inUnit(whole + part, fraction.group(4), units, typed, unit);
        }
        Matcher letter = LETTER.matcher(plain);
        if (letter.matches()) {
            double value = Double.parseDouble(letter.group(1) + "." + letter.group(3));
            return inUnit(value, letter.group(2), units, typed, unit);
        }
        Matcher number = NUMBER.matcher(plain);
        if (!number.matches()) {
            return new Typed.Unread<>("No quantity can be read in \"" + typed.strip() + "\"");
        }
        double sign = number.group(1).isEmpty() ? 1 : -1;
        return Numeral.measured(number.group(2))
                .map(value -> inUnit(sign * value.doubleValue(), number.group(3), units, typed, unit));
    }

    private static Typed<Double> inUnit(
            double value, String written, Map<String, Double> units, String typed, String unit) {
        Double factor = units.get(written);
        return factor == null
                ? new Typed.Unread<>(
                        "\"" + typed.strip() + "\" is not in " + unit + " or anything that can be told in it")
                : new Typed.Read<>(new BigDecimal(value * factor)
                        .round(new MathContext(12))
                        .doubleValue());
    }
}
