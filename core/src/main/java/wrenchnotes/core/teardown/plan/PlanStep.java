package wrenchnotes.core.teardown.plan;

import java.util.List;
import java.util.Optional;
import wrenchnotes.core.teardown.Side;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * What the plan has to know of a step.
 *
 * @param needs ids of steps, or names of groups of alternatives, that must be done first
 * @param tool what is in the hand; empty for bare hands, which leave a tool where it is
 * @param minutes 0 to 600
 * @param exposes names of components that can be reached once it is done
 * @param insteadOf the group of steps that do the same, of which at most one is done; empty if there is only this way
 * @param partsCost what it destroys or uses up, in minor units of money, 0 or more
 * @param reversible whether it can be undone so that the unit is as made
 */
public record PlanStep(
        String id,
        List<String> needs,
        Side side,
        String tool,
        double minutes,
        List<String> exposes,
        Optional<String> insteadOf,
        long partsCost,
        boolean reversible) {

    public PlanStep {
        id = Checked.text("id", id, 80);
        needs = needs == null ? List.of() : List.copyOf(needs);
        Checked.present("side", side);
        tool = Checked.optionalText("tool", tool, 30);
        Checked.within("minutes", minutes, 0.0, 600.0);
        exposes = exposes == null ? List.of() : List.copyOf(exposes);
        insteadOf = insteadOf == null
                ? Optional.empty()
                : insteadOf.map(String::strip).filter(group -> !group.isEmpty());
        if (partsCost < 0) {
            throw new Invalid("partsCost", "partsCost is " + partsCost + "; it must be 0 or more");
        }
    }
}
