package wrenchnotes.server.demo;

import java.util.ArrayList;
import java.util.List;

/** What lies in the demo shop's drawers on its first day; the lead orders more when something runs out. */
final class DemoParts {

    private DemoParts() {}

    record Part(String drawer, String name, String what, long eachMinor, int count) {}

    /** What the demo's own jobs take. */
    private static final List<Part> USED = List.of(
            new Part("1", "belt 50 × 1.2 square", "inner circumference 50 mm, square 1.2 mm", 140, 10),
            new Part("1", "belt 82 × 1.2 square", "inner circumference 82 mm, square 1.2 mm", 150, 7),
            new Part("1", "belt 32 × 0.8 square", "inner circumference 32 mm, square 0.8 mm", 120, 6),
            new Part("2", "belt 95 × 3 flat", "inner circumference 95 mm, flat 3 × 0.5 mm", 210, 11),
            new Part("2", DemoTrouble.CHEAP_BELT, "inner circumference 95 mm, flat 3 × 0.5 mm", 95, 0),
            new Part("2", "belt 62 × 3 flat", "inner circumference 62 mm, flat 3 × 0.5 mm", 190, 10),
            new Part("3", "idler tyre 12 mm", "outside 12 mm, bore 8 mm", 260, 11),
            new Part("4", "grease, light, sachet", "synthetic, for plastic gears and rails", 45, 240),
            new Part("4", "lint-free wipes", "with alcohol, one wipe", 20, 600),
            new Part("4", "heat paste, dab", "one dab, from a syringe", 60, 300),
            new Part("5", "inlet filter X2", "0.1 µF, 275 V~, class X2", 310, 7),
            new Part("7", "fan 40 mm", "40 × 10 mm, 12 V, two wires", 720, 7),
            new Part("9", "latch CD-5", "printed, left hand", 450, 6),
            new Part("9", "lid FD-3", "from donor drives", 600, 6),
            new Part("12", "hinge ribbon", "16 ways, 1 mm, 120 mm", 890, 8),
            new Part("12", "membrane Tern", "three layers", 2400, 6),
            new Part("14", "supply board Q2", "from donor units", 3200, 6),
            new Part("16", "screw 2.6 × 8 tapping black", "cross PH1, pan head", 6, 200),
            new Part("16", "screw M3 × 6 silver", "cross PH1, pan head", 5, 200),
            new Part("16", "screw M2 × 5 brass", "cross PH0, pan head", 7, 120));

    /** What any such shop has besides. */
    static final List<Part> ALL = all();

    private static List<Part> all() {
        List<Part> parts = new ArrayList<>(USED);
        int[] squares = {36, 42, 46, 54, 58, 64, 70, 76, 90, 104};
        for (int n = 0; n < squares.length; n++) {
            parts.add(
                    new Part("1", "belt " + squares[n] + " × 1.2 square", "", 130 + 5 * n, n % 4 == 3 ? 0 : 1 + n % 5));
        }
        int[] flats = {70, 78, 88, 110, 126};
        for (int n = 0; n < flats.length; n++) {
            parts.add(new Part("2", "belt " + flats[n] + " × 4 × 0.6 flat", "", 200 + 15 * n, 2 + n % 3));
        }
        for (int outer : new int[] {9, 10, 14, 16, 18}) {
            parts.add(
                    new Part("3", "pinch roller " + outer + " × 2 × " + (outer - 2), "", 340 + 10 * outer, outer % 4));
        }
        parts.add(new Part("4", "isopropyl alcohol, 10 ml", "", 25, 180));
        parts.add(new Part("4", "rubber conditioner, drop", "", 15, 90));
        parts.add(new Part("4", "epoxy, two parts, dab", "", 80, 24));
        parts.add(new Part("4", "flux, no clean, dab", "", 30, 60));
        for (String filter : List.of(
                "0.047 µF, 275 V~, class X2",
                "0.22 µF, 275 V~, class X2",
                "2.2 nF, 250 V~, class Y2",
                "4.7 nF, 250 V~, class Y2")) {
            parts.add(new Part("5", "filter " + filter.substring(0, filter.indexOf(',')), filter, 190, 3));
        }
        int[] values = {1, 10, 22, 47, 100, 220, 330, 470, 1000, 2200};
        for (int n = 0; n < values.length; n++) {
            int volts = n % 3 == 0 ? 25 : n % 3 == 1 ? 16 : 35;
            parts.add(new Part(
                    "21",
                    "electrolytic " + values[n] + " µF " + volts + " V",
                    "105 °C, radial, " + (5 + n / 2) + " × " + (7 + n) + " mm, pitch " + (n < 5 ? "2.5" : "5"),
                    18 + 9 * n,
                    n % 5 == 2 ? 0 : 6 + (n * 7) % 15));
        }
        for (String value : List.of("100 pF", "1 nF", "10 nF", "47 nF", "100 nF")) {
            parts.add(new Part("22", "ceramic " + value, "50 V, ceramic, radial, pitch 5", 9, 40));
        }
        for (String value : List.of("10R", "47R", "100R", "470R", "1k", "2k2", "4k7", "10k", "47k", "100k", "1M")) {
            parts.add(new Part("23", "resistor " + value, "0.25 W, ±5 %, axial", 3, 50));
        }
        for (String rating : List.of("F250mA", "F500mA", "T315mA", "T630mA", "T1A", "T1.6A", "T2A")) {
            parts.add(new Part("6", "fuse " + rating + " 5 × 20", "250 V, glass", 22, rating.startsWith("F") ? 4 : 9));
        }
        for (String chip :
                List.of("74LS00", "74LS04", "74LS74", "74LS138", "74LS245", "7406", "7407", "4066", "4164")) {
            parts.add(new Part(
                    "31",
                    "chip " + chip,
                    chip.equals("74LS138") || chip.equals("4164") ? "DIP-16" : "DIP-14",
                    95,
                    chip.length() % 4));
        }
        for (String gear : List.of(
                "12 teeth m 0.5 bore 2",
                "16 teeth m 0.5 bore 2 splined",
                "22 teeth m 0.5 bore 3",
                "30 teeth m 0.5 bore 3",
                "18 teeth m 0.4 bore 2")) {
            parts.add(new Part("8", "gear " + gear, "brass or acetal, press fit", 380, gear.startsWith("16") ? 0 : 2));
        }
        for (String lamp :
                List.of("lamp 12 V 50 mA", "lamp 6.3 V 100 mA", "LED red 3 mm", "LED green 3 mm", "LED green 5 mm")) {
            parts.add(new Part("7", lamp, "", 35, 8));
        }
        for (String screw : List.of(
                "screw M2 × 4 black",
                "screw M2.5 × 6 black",
                "screw M3 × 8 silver",
                "screw M3 × 10 silver",
                "screw 2.6 × 6 tapping black",
                "screw 2.6 × 12 tapping black",
                "screw 3 × 10 tapping silver",
                "screw M4 × 8 silver",
                "washer 3 mm",
                "e-clip 2 mm",
                "e-clip 3 mm",
                "rivet 4 × 6 black")) {
            parts.add(new Part(
                    "17",
                    screw,
                    screw.startsWith("screw M2") ? "cross PH0" : screw.startsWith("screw") ? "cross PH1" : "",
                    5,
                    80));
        }
        for (String lead : List.of("ribbon 10 ways", "ribbon 14 ways", "ribbon 20 ways", "ribbon 24 ways")) {
            parts.add(new Part("13", lead, "1 mm pitch, 150 mm", 260, 2));
        }
        parts.add(new Part("10", "lens LR, tall", "", 1900, 1));
        parts.add(new Part("10", "lens Duo, short", "", 1750, 0));
        parts.add(new Part("10", "drive, 3½ inch, high density", "", 2600, 1));
        parts.add(new Part("14", "key board Tern", "revision with square plug", 2100, 1));
        parts.add(new Part("9", "foot, felt, 10 mm", "", 8, 60));
        return List.copyOf(parts);
    }
}
