package wrenchnotes.core.teardown;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import wrenchnotes.core.unit.Invalid;

/**
 * The notes of one revision: its overview, and its steps in the order they are written. Right by construction: step and thing ids are unique, every
 * need names a step or a group of these notes, and no step needs itself or waits for itself by a detour.
 */
public final class Teardown {

    private static final int MOST_STEPS = 200;

    private final Overview overview;
    private final List<Step> steps;
    private final Map<String, Step> byId = new HashMap<>();

    private Teardown(Overview overview, List<Step> steps) {
        this.overview = overview;
        this.steps = List.copyOf(steps);
        if (steps.size() > MOST_STEPS) {
            throw new Invalid("steps", steps.size() + " steps; notes hold at most " + MOST_STEPS);
        }
        Set<String> things = new HashSet<>();
        for (int at = 0; at < steps.size(); at++) {
            Step step = steps.get(at);
            if (byId.put(step.id(), step) != null) {
                throw new Invalid("steps[" + at + "].id", "Two steps have the id " + step.id());
            }
            for (Thing thing : step.things()) {
                if (!things.add(thing.id())) {
                    throw new Invalid("steps[" + at + "]", "Two things have the id " + thing.id());
                }
            }
        }
        for (int at = 0; at < steps.size(); at++) {
            refuseUnknown(at, steps.get(at));
        }
        refuseCircles(
                "These steps need each other in a circle: ",
                step -> step.needs().stream().filter(byId::containsKey).toList());
        refuseCircles(
                "These steps wait for each other on the way back: ",
                step -> goBackBefore(step.id()).stream().map(Step::id).toList());
    }

    private void refuseUnknown(int at, Step step) {
        if (byId.containsKey(step.insteadOf())) {
            throw new Invalid(
                    "steps[" + at + "].insteadOf",
                    "The group \"" + step.insteadOf() + "\" has the id of a step: give it another name");
        }
        for (String need : step.needs()) {
            if (!byId.containsKey(need) && members(need).isEmpty()) {
                throw new Invalid(
                        "steps[" + at + "].needs",
                        "Step \"" + step.title() + "\" needs a step that is not in the notes: " + need);
            }
        }
        for (String other : step.backAfter()) {
            if (!byId.containsKey(other)) {
                throw new Invalid(
                        "steps[" + at + "].backAfter",
                        "Step \"" + step.title() + "\" goes back after a step that is not in the notes: " + other);
            }
        }
    }

    /** @throws Invalid naming the step and field at fault, or the circle of steps that need each other */
    public static Teardown of(List<Step> steps) {
        return of(Overview.NONE, steps);
    }

    /**
     * @param overview what holds for the revision as a whole
     * @throws Invalid as {@link #of(List)}
     */
    public static Teardown of(Overview overview, List<Step> steps) {
        return new Teardown(overview, steps);
    }

    public static Teardown empty() {
        return of(List.of());
    }

    public Overview overview() {
        return overview;
    }

    public List<Step> steps() {
        return steps;
    }

    /** @throws Invalid if these notes have no such step */
    public Step step(String id) {
        Step step = byId.get(id);
        if (step == null) {
            throw new Invalid("step", "These notes have no step " + id);
        }
        return step;
    }

    public boolean has(String id) {
        return byId.containsKey(id);
    }

    /**
     * The same notes with a step put right.
     *
     * @throws Invalid if they have no such step, or if the notes would no longer hold together
     */
    public Teardown with(Step corrected) {
        step(corrected.id());
        return withSteps(steps.stream()
                .map(step -> step.id().equals(corrected.id()) ? corrected : step)
                .toList());
    }

    /**
     * The step that takes a thing off.
     *
     * @throws Invalid if none does
     */
    public Step stepOf(String thing) {
        return steps.stream()
                .filter(step -> step.things().stream().anyMatch(one -> one.id().equals(thing)))
                .findFirst()
                .orElseThrow(() -> new Invalid("thing", "The notes of this unit have no " + thing));
    }

    /** Where can be measured while these steps are open. */
    public List<TestPoint> pointsReached(Predicate<String> open) {
        List<Step> opened = steps.stream().filter(step -> open.test(step.id())).toList();
        return overview.points().stream()
                .filter(point -> opened.stream().anyMatch(point::reachedBy))
                .toList();
    }

    /**
     * Other steps under the same overview.
     *
     * @throws Invalid if they do not hold together
     */
    public Teardown withSteps(List<Step> others) {
        return of(overview, others);
    }

    /** How many steps it takes to open all of it: of several that do the same, one. */
    public int depth() {
        Set<String> groups = new HashSet<>();
        return (int) steps.stream()
                .filter(step -> step.insteadOf().isEmpty() || groups.add(step.insteadOf()))
                .count();
    }

    /** The steps that need this one first, by its id or by its group, in the order of the notes. */
    public List<Step> dependents(String id) {
        String group = step(id).insteadOf();
        return steps.stream()
                .filter(step -> step.needs().contains(id)
                        || (!group.isEmpty() && step.needs().contains(group)))
                .toList();
    }

    /** The steps that need this one, directly or not, in the order of the notes. */
    public List<Step> inside(String id) {
        Set<String> reached = new HashSet<>();
        reach(id, reached);
        return steps.stream().filter(step -> reached.contains(step.id())).toList();
    }

    private void reach(String id, Set<String> reached) {
        for (Step inner : dependents(id)) {
            if (reached.add(inner.id())) {
                reach(inner.id(), reached);
            }
        }
    }

    /** The steps that, while they are open, keep this one from going back: what lies inside, and the notes' exceptions. */
    public List<Step> goBackBefore(String id) {
        Set<String> after = step(id).backAfter();
        return Stream.concat(dependents(id).stream(), steps.stream().filter(step -> after.contains(step.id())))
                .distinct()
                .toList();
    }

    /** The steps of a group of alternatives, in the order of the notes; none if there is no such group. */
    public List<Step> members(String group) {
        return group.isEmpty()
                ? List.of()
                : steps.stream().filter(step -> step.insteadOf().equals(group)).toList();
    }

    /** The other steps that do the same as this one. */
    public List<Step> standIns(String id) {
        return members(step(id).insteadOf()).stream()
                .filter(step -> !step.id().equals(id))
                .toList();
    }

    /** Whether a need, a step's id or the name of a group, is met when these steps are open. */
    public boolean met(String need, Collection<String> open) {
        return open.contains(need) || members(need).stream().anyMatch(step -> open.contains(step.id()));
    }

    public List<Thing> things() {
        return steps.stream().flatMap(step -> step.things().stream()).toList();
    }

    private void refuseCircles(String what, Function<Step, List<String>> before) {
        Set<String> clear = new HashSet<>();
        for (Step step : steps) {
            follow(step.id(), new LinkedHashSet<>(), clear, what, before);
        }
    }

    private void follow(
            String id,
            LinkedHashSet<String> path,
            Set<String> clear,
            String what,
            Function<Step, List<String>> before) {
        if (clear.contains(id)) {
            return;
        }
        if (!path.add(id)) {
            throw new Invalid("needs", what + circle(id, path));
        }
        for (String other : before.apply(byId.get(id))) {
            follow(other, path, clear, what, before);
        }
        path.remove(id);
        clear.add(id);
    }

    private String circle(String from, LinkedHashSet<String> path) {
        List<String> round = new ArrayList<>(path);
        round = new ArrayList<>(round.subList(round.indexOf(from), round.size()));
        round.add(from);
        return round.stream().map(id -> byId.get(id).title()).collect(Collectors.joining(" → "));
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Teardown that && steps.equals(that.steps) && overview.equals(that.overview);
    }

    @Override
    public int hashCode() {
        return 31 * overview.hashCode() + steps.hashCode();
    }
}
