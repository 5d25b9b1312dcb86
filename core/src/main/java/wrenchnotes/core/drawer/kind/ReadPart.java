package wrenchnotes.core.drawer.kind;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What people type on drawers and into searches, read: "belt 50 × 1.2 square", "M2×5 brass", "47u 16V", "T1.6A 5×20", "gear 16 teeth m 0.5".
 * What is not said stays not known, and what cannot be read at all is left to a person.
 */
public final class ReadPart {

    /** What speaks for each kind; the first that is spoken for is taken, so "belt for the drive" is a belt. */
    private static final Map<PartKind, Pattern> SPEAKS_FOR = Map.ofEntries(
            speaks(PartKind.BELT, "\\bbelts?\\b|circumference"),
            speaks(
                    PartKind.FASTENER,
                    "\\b(?:screws?|bolts?|nuts?|rivets?|washers?|e-clips?|circlips?)\\b|\\b(?:M|ST)\\d+(?:[.,]\\d+)? ?x ?\\d"),
            speaks(PartKind.GEAR, "\\b(?:gears?|cogs?|pinions?)\\b"),
            speaks(PartKind.ROLLER, "\\b(?:rollers?|tyres?|tires?|idlers?)\\b"),
            speaks(PartKind.FUSE, "\\bfuses?\\b|\\b(?:FF|TT|F|T|M) ?\\d+(?:[.,]\\d+)? ?m?A\\b"),
            speaks(
                    PartKind.CONSUMABLE,
                    "\\b(?:grease|oil|alcohol|isopropyl|wipes?|paste|resin|epoxy|flux|glue|cleaner|conditioner|swabs?|solder)\\b"),
            speaks(
                    PartKind.CAPACITOR,
                    "\\b(?:capacitors?|electrolytics?|tantalum|caps?)\\b|\\d ?(?:[pnu]F|mfd)\\b|\\b\\d+[pnu]\\d|\\b\\d+[pnu]\\b.*\\d ?V"),
            speaks(PartKind.RESISTOR, "\\bresistors?\\b|\\d ?[kM]?ohms?\\b|\\b\\d+(?:R|[kM])\\d*\\b.*\\d ?W\\b"),
            speaks(
                    PartKind.CHIP,
                    "\\b(?:74|54)[A-Z]{0,4}\\d{2,4}\\b|\\b(?:chips?|eproms?|regulators?|op-?amps?|transistors?|driver IC)\\b"),
            speaks(PartKind.LAMP, "\\b(?:lamps?|bulbs?|LEDs?)\\b"),
            speaks(PartKind.LENS, "\\b(?:lens|lenses|lasers?|pick-?ups?)\\b"),
            speaks(PartKind.LEAD, "\\b(?:ribbons?|cables?|leads?|connectors?|plugs?|sockets?)\\b|\\d+ ?-?ways?\\b"),
            speaks(PartKind.BOARD, "\\b(?:boards?|PCBs?)\\b"),
            speaks(PartKind.DRIVE, "\\b(?:drives?)\\b"));

    private static final List<PartKind> IN_TURN = List.of(
            PartKind.BELT,
            PartKind.FASTENER,
            PartKind.GEAR,
            PartKind.FUSE,
            PartKind.CONSUMABLE,
            PartKind.ROLLER,
            PartKind.CAPACITOR,
            PartKind.RESISTOR,
            PartKind.CHIP,
            PartKind.LAMP,
            PartKind.LEAD,
            PartKind.LENS,
            PartKind.BOARD,
            PartKind.DRIVE);

    private ReadPart() {}

    private static Map.Entry<PartKind, Pattern> speaks(PartKind kind, String words) {
        return Map.entry(kind, Pattern.compile(words, Pattern.CASE_INSENSITIVE));
    }

    /**
     * @param typed a name, a label, or both: what the name says of its kind goes before what else is said of it
     * @return empty if no kind can be told from it
     */
    public static Optional<PartSpec> of(String... typed) {
        for (String words : typed) {
            String plain = plain(words);
            Optional<PartKind> kind = IN_TURN.stream()
                    .filter(one -> SPEAKS_FOR.get(one).matcher(plain).find())
                    .findFirst();
            if (kind.isPresent()) {
                return kind.map(one -> read(one, plain(String.join(", ", typed))));
            }
        }
        return Optional.empty();
    }

    /** What is said of a part whose kind is known. */
    public static PartSpec of(PartKind kind, String typed) {
        return read(kind, plain(typed));
    }

    private static PartSpec read(PartKind kind, String plain) {
        FieldsRead read = new FieldsRead(kind, plain);
        switch (kind) {
            case BELT -> ReadShapes.belt(read);
            case GEAR -> ReadShapes.gear(read);
            case ROLLER -> ReadShapes.roller(read);
            case FASTENER -> ReadShapes.fastener(read);
            case CAPACITOR -> ReadElectric.capacitor(read);
            case RESISTOR -> ReadElectric.resistor(read);
            case FUSE -> ReadElectric.fuse(read);
            case CHIP -> ReadElectric.chip(read);
            case LAMP -> ReadElectric.lamp(read);
            case LEAD -> ReadShapes.lead(read);
            case CONSUMABLE -> ReadShapes.consumable(read);
            case LENS, DRIVE, BOARD, OTHER -> {}
        }
        return read.spec();
    }

    /** One sign for times, one for micro, a point as the mark, no line ends. */
    static String plain(String typed) {
        return typed.replaceAll("\\s+", " ")
                .replace('×', 'x')
                .replace('✕', 'x')
                .replaceAll("(?<=\\d) ?[xX*] ?(?=\\d)", " x ")
                .replace('\u00b5', 'u')
                .replace('\u03bc', 'u')
                .replaceAll("[Ω\u2126]", "ohm")
                .replaceAll("(?<=\\d),(?=\\d)", ".")
                .strip();
    }

    /** The first group of the first place where a pattern stands. */
    static Optional<Matcher> find(Pattern pattern, String plain) {
        Matcher matcher = pattern.matcher(plain);
        return matcher.find() ? Optional.of(matcher) : Optional.empty();
    }
}
