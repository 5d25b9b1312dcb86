package wrenchnotes.core.diagnosis.history;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.unit.Kind;

/**
 * The small table that ships: what is usually wrong with units of a kind and what it shows. Common practice, no source; the
 * figures are rough, and a few jobs of the shop's own outweigh them.
 */
public final class CommonPractice {

    /**
     * @param kinds it is usual on; empty for all
     * @param rate of how many units in one
     * @param shows symptoms and how likely each is told of
     */
    public record Usual(Set<Kind> kinds, FaultName fault, double rate, Map<String, Double> shows) {

        boolean on(Kind kind) {
            return kinds.isEmpty() || kinds.contains(kind);
        }
    }

    private static final Set<Kind> DISCS = Set.of(Kind.CONSOLE, Kind.PLAYER, Kind.DRIVE);
    private static final Set<Kind> LOGIC = Set.of(Kind.CONSOLE, Kind.COMPUTER);

    public static final List<Usual> TABLE = List.of(
            usual(
                    DISCS,
                    "belt",
                    "slack",
                    0.20,
                    Map.of("does not take disc", 0.4, "does not spin", 0.4, "squeals", 0.2)),
            usual(DISCS, "lens", "dirty", 0.12, Map.of("does not read", 0.5, "skips or sticks", 0.5)),
            usual(DISCS, "loading gear", "split", 0.06, Map.of("does not take disc", 0.5, "throws disc out", 0.4)),
            usual(DISCS, "rails", "grease like glue", 0.05, Map.of("grinds", 0.4, "does not read", 0.3)),
            usual(
                    LOGIC,
                    "cartridge or card socket",
                    "contacts dirty",
                    0.08,
                    Map.of("no picture", 0.5, "restarts when moved", 0.2)),
            usual(LOGIC, "keys", "contacts dirty", 0.08, Map.of("keys dead", 0.6, "keys need force", 0.3)),
            usual(
                    Set.of(),
                    "supply",
                    "weak",
                    0.06,
                    Map.of("dead", 0.4, "goes off by itself", 0.3, "starts only sometimes", 0.3)),
            usual(
                    Set.of(),
                    "plug or ribbon",
                    "not home",
                    0.06,
                    Map.of("restarts when moved", 0.4, "starts only sometimes", 0.3, "keys dead", 0.1)),
            usual(Set.of(), "inlet filter", "smoked", 0.03, Map.of("smells burnt", 0.8, "blows its fuse", 0.4)),
            usual(Set.of(), "fuse", "blown", 0.03, Map.of("dead", 0.9)),
            usual(
                    Set.of(),
                    "electrolytics",
                    "leaking",
                    0.04,
                    Map.of("hums", 0.3, "no sound", 0.2, "starts only sometimes", 0.2)),
            usual(
                    Set.of(),
                    "something left inside",
                    "in the way",
                    0.02,
                    Map.of("rattles while spinning", 0.2, "grinds", 0.3, "does not take disc", 0.3)));

    private CommonPractice() {}

    private static Usual usual(
            Set<Kind> kinds, String component, String wrong, double rate, Map<String, Double> shows) {
        return new Usual(kinds, new FaultName(component, wrong), rate, shows);
    }

    /** Whether what ships knows a word: then it is not new, though nobody here was told of it. */
    static boolean speaksOf(String symptom) {
        return TABLE.stream().anyMatch(usual -> usual.shows().containsKey(symptom));
    }

    static Optional<Usual> of(Kind kind, FaultName fault) {
        return TABLE.stream()
                .filter(usual -> usual.on(kind) && usual.fault().equals(fault))
                .findFirst();
    }

    static List<Usual> of(Kind kind) {
        return TABLE.stream().filter(usual -> usual.on(kind)).toList();
    }
}
