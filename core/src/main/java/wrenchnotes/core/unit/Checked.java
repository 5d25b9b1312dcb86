package wrenchnotes.core.unit;

/** The checks that every value of the core makes of itself, with messages that name the value and the allowed range. */
public final class Checked {

    private Checked() {}

    /**
     * @param most longest length allowed, in characters after trimming
     * @return the text, trimmed
     * @throws Invalid if it is missing, blank or too long
     */
    public static String text(String field, String value, int most) {
        if (value == null || value.isBlank()) {
            throw new Invalid(field, "Say the " + field + ": it is empty");
        }
        return shortText(field, value, most);
    }

    /** As {@link #text}, but a missing or blank value becomes the empty text. */
    public static String optionalText(String field, String value, int most) {
        return value == null ? "" : shortText(field, value, most);
    }

    private static String shortText(String field, String value, int most) {
        String trimmed = value.strip();
        if (trimmed.length() > most) {
            throw new Invalid(field, field + " is " + trimmed.length() + " characters long; at most " + most + " fit");
        }
        return trimmed;
    }

    /** @throws Invalid unless least ≤ value ≤ most */
    public static int within(String field, int value, int least, int most) {
        if (value < least || value > most) {
            throw new Invalid(field, field + " is " + value + "; it must be from " + least + " to " + most);
        }
        return value;
    }

    /** @throws Invalid unless least ≤ value ≤ most; NaN is refused */
    public static double within(String field, double value, double least, double most) {
        if (!(value >= least && value <= most)) {
            throw new Invalid(field, field + " is " + value + "; it must be from " + least + " to " + most);
        }
        return value;
    }

    /** @throws Invalid if the value is missing */
    public static <T> T present(String field, T value) {
        if (value == null) {
            throw new Invalid(field, "Say the " + field + ": it is missing");
        }
        return value;
    }
}
