package wrenchnotes.core.teardown;

import java.util.Set;
import wrenchnotes.core.unit.Checked;

/**
 * Where a step stands among the others. Sets are always in the same order, so that the same notes are always written the
 * same way; one that is left out (null) is empty.
 *
 * @param needs ids of the steps that must be done before this one, or names of groups of which one must be done
 * @param insteadOf name of the group of steps that do the same, of which one is done; empty if there is only this way
 * @param backAfter ids of steps that must be back in before this one goes back, where the plain reverse is wrong
 */
public record Order(Set<String> needs, String insteadOf, Set<String> backAfter) {

    /** Needs nothing, the only way, and goes back the plain way. */
    public static final Order FIRST = new Order(null, "", null);

    public Order {
        needs = Step.sorted(needs);
        insteadOf = Checked.optionalText("insteadOf", insteadOf, 80);
        backAfter = Step.sorted(backAfter);
    }

    public static Order after(Set<String> needs) {
        return new Order(needs, "", null);
    }
}
