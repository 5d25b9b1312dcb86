package wrenchnotes.core.teardown;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.LongUnaryOperator;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * Steps of one teardown taken into another: of a like model, or of the same drive in another case. They keep their order and what they need
 * of each other. What they needed of steps that stay behind is dropped: the first of them come after the last step that is there.
 */
public final class Block {

    /** Ids in a shop's notes are no longer than this. */
    private static final int LONGEST_ID = 40;

    private final Teardown into;
    private final LongUnaryOperator component;
    private final List<Step> steps;
    private final Map<String, String> ids = new HashMap<>();
    private final Set<String> taken = new HashSet<>();

    private Block(Teardown into, List<Step> steps, LongUnaryOperator component) {
        this.into = into;
        this.component = component;
        this.steps = steps;
        into.steps().forEach(step -> {
            taken.add(step.id());
            taken.add(step.insteadOf());
            step.things().forEach(thing -> taken.add(thing.id()));
        });
        steps.forEach(step -> {
            named(step.id());
            if (!step.insteadOf().isEmpty()) {
                named(step.insteadOf());
            }
            step.things().forEach(thing -> named(thing.id()));
        });
    }

    /**
     * @param steps ids of those that are taken
     * @param component what a component of {@code from} is among those of {@code into}
     * @return the notes with the block at their end; if they were empty, with what {@code from} says of the whole as well
     * @throws wrenchnotes.core.unit.Invalid if {@code from} has no such step, or if there would be too many
     */
    public static Teardown taken(Teardown into, Teardown from, Set<String> steps, LongUnaryOperator component) {
        steps.forEach(from::step);
        Block block = new Block(
                into,
                from.steps().stream().filter(step -> steps.contains(step.id())).toList(),
                component);
        List<Step> joined = new ArrayList<>(into.steps());
        block.steps.forEach(step -> joined.add(block.moved(step)));
        boolean empty = into.steps().isEmpty() && into.overview().equals(Overview.NONE);
        return Teardown.of(empty ? block.whole(from.overview()) : into.overview(), joined);
    }

    /** The same id, or the next that is free. */
    private void named(String id) {
        ids.computeIfAbsent(id, old -> {
            String name = old;
            for (int n = 2; taken.contains(name); n++) {
                String end = "-" + n;
                name = old.substring(0, Math.min(old.length(), LONGEST_ID - end.length())) + end;
            }
            taken.add(name);
            return name;
        });
    }

    private Step moved(Step step) {
        Set<String> needs = mapped(step.needs());
        if (needs.isEmpty() && !into.steps().isEmpty()) {
            needs.add(into.steps().get(into.steps().size() - 1).id());
        }
        String group = step.insteadOf().isEmpty() ? "" : ids.get(step.insteadOf());
        return new Step(
                ids.get(step.id()),
                step.title(),
                step.doing(),
                step.danger(),
                new Order(needs, group, mapped(step.backAfter())),
                step.toll(),
                step.off().called(ids::get),
                step.exposes().stream().map(component::applyAsLong).collect(Collectors.toSet()),
                step.photos(),
                step.stays());
    }

    private Set<String> mapped(Set<String> some) {
        return some.stream().filter(ids::containsKey).map(ids::get).collect(Collectors.toCollection(TreeSet::new));
    }

    private Overview whole(Overview of) {
        Predicate<String> here = step -> step.isEmpty() || ids.containsKey(step);
        return new Overview(
                of.before(),
                of.modes(),
                of.checks().stream()
                        .filter(check -> here.test(check.terms().beforeStep()))
                        .toList(),
                watched(of.watch()),
                watched(of.lookOver()),
                of.points().stream().allMatch(point -> here.test(point.step()))
                        ? of.points().stream()
                                .map(point -> point.about(component.applyAsLong(point.component())))
                                .toList()
                        : List.of());
    }

    private List<Overview.WatchPoint> watched(List<Overview.WatchPoint> some) {
        return some.stream()
                .map(one -> new Overview.WatchPoint(component.applyAsLong(one.component()), one.words()))
                .toList();
    }
}
