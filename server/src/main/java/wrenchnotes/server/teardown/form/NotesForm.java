package wrenchnotes.server.teardown.form;

import java.util.List;
import tools.jackson.databind.JsonNode;
import wrenchnotes.core.teardown.Overview;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.server.ground.Stored;

/** Notes and proposals as they stand in the database, and the readers of every form that was ever written. */
public final class NotesForm {

    /** Form 4 knew all of every fastener and piece; form 3 was as form 4 without test points; form 2 was as form 3 and knew nothing that is used up by opening; form 1 neither live work nor under which terms a check counts. */
    private static final int NUMBER = 5;

    private record Steps(int form, List<StepForm> steps) {}

    private record Proposed(int form, StepForm step) {}

    private NotesForm() {}

    public static String steps(List<Step> steps) {
        return Stored.text(new Steps(NUMBER, StepForm.each(steps, StepForm::of)));
    }

    public static String overview(Overview overview) {
        return Stored.text(OverviewForm.of(NUMBER, overview));
    }

    /** @throws wrenchnotes.core.unit.Invalid if the steps do not hold together */
    public static Teardown teardown(String overview, String steps) {
        return Teardown.of(overview(overview), steps(steps));
    }

    /** Form 0 was the bare list of steps. */
    private static List<Step> steps(String text) {
        JsonNode tree = Stored.tree(text);
        return switch (Stored.number(tree)) {
            case 0 ->
                tree.values().stream()
                        .map(step -> Stored.read(step, StepForm.class).step())
                        .toList();
            case 1, 2, 3, 4, 5 -> StepForm.each(Stored.read(tree, Steps.class).steps(), StepForm::step);
            default -> throw Stored.unknown("Notes", tree);
        };
    }

    /** Form 0 had no number, and was otherwise as form 1. */
    public static Overview overview(String text) {
        JsonNode tree = Stored.tree(text);
        if (Stored.number(tree) > NUMBER) {
            throw Stored.unknown("Notes", tree);
        }
        return Stored.read(tree, OverviewForm.class).overview();
    }

    public static String proposal(Step step) {
        return Stored.text(new Proposed(NUMBER, StepForm.of(step)));
    }

    /** Form 0 was the bare step. */
    public static Step proposal(String text) {
        JsonNode tree = Stored.tree(text);
        return switch (Stored.number(tree)) {
            case 0 -> Stored.read(tree, StepForm.class).step();
            case 1, 2, 3, 4, 5 -> Stored.read(tree, Proposed.class).step().step();
            default -> throw Stored.unknown("A proposal", tree);
        };
    }
}
