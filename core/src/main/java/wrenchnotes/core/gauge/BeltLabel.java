package wrenchnotes.core.gauge;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import wrenchnotes.core.gauge.BeltGauge.BeltInDrawer;
import wrenchnotes.core.gauge.BeltGauge.BeltSection;
import wrenchnotes.core.gauge.BeltGauge.BeltShape;
import wrenchnotes.core.unit.Invalid;

/**
 * Reads a belt off the words on a drawer: "inner circumference 64 mm, square 1.6 mm", "inner circumference 120 mm, flat 4 × 0.6
 * mm".
 */
public final class BeltLabel {

    private static final Pattern LENGTH =
            Pattern.compile("circumference\\s+(\\d+(?:\\.\\d+)?)\\s*mm", Pattern.CASE_INSENSITIVE);
    private static final Pattern SECTION = Pattern.compile(
            "(square|flat|round)\\s+(\\d+(?:\\.\\d+)?)(?:\\s*[×x]\\s*(\\d+(?:\\.\\d+)?))?\\s*mm",
            Pattern.CASE_INSENSITIVE);

    private BeltLabel() {}

    /** @return empty if the words name no inner circumference, or a section that no belt has */
    public static Optional<BeltInDrawer> read(long partId, String name, String what, String drawer, int count) {
        Matcher length = LENGTH.matcher(what);
        if (!length.find()) {
            return Optional.empty();
        }
        Matcher section = SECTION.matcher(what);
        try {
            Optional<BeltSection> found = section.find()
                    ? Optional.of(new BeltSection(
                            BeltShape.valueOf(section.group(1).toUpperCase(Locale.ROOT)),
                            Double.parseDouble(section.group(2)),
                            Double.parseDouble(section.group(3) == null ? section.group(2) : section.group(3))))
                    : Optional.empty();
            return Optional.of(
                    new BeltInDrawer(partId, name, drawer, count, Double.parseDouble(length.group(1)), found));
        } catch (Invalid e) {
            return Optional.empty();
        }
    }
}
