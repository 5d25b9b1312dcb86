package wrenchnotes.server.paper;

import java.util.stream.Collectors;
import java.util.stream.IntStream;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.FastenerShape;
import wrenchnotes.core.teardown.Head;
import wrenchnotes.core.teardown.MatPlan;
import wrenchnotes.core.teardown.ThreadForm;

/** One fastener at its true size, in outline: its head from above, and beside it head and shaft from the side. As SVG in mm. */
final class FastenerDrawing {

    private FastenerDrawing() {}

    /**
     * @param x left edge, mm
     * @param y middle, mm
     */
    static String svg(FastenerGroup group, double x, double y) {
        FastenerShape shape = FastenerShape.of(group);
        String open = group.notKnown().isEmpty() ? "" : " stroke-dasharray=\"0.8 0.6\"";
        double radius = shape.headDiameterMm() / 2;
        double side = x + shape.headDiameterMm() + MatPlan.HEAD_TO_SIDE;
        return "<g fill=\"none\" stroke=\"#111\" stroke-width=\"0.2\"" + open + ">"
                + Svg.text("<circle cx=\"%.2f\" cy=\"%.2f\" r=\"%.2f\"/>", x + radius, y, radius)
                + recess(group, x + radius, y, radius)
                + (shape.lengthMm() > 0 ? side(group, shape, side, y) : "")
                + "</g>";
    }

    private static String recess(FastenerGroup group, double x, double y, double r) {
        return group.head().map(head -> recess(head, x, y, r)).orElse("");
    }

    private static String recess(Head head, double x, double y, double r) {
        return switch (head) {
            case CROSS, CROSS_SLOTTED ->
                Svg.text(
                        "<path d=\"M%.2f %.2fh%.2fM%.2f %.2fv%.2f\" stroke-width=\"%.2f\"/>",
                        x - r * 0.55, y, r * 1.1, x, y - r * 0.55, r * 1.1, r * 0.25);
            case SLOTTED ->
                Svg.text("<path d=\"M%.2f %.2fh%.2f\" stroke-width=\"%.2f\"/>", x - r * 0.8, y, r * 1.6, r * 0.22);
            case HEX, HEX_SLOTTED -> polygon(x, y, 6, r * 0.56, r * 0.56);
            case TRI_WING ->
                IntStream.of(90, 210, 330)
                        .mapToObj(angle -> Svg.text(
                                "<path d=\"M%.2f %.2fL%s\" stroke-width=\"%.2f\"/>",
                                x, y, ray(x, y, angle, r * 0.62), r * 0.24))
                        .collect(Collectors.joining());
            case RIVET, WASHER, SPRING -> Svg.text("<circle cx=\"%.2f\" cy=\"%.2f\" r=\"%.2f\"/>", x, y, r * 0.34);
            case CLIP, SOLDER, GLUE, SEAL, STICKER, FELT_FOOT, RUBBER_FOOT, CABLE_TIE -> "";
            case HEXALOBULAR, HEXALOBULAR_SLOTTED -> polygon(x, y, 12, r * 0.6, r * 0.37);
            case HEXALOBULAR_SECURITY ->
                polygon(x, y, 12, r * 0.6, r * 0.37)
                        + Svg.text("<circle cx=\"%.2f\" cy=\"%.2f\" r=\"%.2f\" fill=\"#111\"/>", x, y, r * 0.12);
        };
    }

    private static String polygon(double x, double y, int points, double outer, double inner) {
        return IntStream.range(0, points)
                .mapToObj(n -> ray(x, y, n * 360.0 / points, n % 2 == 0 ? outer : inner))
                .collect(Collectors.joining(" ", "<polygon points=\"", "\"/>"));
    }

    private static String ray(double x, double y, double degrees, double length) {
        double angle = Math.toRadians(degrees);
        return Svg.text("%.2f %.2f", x + Math.cos(angle) * length, y - Math.sin(angle) * length);
    }

    private static String side(FastenerGroup group, FastenerShape shape, double x, double y) {
        double half = shape.headDiameterMm() / 2;
        double neck = x + shape.headHeightMm();
        double end = neck + shape.lengthMm();
        double r = shape.diameterMm() / 2;
        boolean pointed = group.is(ThreadForm.TAPPING);
        double tip = Math.min(pointed ? r * 1.9 : r * 0.4, shape.lengthMm() * 0.4);
        double nose = pointed ? 0 : r - tip;
        return Svg.text(
                        "<path d=\"M%1$.2f %2$.2fQ%3$.2f %2$.2f %3$.2f %4$.2fQ%3$.2f %5$.2f %1$.2f %5$.2fZ\"/>",
                        neck, y - half, x, y, y + half)
                + Svg.text(
                        "<path d=\"M%1$.2f %2$.2fH%3$.2fL%4$.2f %5$.2fV%6$.2fL%3$.2f %7$.2fH%1$.2fZ\"/>",
                        neck, y - r, end - tip, end, y - nose, y + nose, y + r)
                + threads(shape, neck, end - tip, y, r);
    }

    /** One slanted line a turn. */
    private static String threads(FastenerShape shape, double from, double to, double y, double r) {
        if (shape.pitchMm() <= 0) {
            return "";
        }
        StringBuilder path = new StringBuilder("<path stroke-width=\"0.12\" d=\"");
        for (double at = from + shape.pitchMm() * 0.8; at < to; at += shape.pitchMm()) {
            path.append(Svg.text("M%.2f %.2fL%.2f %.2f", at, y - r, at - shape.pitchMm() * 0.45, y + r));
        }
        return path.append("\"/>").toString();
    }
}
