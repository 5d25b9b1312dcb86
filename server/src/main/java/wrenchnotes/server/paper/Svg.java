package wrenchnotes.server.paper;

import java.util.Locale;

/** What drawings on papers have in common; all in mm. */
final class Svg {

    /** How long the line is that shows whether a printer kept the scale. */
    static final double RULE_MM = 50;

    private Svg() {}

    /** Numbers as SVG wants them, whatever language the machine speaks. */
    static String text(String format, Object... values) {
        return String.format(Locale.ROOT, format, values);
    }

    /** A line of {@link #RULE_MM} with a tick at each end. */
    static String ruler(double x, double y) {
        return text(
                "<path d=\"M%.2f %.2fv-2m0 1h%.2fm0 -1v2\" fill=\"none\" stroke=\"black\" stroke-width=\"0.2\"/>",
                x, y, RULE_MM);
    }
}
