package wrenchnotes.core.gauge;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import wrenchnotes.core.gauge.BeltGauge.BeltInDrawer;
import wrenchnotes.core.gauge.BeltGauge.BeltSection;
import wrenchnotes.core.gauge.BeltGauge.BeltShape;

/**
 * Reads a belt off the words on a drawer: "inner circumference 51 mm, square 1.2 mm", "inner circumference 89 mm, flat 3 × 0.5
 * mm".
 */
public final class BeltLabel {

    private static final Pattern LENGTH = Pattern.compile("circumference\\s+([\\d.]+)\\s*mm", Pattern.CASE_INSENSITIVE);
    private static final Pattern SECTION = Pattern.compile(
            "(square|flat|round)\\s+([\\d.]+)(?:\\s*[×x]\\s*([\\d.]+))?\\s*mm", Pattern.CASE_INSENSITIVE);

    private BeltLabel() {}

    /** @return empty if the words name no inner circumference */
    public static Optional<BeltInDrawer> read(long partId, String name, String what, String drawer, int count) {
        Matcher length = LENGTH.matcher(what);
        if (!length.find()) {
            return Optional.empty();
        }
        Matcher section = SECTION.matcher(what);
        Optional<BeltSection> found = section.find()
                ? Optional.of(new BeltSection(
                        BeltShape.valueOf(section.group(1).toUpperCase(Locale.ROOT)),
                        Double.parseDouble(section.group(2)),
                        Double.parseDouble(section.group(3) == null ? section.group(2) : section.group(3))))
                : Optional.empty();
        return Optional.of(new BeltInDrawer(partId, name, drawer, count, Double.parseDouble(length.group(1)), found));
    }
}
