package wrenchnotes.core.drawer.kind;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.FastenerShape;

/**
 * How large a part is drawn. What nobody said is drawn at a usual size, and open: {@code known} is false. Usual sizes are common practice; the body of
 * a dual in-line package is that of JEDEC MS-001 (published; from memory): half its pins times 2.54 mm, 7.62 mm across.
 *
 * @param wideMm above 0
 * @param highMm above 0
 * @param holeMm a bore, or the inside of a ring; 0 if there is none
 * @param count of teeth, pins or ways; 0 if there are none
 * @param known whether somebody said how large it is
 */
public record PartShape(double wideMm, double highMm, double holeMm, int count, boolean known) {

    private static final double PIN_PITCH = 2.54;
    private static final double ROW_PITCH = 7.62;
    private static final double GAP_MM = 0.9;
    private static final Pattern NUMBER = Pattern.compile("(\\d+(?:\\.\\d+)?)");

    public static PartShape of(String name, PartSpec spec) {
        return switch (spec.kind()) {
            case BELT -> belt(spec);
            case GEAR -> gear(spec);
            case ROLLER -> round(spec, 12);
            case FASTENER -> fastener(ThingPart.asGroup(name, spec));
            case CAPACITOR -> body(spec, PartField.DIAMETER, 8, PartField.HEIGHT, 11);
            case RESISTOR -> usual(6.3, 2.4);
            case FUSE -> size(spec, 20, 5);
            case CHIP -> chip(spec);
            case LAMP -> lamp(spec);
            case LEAD -> lead(spec);
            case LENS -> usual(9, 9);
            case DRIVE -> usual(102, 146);
            case BOARD -> usual(120, 80);
            case CONSUMABLE -> usual(22, 32);
            case OTHER -> usual(24, 24);
        };
    }

    private static PartShape usual(double wide, double high) {
        return new PartShape(wide, high, 0, 0, false);
    }

    private static PartShape belt(PartSpec spec) {
        double thick = spec.figure(PartField.THICKNESS)
                .orElse(spec.figure(PartField.WIDTH).orElse(1.2));
        double inside = spec.figure(PartField.CIRCUMFERENCE).orElse(60) / Math.PI;
        return new PartShape(
                inside + 2 * thick,
                inside + 2 * thick,
                inside,
                0,
                spec.figure(PartField.CIRCUMFERENCE).isPresent());
    }

    private static PartShape gear(PartSpec spec) {
        double teeth = spec.figure(PartField.TEETH).orElse(16);
        double across = spec.figure(PartField.MODULE).orElse(0.5) * (teeth + 2);
        return new PartShape(
                across,
                across,
                spec.figure(PartField.BORE).orElse(across / 5),
                (int) teeth,
                spec.figure(PartField.TEETH).isPresent()
                        && spec.figure(PartField.MODULE).isPresent());
    }

    private static PartShape round(PartSpec spec, double usual) {
        double outer = spec.figure(PartField.OUTER).orElse(usual);
        return new PartShape(
                outer,
                outer,
                spec.figure(PartField.BORE).orElse(outer / 3),
                0,
                spec.figure(PartField.OUTER).isPresent());
    }

    private static PartShape fastener(Optional<FastenerGroup> group) {
        return group.map(one -> {
                    FastenerShape shape = FastenerShape.of(one);
                    double side = shape.lengthMm() > 0 ? GAP_MM + shape.headHeightMm() + shape.lengthMm() : 0;
                    return new PartShape(
                            shape.headDiameterMm() + side,
                            shape.headDiameterMm(),
                            0,
                            0,
                            one.diameterMm().isPresent());
                })
                .orElseGet(() -> usual(12, 5));
    }

    private static PartShape body(PartSpec spec, PartField across, double usualWide, PartField tall, double usualHigh) {
        return new PartShape(
                spec.figure(across).orElse(usualWide),
                spec.figure(tall).orElse(usualHigh),
                0,
                0,
                spec.figure(across).isPresent() && spec.figure(tall).isPresent());
    }

    /** "5 × 20" lies on its side. */
    private static PartShape size(PartSpec spec, double usualWide, double usualHigh) {
        Optional<Matcher> first =
                spec.word(PartField.CASE_SIZE).map(NUMBER::matcher).filter(Matcher::find);
        if (first.isEmpty()) {
            return usual(usualWide, usualHigh);
        }
        double one = Double.parseDouble(first.get().group(1));
        double other = first.get().find() ? Double.parseDouble(first.get().group(1)) : one;
        return new PartShape(Math.max(one, other), Math.min(one, other), 0, 0, true);
    }

    private static PartShape chip(PartSpec spec) {
        Optional<Matcher> pins =
                spec.word(PartField.PACKAGE).map(NUMBER::matcher).filter(Matcher::find);
        int count = pins.map(found -> (int) Double.parseDouble(found.group(1))).orElse(14);
        return new PartShape(Math.max(2, count / 2) * PIN_PITCH, ROW_PITCH, 0, count, pins.isPresent());
    }

    private static PartShape lamp(PartSpec spec) {
        return spec.word(PartField.CASE_SIZE)
                .map(NUMBER::matcher)
                .filter(Matcher::find)
                .map(found -> Double.parseDouble(found.group(1)))
                .map(across -> new PartShape(across, across * 1.7, 0, 0, true))
                .orElseGet(() -> usual(5, 9));
    }

    private static PartShape lead(PartSpec spec) {
        int ways = (int) spec.figure(PartField.WAYS).orElse(10);
        double across = ways * spec.figure(PartField.PITCH).orElse(1);
        return new PartShape(
                spec.figure(PartField.LENGTH).orElse(120),
                across,
                0,
                ways,
                spec.figure(PartField.LENGTH).isPresent());
    }
}
