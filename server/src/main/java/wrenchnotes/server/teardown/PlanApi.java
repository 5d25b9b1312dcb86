package wrenchnotes.server.teardown;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.teardown.FastenerShape;
import wrenchnotes.core.teardown.Overview;
import wrenchnotes.core.teardown.Side;
import wrenchnotes.core.teardown.Tool;
import wrenchnotes.core.teardown.plan.Access;
import wrenchnotes.core.teardown.plan.AccessPlan;
import wrenchnotes.core.teardown.plan.Costs;
import wrenchnotes.core.teardown.plan.Plan;
import wrenchnotes.core.teardown.plan.PlanStep;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.ground.Takes;

/** The way in: from saved notes, and from steps that nobody has saved yet. */
@RestController
@May(Act.ASK)
public class PlanApi {

    private final Assembly assembly;
    private final Snapshot snapshot;

    PlanApi(Assembly assembly, Snapshot snapshot) {
        this.assembly = assembly;
        this.snapshot = snapshot;
    }

    /**
     * The notes of a revision joined with those of what is fitted in it.
     *
     * @param number version of the revision's own notes
     * @param choices components that are models of their own, and which variant is fitted
     * @param shapes what the drawing needs of each fastener group, by its id
     */
    public record WholeUnit(
            long revisionId,
            long number,
            Overview overview,
            List<StepSaid> steps,
            Map<String, FastenerShape> shapes,
            List<ModelStore.ModelComponent> components,
            List<Assembly.Choice> choices) {}

    @GetMapping("/api/revisions/{revision}/whole")
    WholeUnit whole(@PathVariable long revision, @RequestParam(required = false) List<String> fitted) {
        return snapshot.read(() -> {
            Assembly.Whole whole = assembly.whole(revision, variants(fitted));
            return new WholeUnit(
                    revision,
                    whole.unit().number(),
                    whole.notes().overview(),
                    StepSaid.of(whole.notes().steps()),
                    NotesApi.shapes(whole.notes()),
                    whole.components(),
                    whole.choices());
        });
    }

    private static List<Assembly.Variant> variants(List<String> said) {
        return said == null
                ? List.of()
                : said.stream().map(Assembly.Variant::parse).toList();
    }

    /**
     * @param tool several with commas between, in the order in which they are taken up; empty for bare hands
     * @param insteadOf the group of steps that do the same; left out if there is only this way
     * @param partsCost minor units; 0 if left out
     * @param reversible true if left out
     */
    public record PlanStepSaid(
            @NotBlank @Size(max = 40) String id,
            List<String> needs,
            @NotNull Side side,
            @Size(max = 120) String tool,
            @NotNull Double minutes,
            List<String> exposes,
            String insteadOf,
            Long partsCost,
            Boolean reversible) {

        PlanStep step() {
            return new PlanStep(
                    id,
                    needs,
                    side,
                    Tool.listed(tool == null ? "" : tool).stream()
                            .map(Tool::called)
                            .toList(),
                    minutes,
                    exposes,
                    Optional.ofNullable(insteadOf),
                    partsCost == null ? 0 : partsCost,
                    reversible == null || reversible);
        }
    }

    public record PlanSaid(
            @NotNull @Size(min = 1, max = 400) List<@Valid @NotNull PlanStepSaid> steps,
            @NotNull @Size(min = 1, max = 100) List<@NotBlank String> targets,
            Double flipMinutes,
            Double toolMinutes,
            Side startSide) {

        Costs costs() {
            return new Costs(
                    flipMinutes == null ? Costs.USUAL.flipMinutes() : flipMinutes,
                    toolMinutes == null ? Costs.USUAL.toolMinutes() : toolMinutes,
                    startSide == null ? Costs.USUAL.startSide() : startSide);
        }
    }

    /** @param undo left out if no way leaves the unit as made */
    public record PlanOffers(Plan time, Plan parts, Optional<Plan> undo) {}

    public record PlanAnswer(boolean exact, double lowerBound, Plan best, PlanOffers offers) {}

    /** Changes nothing: for planning before notes are saved, and for tests. */
    @PostMapping("/api/teardown/plan")
    @Takes(megabytes = 2)
    PlanAnswer plan(@Valid @RequestBody PlanSaid said) {
        AccessPlan plan =
                AccessPlan.to(said.steps().stream().map(PlanStepSaid::step).toList(), said.targets(), said.costs());
        return new PlanAnswer(
                plan.exact(),
                plan.lowerBound(),
                plan.best(),
                new PlanOffers(plan.best(), plan.cheapest(), plan.undoable()));
    }

    /**
     * The way to some components of a revision, as its newest notes have it.
     *
     * @param fitted variants of the sub-assemblies to go into, {@code component:revision}, from the outside in
     */
    @GetMapping("/api/revisions/{revision}/access")
    Access.Offers access(
            @PathVariable long revision,
            @RequestParam Set<Long> targets,
            @RequestParam(required = false) List<String> fitted,
            @RequestParam(required = false) Double flipMinutes,
            @RequestParam(required = false) Double toolMinutes,
            @RequestParam(required = false) Side startSide) {
        Costs costs = new PlanSaid(null, null, flipMinutes, toolMinutes, startSide).costs();
        return snapshot.read(() -> {
            Assembly.Whole whole = assembly.whole(revision, variants(fitted));
            Set<Long> known = whole.components().stream()
                    .map(ModelStore.ModelComponent::id)
                    .collect(Collectors.toSet());
            for (Long target : targets) {
                if (!known.contains(target)) {
                    throw new Invalid("targets", "This model has no component " + target);
                }
            }
            return Access.to(whole.notes(), targets, costs, assembly.times(revision, whole.fitted()));
        });
    }
}
