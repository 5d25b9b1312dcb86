package wrenchnotes.server.demo;

import java.util.List;
import java.util.Random;
import wrenchnotes.core.diagnosis.Remedy;

/** What tends to fail on the demo shop's models, and what is done about it: all of it invented. */
final class DemoFaults {

    private DemoFaults() {}

    /** How often a fault turns up in the course of the eighteen months. */
    enum Course {
        STEADY,
        RISING
    }

    /** @param comesBack how likely the unit is back for the same within months */
    record Way(Remedy remedy, double weight, double comesBack, String part) {}

    record Fault(
            String model,
            String revision,
            String component,
            String wrong,
            String symptom,
            double weight,
            Course course,
            List<Way> ways) {

        Way pick(Random random) {
            double at =
                    random.nextDouble() * ways.stream().mapToDouble(Way::weight).sum();
            for (Way way : ways) {
                at -= way.weight();
                if (at < 0) {
                    return way;
                }
            }
            return ways.get(ways.size() - 1);
        }
    }

    /** What comes up in the last quarter. */
    static final Fault DRY_BEARING =
            rising("FD-3", "ribbed lid", "fan bearing", "dry", "squeals", 9, replaced("fan 40 mm"));

    static final List<Fault> ALL = List.of(
            fault("Q2", "A", "hinge ribbon", "cracked", "keys dead", 4, replaced("hinge ribbon")),
            fault("Q2", "A", "supply plug", "loose", "restarts when moved", 6, done(Remedy.RESEATED, 0.12)),
            fault("Q2", "A", "fan bearing", "dry", "fan loud", 4, done(Remedy.LUBRICATED, 0.2), replaced("fan 40 mm")),
            fault("Q2", "B", "hinge ribbon", "cracked", "keys dead", 9, replaced("hinge ribbon")),
            fault("Q2", "B", "ribbon clip", "not home", "restarts when moved", 7, done(Remedy.RESEATED, 0.3)),
            fault("Q2", "B", "main supply", "weak", "goes off by itself", 2, replaced("supply board Q2")),
            fault(
                    "CD-5",
                    "first series",
                    "drawer belt",
                    "slack",
                    "does not take disc",
                    15,
                    replaced("belt 50 × 1.2 square"),
                    new Way(Remedy.REVIVED, 0.8, 0.62, null)),
            fault(
                    "CD-5",
                    "first series",
                    "door latch",
                    "broken",
                    "door does not open",
                    7,
                    replaced("latch CD-5"),
                    done(Remedy.IMPROVISED, 0.25)),
            fault(
                    "CD-5",
                    "first series",
                    "carousel belt",
                    "glazed",
                    "throws disc out",
                    5,
                    replaced("belt 82 × 1.2 square")),
            fault("CD-5", "first series", "lens", "dirty", "skips or sticks", 8, done(Remedy.CLEANED, 0.1)),
            fault("CD-5", "first series", "inlet filter", "smoked", "smells burnt", 2, replaced("inlet filter X2")),
            fault("Duo", "only", "sled belt", "set", "does not read", 6, replaced("belt 32 × 0.8 square")),
            fault(
                    "Duo",
                    "only",
                    "idler tyre",
                    "glazed",
                    "eats tape",
                    6,
                    replaced("idler tyre 12 mm"),
                    done(Remedy.CLEANED, 0.35)),
            fault("Duo", "only", "door latch", "broken", "door does not open", 3, done(Remedy.IMPROVISED, 0.2)),
            fault(
                    "LR-20",
                    "grey keys",
                    "capstan belt",
                    "worn",
                    "plays slow or wavers",
                    13,
                    replaced("belt 95 × 3 flat")),
            fault("LR-20", "grey keys", "idler tyre", "glazed", "eats tape", 15, replaced("idler tyre 12 mm")),
            fault("LR-20", "grey keys", "record switch", "dirty", "no sound", 5, done(Remedy.CLEANED, 0.1)),
            fault(
                    "Tern",
                    "issue 2",
                    "keyboard membrane",
                    "open line",
                    "keys dead",
                    11,
                    replaced("membrane Tern"),
                    done(Remedy.IMPROVISED, 0.3)),
            fault("Tern", "issue 2", "inlet filter", "smoked", "smells burnt", 6, replaced("inlet filter X2")),
            fault("Tern", "issue 2", "drive belt", "tar", "does not spin", 6, replaced("belt 62 × 3 flat")),
            fault(
                    "Tern",
                    "issue 2",
                    "video chip",
                    "crept out of its socket",
                    "no picture",
                    3,
                    done(Remedy.RESEATED, 0.05)),
            fault("Gannet", "only", "inlet filter", "smoked", "smells burnt", 5, replaced("inlet filter X2")),
            fault("Gannet", "only", "drive belt", "tar", "does not save", 4, replaced("belt 62 × 3 flat")),
            fault("Gannet", "only", "keyboard socket", "cracked joint", "keys dead", 3, done(Remedy.RESOLDERED, 0.1)),
            fault(
                    "FD-3",
                    "flat lid",
                    "lid",
                    "bent",
                    "rattles while spinning",
                    7,
                    replaced("lid FD-3"),
                    new Way(Remedy.STRAIGHTENED, 0.7, 0.55, null)),
            fault("FD-3", "flat lid", "heads", "dirty", "does not read", 4, done(Remedy.CLEANED, 0.1)),
            fault("FD-3", "flat lid", "door latch", "broken", "door does not open", 2, done(Remedy.IMPROVISED, 0.2)),
            fault("FD-3", "ribbed lid", "heads", "dirty", "does not read", 6, done(Remedy.CLEANED, 0.1)),
            fault("FD-3", "ribbed lid", "rail grease", "like glue", "grinds", 4, done(Remedy.LUBRICATED, 0.05)),
            DRY_BEARING,
            fault("FD-3", "ribbed lid", "door latch", "broken", "door does not open", 3, done(Remedy.IMPROVISED, 0.2)));

    private static Fault fault(
            String model, String revision, String component, String wrong, String symptom, double weight, Way... ways) {
        return new Fault(model, revision, component, wrong, symptom, weight, Course.STEADY, List.of(ways));
    }

    private static Fault rising(
            String model, String revision, String component, String wrong, String symptom, double weight, Way... ways) {
        return new Fault(model, revision, component, wrong, symptom, weight, Course.RISING, List.of(ways));
    }

    private static Way replaced(String part) {
        return new Way(Remedy.REPLACED, 1, 0.05, part);
    }

    private static Way done(Remedy remedy, double comesBack) {
        return new Way(remedy, 0.6, comesBack, null);
    }
}
