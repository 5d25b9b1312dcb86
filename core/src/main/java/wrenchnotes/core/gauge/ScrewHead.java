package wrenchnotes.core.gauge;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import wrenchnotes.core.teardown.Head;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.PublishedTable;

/**
 * The head of a screw, and which driver its hexalobular recess takes (ISO 10664, T1 to T40; hexalobular.csv).
 *
 * @param acrossMm across the points of a hexalobular recess, 0.3 to 50
 */
public record ScrewHead(Head type, Optional<Double> acrossMm) {

    private static final Map<Double, String> SIZES = PublishedTable.rows(ScrewHead.class, "hexalobular.csv").stream()
            .collect(Collectors.toMap(
                    row -> Double.parseDouble(row.get("across_mm")),
                    row -> row.get("size"),
                    (a, b) -> a,
                    TreeMap::new));

    public ScrewHead {
        Checked.present("head.type", type);
        acrossMm.ifPresent(value -> Checked.within("head.acrossMm", value, 0.3, 50.0));
    }

    /**
     * @param u how well it was measured, mm
     * @return "T8", "T8 with a hole"; empty if it is no hexalobular one, or if no size is within u
     * @throws Invalid if it is hexalobular and was not measured
     */
    Optional<String> driver(double u, List<String> reasons) {
        boolean pin = type == Head.HEXALOBULAR_SECURITY;
        if (type != Head.HEXALOBULAR && !pin) {
            return Optional.empty();
        }
        double across = acrossMm.orElseThrow(
                () -> new Invalid("head.acrossMm", "Measure across the points of the recess: that says which driver"));
        if (pin) {
            reasons.add("A pin in the middle: its driver has a hole, and fits the plain screw too.");
        }
        List<Double> near = SIZES.keySet().stream()
                .sorted(Comparator.comparingDouble(size -> Math.abs(size - across)))
                .limit(2)
                .toList();
        double first = Math.abs(near.get(0) - across);
        if (first > u + 1e-9 || Math.abs(near.get(1) - across) <= u + 1e-9) {
            reasons.add("The recess is nearest to " + SIZES.get(near.get(0)) + ", then to " + SIZES.get(near.get(1))
                    + ": the larger one that goes in is it. A driver that is too small rounds the recess.");
            return Optional.empty();
        }
        return Optional.of(SIZES.get(near.get(0)) + (pin ? " with a hole" : ""));
    }
}
