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
 * @param tools taken up one after the other; none for bare hands, which leave a tool where it is
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
        List<String> tools,
        double minutes,
        List<String> exposes,
        Optional<String> insteadOf,
        long partsCost,
        boolean reversible) {

    public PlanStep {
        id = Checked.text("id", id, 80);
        needs = needs == null ? List.of() : List.copyOf(needs);
        Checked.present("side", side);
        tools = tools == null ? List.of() : List.copyOf(tools);
        Checked.within("minutes", minutes, 0.0, 600.0);
        exposes = exposes == null ? List.of() : List.copyOf(exposes);
        insteadOf = insteadOf == null
                ? Optional.empty()
                : insteadOf.map(String::strip).filter(group -> !group.isEmpty());
        if (partsCost < 0) {
            throw new Invalid("partsCost", "partsCost is " + partsCost + "; it must be 0 or more");
        }
    }

    /** With one tool. @param tool empty for bare hands */
    public PlanStep(
            String id,
            List<String> needs,
            Side side,
            String tool,
            double minutes,
            List<String> exposes,
            Optional<String> insteadOf,
            long partsCost,
            boolean reversible) {
        this(
                id,
                needs,
                side,
                tool.isEmpty() ? List.of() : List.of(tool),
                minutes,
                exposes,
                insteadOf,
                partsCost,
                reversible);
    }

    /** What must be in hand to begin; empty for bare hands. */
    String firstTool() {
        return tools.isEmpty() ? "" : tools.get(0);
    }

    /** What is in hand at the end; empty if nothing was taken up. */
    String lastTool() {
        return tools.isEmpty() ? "" : tools.get(tools.size() - 1);
    }

    /** How often one tool is laid down for another within the step. */
    int changesWithin() {
        int changes = 0;
        for (int at = 1; at < tools.size(); at++) {
            changes += tools.get(at).equals(tools.get(at - 1)) ? 0 : 1;
        }
        return changes;
    }
}
