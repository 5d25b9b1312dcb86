package wrenchnotes.server.demo;

import java.util.List;

/** What lies in the demo shop's drawers on its first day; the lead orders more when something runs out. */
final class DemoParts {

    private DemoParts() {}

    record Part(String drawer, String name, String what, long eachMinor, int count) {}

    static final List<Part> ALL = List.of(
            new Part("1", "belt 50 × 1.2 square", "inner circumference 50 mm, square 1.2 mm", 140, 10),
            new Part("1", "belt 82 × 1.2 square", "inner circumference 82 mm, square 1.2 mm", 150, 7),
            new Part("1", "belt 32 × 0.8 square", "inner circumference 32 mm, square 0.8 mm", 120, 6),
            new Part("2", "belt 95 × 3 flat", "inner circumference 95 mm, flat 3 × 0.5 mm", 210, 11),
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
}
