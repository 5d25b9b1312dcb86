package wrenchnotes.core.teardown.plan;

import java.util.List;

/**
 * One order of steps and what it costs.
 *
 * @param order ids of the steps
 * @param minutes of the steps, the flips and the tool changes together
 * @param flips changes of the side that faces up, the first from the start side
 * @param toolChanges times a tool is taken up, the first included
 * @param partsCost in minor units of money
 * @param reversible whether every step of it can be undone
 */
public record Plan(List<String> order, double minutes, int flips, int toolChanges, long partsCost, boolean reversible) {

    public Plan {
        order = List.copyOf(order);
    }

    /** What these steps cost in just this order; the order is not checked against what needs what. */
    public static Plan of(List<PlanStep> order, Costs costs) {
        int flips = 0;
        int toolChanges = 0;
        double minutes = 0;
        String inHand = "";
        var up = costs.startSide();
        for (PlanStep step : order) {
            if (step.side() != up) {
                flips++;
                up = step.side();
            }
            for (String tool : step.tools()) {
                toolChanges += tool.equals(inHand) ? 0 : 1;
                inHand = tool;
            }
            minutes += step.minutes();
        }
        return new Plan(
                order.stream().map(PlanStep::id).toList(),
                minutes + flips * costs.flipMinutes() + toolChanges * costs.toolMinutes(),
                flips,
                toolChanges,
                order.stream().mapToLong(PlanStep::partsCost).sum(),
                order.stream().allMatch(PlanStep::reversible));
    }
}
