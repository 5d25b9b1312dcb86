package wrenchnotes.core.teardown;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import wrenchnotes.core.unit.Invalid;

/**
 * The notes of a unit joined with those of the sub-assemblies fitted in it, so that a plan, a ledger and a run go
 * through both: what opens a sub-assembly needs first whatever exposes it in the unit. Steps and things of a
 * sub-assembly have ids that begin with its component's, {@code 17:lid}.
 */
public final class Assembled {

    private static final int LONGEST_TITLE = 120;

    private Assembled() {}

    /**
     * A sub-assembly as it is fitted in one unit.
     *
     * @param component id of the component that it is, in the notes of the unit around it
     * @param name what it is called there
     * @param notes of the variant that is fitted
     */
    public record Fitted(long component, String name, Teardown notes) {}

    /**
     * Joins from the outside in: a sub-assembly of a sub-assembly stands after the one it is in.
     *
     * @throws Invalid if no step exposes the component, or several that are not ways to the same end
     */
    public static Teardown of(Teardown unit, List<Fitted> inside) {
        Teardown joined = unit;
        for (Fitted fitted : inside) {
            joined = joined(joined, fitted);
        }
        return joined;
    }

    /** What the steps of a sub-assembly are called in the joined notes. */
    public static String id(long component, String id) {
        return component + ":" + id;
    }

    /**
     * Where a step of joined notes is written.
     *
     * @param component the sub-assembly whose notes have it; empty for the unit's own
     * @param id what it is called there
     */
    public record Written(Optional<Long> component, String id) {}

    /** Takes apart what {@link #id} made. */
    public static Written written(String joined) {
        int colon = joined.indexOf(':');
        return colon < 0
                ? new Written(Optional.empty(), joined)
                : new Written(Optional.of(Long.valueOf(joined.substring(0, colon))), joined.substring(colon + 1));
    }

    /** Whether a step or thing of the joined notes belongs to the sub-assembly that is this component. */
    public static boolean belongsTo(long component, String id) {
        return id.startsWith(component + ":");
    }

    private static Teardown joined(Teardown unit, Fitted fitted) {
        String opens = opener(unit, fitted);
        List<Step> steps = new ArrayList<>(unit.steps());
        fitted.notes().steps().forEach(step -> steps.add(inside(step, fitted, opens)));
        return Teardown.of(unit.overview(), steps);
    }

    /** The step that exposes it, or the group of steps that all do. */
    private static String opener(Teardown unit, Fitted fitted) {
        Set<String> openers = unit.steps().stream()
                .filter(step -> step.exposes().contains(fitted.component()))
                .map(step -> step.insteadOf().isEmpty() ? step.id() : step.insteadOf())
                .collect(Collectors.toCollection(TreeSet::new));
        if (openers.isEmpty()) {
            throw new Invalid(
                    "fitted",
                    "No step exposes the " + fitted.name() + ": say in the notes which one lets you reach it");
        }
        if (openers.size() > 1) {
            throw new Invalid(
                    "fitted",
                    "Several steps expose the " + fitted.name()
                            + ": leave it to one of them, or make them ways to the same end");
        }
        return openers.iterator().next();
    }

    private static Step inside(Step step, Fitted fitted, String opens) {
        String prefix = fitted.component() + ":";
        Set<String> needs = step.needs().isEmpty() ? Set.of(opens) : prefixed(prefix, step.needs());
        String title = fitted.name() + ": " + step.title();
        return new Step(
                prefix + step.id(),
                title.length() <= LONGEST_TITLE ? title : title.substring(0, LONGEST_TITLE - 1) + "…",
                step.doing(),
                step.danger(),
                new Order(
                        needs,
                        step.insteadOf().isEmpty() ? "" : prefix + step.insteadOf(),
                        prefixed(prefix, step.backAfter())),
                step.toll(),
                step.off().in(prefix),
                step.exposes(),
                step.photos(),
                step.stays());
    }

    private static Set<String> prefixed(String prefix, Set<String> ids) {
        return ids.stream().map(id -> prefix + id).collect(Collectors.toSet());
    }
}
