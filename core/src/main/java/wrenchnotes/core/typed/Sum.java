package wrenchnotes.core.typed;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Currency;
import java.util.Optional;

/**
 * A sum of money or a count as people write them, and a sum as it is told. What can be read in two ways is asked. Money is minor units of the
 * shop's one currency on every floor, in fields whose names end in {@code Minor}; nowhere is it anything else.
 */
public final class Sum {

    private Sum() {}

    /**
     * "€12", "12,50", "1 234.50 EUR".
     *
     * @param currency the shop's: no other is read
     * @return minor units of it, 0 or more, such as cents; a currency has its own digits (ISO 4217: the yen none, the Kuwaiti dinar
     *     three)
     */
    public static Typed<Long> read(String typed, Currency currency) {
        String plain = Numeral.plain(typed);
        for (String sign : new String[] {currency.getCurrencyCode(), sign(currency)}) {
            if (!sign.isEmpty() && plain.startsWith(sign)) {
                plain = plain.substring(sign.length()).strip();
            } else if (!sign.isEmpty() && plain.endsWith(sign)) {
                plain = plain.substring(0, plain.length() - sign.length()).strip();
            }
        }
        int digits = currency.getDefaultFractionDigits();
        Typed<BigDecimal> read = Numeral.read(plain);
        return read instanceof Typed.Ask<BigDecimal> ask
                ? new Typed.Ask<>(ask.readings().stream()
                        .map(value -> rounded(value, digits))
                        .toList())
                : read.map(value -> minor(value, digits, currency));
    }

    /**
     * A sum in a table that nobody can be asked about: where there are two readings, the shop's own habit decides.
     *
     * @param point whether the shop's decimal mark is the point; else it is the comma
     * @return minor units; empty if no sum can be read
     */
    public static Optional<Long> settled(String written, Currency currency, boolean point) {
        Typed<Long> read = read(written, currency);
        if (read instanceof Typed.Read<Long> sum) {
            return Optional.of(sum.value());
        }
        if (read instanceof Typed.Ask<Long> ask) {
            // "1.234": the larger reading takes the mark for one between groups, the smaller for the decimal one.
            return Optional.of(ask.readings().get(written.contains(".") == point ? 1 : 0));
        }
        return Optional.empty();
    }

    /**
     * "EUR 48.00", "JPY 4800", "KWD 4.800": with the currency's own digits.
     *
     * @param minor units of it; below 0 for what is owed or lost
     */
    public static String words(long minor, Currency currency) {
        return currency.getCurrencyCode() + " "
                + BigDecimal.valueOf(minor, currency.getDefaultFractionDigits()).toPlainString();
    }

    private static long rounded(BigDecimal value, int digits) {
        return value.movePointRight(digits).setScale(0, RoundingMode.HALF_UP).longValueExact();
    }

    private static Typed<Long> minor(BigDecimal value, int digits, Currency currency) {
        BigDecimal minor = value.movePointRight(digits);
        if (minor.stripTrailingZeros().scale() > 0) {
            return new Typed.Unread<>(
                    "%s has %s after the mark: write fewer".formatted(currency.getCurrencyCode(), digitsOf(digits)));
        }
        return minor.precision() - minor.scale() > 13
                ? new Typed.Unread<>("That is more than a shop can owe")
                : new Typed.Read<>(minor.setScale(0, RoundingMode.UNNECESSARY).longValueExact());
    }

    private static String digitsOf(int digits) {
        return digits == 0 ? "no digits" : digits == 1 ? "one digit" : digits == 2 ? "two digits" : "three digits";
    }

    private static String sign(Currency currency) {
        return switch (currency.getCurrencyCode()) {
            case "EUR" -> "€";
            case "GBP" -> "£";
            case "USD" -> "$";
            case "JPY" -> "¥";
            default -> "";
        };
    }

    /** A whole number, 0 or more: "1 000". */
    public static Typed<Long> count(String typed) {
        return Numeral.read(Numeral.plain(typed))
                .map(value -> value.stripTrailingZeros().scale() > 0 || value.precision() - value.scale() > 9
                        ? new Typed.Unread<>("A count is a whole number, such as 12")
                        : new Typed.Read<>(value.longValueExact()));
    }
}
