package wrenchnotes.core.shop;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import wrenchnotes.core.unit.Spoken;

/** In which order the shop writes a day; year first is ISO 8601. */
public enum DateOrder implements Spoken {
    DAY_FIRST("d MMM uuuu", "d MMMM uuuu", "dd/MM/uuuu"),
    MONTH_FIRST("MMM d, uuuu", "MMMM d, uuuu", "MM/dd/uuuu"),
    YEAR_FIRST("uuuu-MM-dd", "uuuu-MM-dd", "uuuu-MM-dd");

    private static final LocalDate ONE = LocalDate.of(2026, 3, 31);

    private final DateTimeFormatter shortly;
    private final DateTimeFormatter atLength;
    private final DateTimeFormatter figures;

    DateOrder(String shortly, String atLength, String figures) {
        this.shortly = DateTimeFormatter.ofPattern(shortly, Locale.ENGLISH);
        this.atLength = DateTimeFormatter.ofPattern(atLength, Locale.ENGLISH);
        this.figures = DateTimeFormatter.ofPattern(figures, Locale.ENGLISH);
    }

    /** As a letter has it: "31 March 2026". */
    public String atLength(LocalDate day) {
        return atLength.format(day);
    }

    /** As a table has it, in figures alone: "31/03/2026". */
    public String figures(LocalDate day) {
        return figures.format(day);
    }

    @Override
    public String words() {
        return shortly.format(ONE);
    }
}
