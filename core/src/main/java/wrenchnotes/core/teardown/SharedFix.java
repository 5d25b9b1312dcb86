package wrenchnotes.core.teardown;

import java.util.List;
import java.util.Set;

/**
 * A fix made in the notes of one revision, offered to another: a step that both had alike before, and that only the one
 * has put right.
 */
public final class SharedFix {

    private SharedFix() {}

    /**
     * @param before the notes that were put right, as they were
     * @param after as they are now
     * @param other the notes of another revision
     * @return the steps of {@code after} that {@code other} could take over as they stand, in the order of the notes
     */
    public static List<Step> offers(Teardown before, Teardown after, Teardown other) {
        return after.steps().stream()
                .filter(step -> other.has(step.id()) && before.has(step.id()))
                .filter(step -> !before.step(step.id()).equals(step))
                .filter(step -> other.step(step.id()).equals(before.step(step.id())))
                .filter(step -> fits(step, other))
                .toList();
    }

    /** {@code other} with these steps of {@code from} in place of its own. */
    public static Teardown taken(Teardown other, Teardown from, Set<String> steps) {
        return other.withSteps(other.steps().stream()
                .map(step -> steps.contains(step.id()) ? from.step(step.id()) : step)
                .toList());
    }

    private static boolean fits(Step step, Teardown other) {
        return step.needs().stream()
                        .allMatch(
                                need -> other.has(need) || !other.members(need).isEmpty())
                && step.backAfter().stream().allMatch(id -> other.has(id));
    }
}
