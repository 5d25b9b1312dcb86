package wrenchnotes.core.unit;

/** The checks that every value of the core makes of itself, with messages that name the value and the allowed range. */
public final class Checked {

    /** What may be this long at most is a name or a few words of one line; longer words may have lines, and are kept as they came. */
    private static final int LONGEST_NAME = 120;

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
        if (most <= LONGEST_NAME) {
            refuseUnseen(field, trimmed);
        }
        return trimmed;
    }

    private static void refuseUnseen(String field, String name) {
        name.codePoints().filter(Checked::isUnseen).findFirst().ifPresent(unseen -> {
            throw new Invalid(
                    field,
                    "%s holds a character that nobody sees (U+%04X): type it again instead of copying it"
                            .formatted(field, unseen));
        });
    }

    /**
     * Controls, line ends too, and what turns the direction of writing: by them a name looks like another (Unicode Standard
     * Annex #9, 2.1 to 2.6; the list is UAX #9's directional formatting characters).
     */
    private static boolean isUnseen(int point) {
        boolean turns = point >= 0x202A && point <= 0x202E || point >= 0x2066 && point <= 0x2069;
        return Character.isISOControl(point)
                || turns
                || point == 0x061C
                || point == 0x200E
                || point == 0x200F
                || point == 0xFEFF;
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
