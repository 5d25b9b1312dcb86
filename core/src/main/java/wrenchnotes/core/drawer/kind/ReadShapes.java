package wrenchnotes.core.drawer.kind;

import static wrenchnotes.core.drawer.kind.FieldsRead.N;
import static wrenchnotes.core.drawer.kind.FieldsRead.words;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import wrenchnotes.core.drawer.kind.PartField.YesOrNo;
import wrenchnotes.core.gauge.BeltGauge.BeltShape;
import wrenchnotes.core.teardown.Finish;
import wrenchnotes.core.teardown.Head;
import wrenchnotes.core.teardown.ThreadForm;

/** Reads what is told by shape and size: belts, gears, rollers, fasteners, leads; and what is used up. */
final class ReadShapes {

    private static final Pattern AROUND = words("circumference " + N + " ?mm");
    private static final Pattern SECTION_FIRST = words("(?:square|flat|round) " + N + "(?: x " + N + ")? ?mm");
    private static final Pattern BELT_SIZES =
            words("\\bbelts? (?:of |no\\.? )?" + N + "(?: ?mm)?(?: x " + N + "(?: x " + N + ")?)?");
    private static final Pattern THREE_SIZES = words(N + " x " + N + "(?: x " + N + ")?");

    /** Of two sizes nobody knows whether the first is the length. */
    private static final Pattern ALL_THREE = words(N + " x " + N + " x " + N);

    private static final Pattern TEETH = words("\\b" + N + " ?(?:teeth|tooth|t\\b)");
    private static final Pattern MODULE = words("\\b(?:module|mod\\.?|m) ?=? ?" + N + "\\b(?! ?x)");
    private static final Pattern BORE = words("\\b(?:bore|inside|inner|id) ?" + N);
    private static final Pattern SPLINED = words("\\bsplined\\b");
    private static final Pattern SMOOTH = words("\\b(?:smooth|plain|round) bore\\b");
    private static final Pattern MATERIAL =
            words("\\b(?:brass|nylon|acetal|POM|ABS|PETG|PLA|steel|plastic|rubber|silicone)\\b");

    private static final Pattern OUTER = words("\\b(?:outside|outer|od) ?(?:diameter )?" + N);
    private static final Pattern WIDE = words("\\b(?:width|wide) ?" + N + "|" + N + " ?mm wide");
    private static final Pattern ROLLER_SIZE = words("\\b(?:rollers?|tyres?|tires?|idlers?) " + N);

    private static final Pattern METRIC = words("\\bM" + N + "(?: x " + N + ")?");
    private static final Pattern RING_SIZE = words("\\b(?:washers?|e-clips?|circlips?) " + N);
    private static final Pattern TAPPING_SIZE = words("\\bST ?" + N + "(?: x " + N + ")?");
    private static final Pattern TAPPING = words("\\btapping\\b|\\bST ?\\d");
    private static final Pattern DRIVER =
            Pattern.compile("\\b(?:PH[0-4]|PZ[0-4]|T\\d{1,2}|H\\d(?:\\.\\d)?)\\b(?!\\.?\\d*A)");

    private static final Pattern WAYS = words("\\b" + N + "[ -]?(?:ways?|pins?|poles?)\\b");
    private static final Pattern PITCH = words("\\bpitch " + N + "|\\b" + N + " ?mm pitch");
    private static final Pattern LENGTHS = words("\\b" + N + " ?mm\\b");
    /** Contacts sit no further apart in what these shops see; what is longer is the lead. Ours, no source. */
    private static final double WIDEST_PITCH = 5.08;

    private static final Pattern AGENT = words(
            "isopropyl(?: alcohol)?|contact cleaner|(?:rubber )?conditioner|(?:silicone |synthetic |lithium )?grease|oil|heat paste|paste|epoxy|resin|flux|solder|glue|wipes?|swabs?|alcohol|cleaner");
    private static final Pattern AMOUNT =
            words("\\b(?:sachets?|dabs?|drops?|ml|bottles?|syringes?|grams?|wipes?|swabs?)\\b");

    private ReadShapes() {}

    static void belt(FieldsRead read) {
        for (BeltShape shape : BeltShape.values()) {
            read.when(words("\\b" + shape.name() + "\\b"), PartField.SECTION, shape);
        }
        read.figures(AROUND, PartField.CIRCUMFERENCE);
        read.figures(SECTION_FIRST, PartField.WIDTH, PartField.THICKNESS);
        read.figures(BELT_SIZES, PartField.CIRCUMFERENCE, PartField.WIDTH, PartField.THICKNESS);
        read.figures(ALL_THREE, PartField.CIRCUMFERENCE, PartField.WIDTH, PartField.THICKNESS);
        boolean flat = BeltShape.FLAT.name().equals(read.spec().words().get(PartField.SECTION));
        Double width = read.spec().figures().get(PartField.WIDTH);
        if (!flat && width != null && read.spec().words().containsKey(PartField.SECTION)) {
            read.put(PartField.THICKNESS, width);
        }
    }

    static void gear(FieldsRead read) {
        read.figures(TEETH, PartField.TEETH);
        read.figures(MODULE, PartField.MODULE);
        read.figures(BORE, PartField.BORE);
        read.when(SPLINED, PartField.SPLINED, YesOrNo.YES);
        read.when(SMOOTH, PartField.SPLINED, YesOrNo.NO);
        read.firstOf(PartField.MATERIAL, MATERIAL);
    }

    static void roller(FieldsRead read) {
        read.figures(OUTER, PartField.OUTER);
        read.figures(BORE, PartField.BORE);
        read.find(WIDE)
                .ifPresent(found -> read.put(
                        PartField.WIDTH, Double.parseDouble(found.group(1) == null ? found.group(2) : found.group(1))));
        read.figures(THREE_SIZES, PartField.OUTER, PartField.BORE, PartField.WIDTH);
        read.figures(ROLLER_SIZE, PartField.OUTER);
    }

    static void fastener(FieldsRead read) {
        read.when(TAPPING, PartField.THREAD, ThreadForm.TAPPING);
        if (read.says(METRIC)) {
            read.put(PartField.THREAD, ThreadForm.MACHINE);
        }
        read.figures(METRIC, PartField.DIAMETER, PartField.LENGTH);
        read.figures(TAPPING_SIZE, PartField.DIAMETER, PartField.LENGTH);
        read.figures(THREE_SIZES, PartField.DIAMETER, PartField.LENGTH);
        read.figures(RING_SIZE, PartField.DIAMETER);
        read.firstOf(PartField.DRIVER, DRIVER);
        head(read);
        for (Finish finish : Finish.values()) {
            read.when(words("\\b" + finish.name() + "\\b"), PartField.FINISH, finish);
        }
    }

    private static void head(FieldsRead read) {
        read.when(words("hexalobular.*(?:\\bpin\\b|security)"), PartField.HEAD, Head.HEXALOBULAR_SECURITY);
        read.when(words("hexalobular|\\bT\\d{1,2}\\b"), PartField.HEAD, Head.HEXALOBULAR);
        read.when(words("tri-?wing"), PartField.HEAD, Head.TRI_WING);
        read.when(words("\\bcross\\b|\\bPH\\d"), PartField.HEAD, Head.CROSS);
        read.when(words("\\bslotted\\b"), PartField.HEAD, Head.SLOTTED);
        read.when(words("\\bhex\\b"), PartField.HEAD, Head.HEX);
        read.when(words("\\brivets?\\b"), PartField.HEAD, Head.RIVET);
        read.when(words("\\bwashers?\\b"), PartField.HEAD, Head.WASHER);
        read.when(words("\\b(?:e-clips?|circlips?)\\b"), PartField.HEAD, Head.CLIP);
    }

    static void lead(FieldsRead read) {
        read.figures(WAYS, PartField.WAYS);
        read.find(PITCH)
                .ifPresent(found -> read.put(
                        PartField.PITCH, Double.parseDouble(found.group(1) == null ? found.group(2) : found.group(1))));
        Matcher lengths = LENGTHS.matcher(read.plain());
        while (lengths.find()) {
            double mm = Double.parseDouble(lengths.group(1));
            read.put(mm <= WIDEST_PITCH ? PartField.PITCH : PartField.LENGTH, mm);
        }
    }

    static void consumable(FieldsRead read) {
        read.firstOf(PartField.AGENT, AGENT);
        read.firstOf(PartField.AMOUNT, AMOUNT);
    }
}
