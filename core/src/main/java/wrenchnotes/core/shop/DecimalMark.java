package wrenchnotes.core.shop;

import java.util.regex.Pattern;
import wrenchnotes.core.unit.Spoken;

/** How the shop writes numbers. Both are read, whichever it is. */
public enum DecimalMark implements Spoken {
    POINT,
    COMMA;

    private static final Pattern BETWEEN_DIGITS = Pattern.compile("(?<=\\d)\\.(?=\\d)");

    /** Words with their figures as the shop writes them: "11.8 V" is "11,8 V" where the comma is the mark (ISO 80000-1 knows both). */
    public String written(String words) {
        return this == POINT ? words : BETWEEN_DIGITS.matcher(words).replaceAll(",");
    }

    @Override
    public String words() {
        return this == POINT ? "1,234.50" : "1.234,50";
    }
}
