package wrenchnotes.server.teardown;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import wrenchnotes.core.teardown.Assembled;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.unit.Invalid;

/** Joins the notes of a revision with those of the sub-assemblies in it. Runs in the caller's transaction. */
@Component
public class Assembly {

    private final ModelStore models;
    private final NotesStore notes;
    private final StepTimesStore times;

    Assembly(ModelStore models, NotesStore notes, StepTimesStore times) {
        this.models = models;
        this.notes = notes;
        this.times = times;
    }

    /** Which revision of its own model a component is, said as {@code 17:5}: component 17 is revision 5. */
    public record Variant(long component, long revision) {

        static Variant parse(String said) {
            String[] parts = said.split(":", -1);
            try {
                if (parts.length == 2) {
                    return new Variant(Long.parseLong(parts[0]), Long.parseLong(parts[1]));
                }
            } catch (NumberFormatException e) {
                // told below, with what it should look like
            }
            throw new Invalid("fitted", "\"" + said + "\" says no variant: write component:revision, such as 17:5");
        }
    }

    /**
     * The notes joined, and what can be reached with them.
     *
     * @param unit the newest notes of the revision itself
     * @param choices the components that are models of their own, with the variants there are
     */
    record Whole(
            NotesStore.Version unit,
            Teardown notes,
            List<ModelStore.ModelComponent> components,
            List<Choice> choices,
            List<Variant> fitted) {}

    /** A component that is a model of its own. */
    public record Choice(long component, String name, String model, List<VariantOf> variants, Optional<Long> fitted) {}

    /** @param notes number of the newest version of its notes, 0 if it has none */
    public record VariantOf(long revision, String name, String tellApart, long notes) {}

    /** @param fitted from the outside in; what is not said is not known yet, and not gone into */
    Whole whole(long revision, List<Variant> fitted) {
        NotesStore.Version unit = notes.newest(revision);
        List<ModelStore.ModelComponent> components =
                new ArrayList<>(models.components(models.revision(revision).modelId()));
        List<Assembled.Fitted> inside = new ArrayList<>();
        for (Variant variant : fitted) {
            ModelStore.ModelComponent component = components.stream()
                    .filter(one -> one.id() == variant.component())
                    .findFirst()
                    .orElseThrow(() -> new Invalid("fitted", "There is no component " + variant.component() + " here"));
            inside.add(fitted(component, variant.revision(), notes.newest(variant.revision())));
            components.addAll(models.components(component.inside().orElseThrow()));
        }
        return new Whole(
                unit,
                Assembled.of(unit.teardown(), inside),
                List.copyOf(components),
                components.stream().flatMap(one -> choice(one, fitted).stream()).toList(),
                List.copyOf(fitted));
    }

    /** @throws Invalid unless the revision is one of the model that the component is */
    public Assembled.Fitted fitted(ModelStore.ModelComponent component, long revision, NotesStore.Version version) {
        if (component
                .inside()
                .filter(model -> model == models.revision(revision).modelId())
                .isEmpty()) {
            throw new Invalid("fitted", "Revision " + revision + " is no variant of the " + component.name());
        }
        return new Assembled.Fitted(component.id(), component.name(), version.teardown());
    }

    private Optional<Choice> choice(ModelStore.ModelComponent component, List<Variant> fitted) {
        return component
                .inside()
                .map(model -> new Choice(
                        component.id(),
                        component.name(),
                        models.model(model).title(),
                        variants(model),
                        fitted.stream()
                                .filter(variant -> variant.component() == component.id())
                                .map(Variant::revision)
                                .findFirst()));
    }

    public List<VariantOf> variants(long model) {
        return models.revisions(model).stream()
                .map(revision -> new VariantOf(revision.id(), revision.name(), revision.tellApart(), revision.notes()))
                .toList();
    }

    /** Minutes that the steps took in this shop, in these units and in the sub-assemblies wherever they were. */
    public Map<String, List<Double>> times(long revision, List<Variant> fitted) {
        Map<String, List<Double>> all = new HashMap<>(times.ofRevision(revision));
        for (Variant variant : fitted) {
            times.ofRevision(variant.revision())
                    .forEach((step, minutes) ->
                            all.merge(Assembled.id(variant.component(), step), minutes, (one, other) -> {
                                List<Double> both = new ArrayList<>(one);
                                both.addAll(other);
                                return both;
                            }));
        }
        return all;
    }
}
