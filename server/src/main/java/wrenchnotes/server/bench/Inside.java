package wrenchnotes.server.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import wrenchnotes.core.teardown.Assembled;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.bench.BenchStore.FittedEntry;
import wrenchnotes.server.teardown.Assembly;
import wrenchnotes.server.teardown.ModelStore;
import wrenchnotes.server.teardown.NotesStore;

/** What is inside a unit that is a model of its own: which variant it is, seen once the unit is open. */
@Component
public class Inside {

    private final BenchStore store;
    private final ModelStore models;
    private final NotesStore notes;
    private final Assembly assembly;

    Inside(BenchStore store, ModelStore models, NotesStore notes, Assembly assembly) {
        this.store = store;
        this.models = models;
        this.notes = notes;
        this.assembly = assembly;
    }

    /**
     * A sub-assembly that can be gone into now.
     *
     * @param usual the variant it was in this unit's other stays, or is in most of its kind
     * @param fitted the variant it is said to be in this job; empty while nobody has said
     */
    public record SubAssembly(
            long component,
            String name,
            String model,
            List<Assembly.VariantOf> variants,
            Optional<Long> usual,
            Optional<Long> fitted) {}

    /** The notes that this job goes by: its own, and those of each variant that was picked. */
    Teardown joined(Teardown own, List<FittedEntry> fitted) {
        List<Assembled.Fitted> inside = fitted.stream()
                .map(entry -> new Assembled.Fitted(
                        entry.component(),
                        models.component(entry.component()).name(),
                        notes.version(entry.teardown()).teardown()))
                .toList();
        return Assembled.of(own, inside);
    }

    /** The sub-assemblies that open steps expose. */
    List<SubAssembly> seen(BenchState state) {
        List<SubAssembly> seen = new ArrayList<>();
        List<Long> exposed = state.run().way().open().stream()
                .flatMap(step -> state.run().notes().step(step).exposes().stream())
                .distinct()
                .toList();
        models.withModelInside(exposed).forEach(component -> component.inside().ifPresent(model -> {
            List<Assembly.VariantOf> variants = assembly.variants(model).stream()
                    .filter(variant -> variant.notes() > 0)
                    .toList();
            if (!variants.isEmpty()) {
                seen.add(new SubAssembly(
                        component.id(),
                        component.name(),
                        models.model(model).title(),
                        variants,
                        store.usualVariant(
                                component.id(),
                                state.job().unitId(),
                                state.job().revisionId()),
                        state.fitted().stream()
                                .filter(entry -> entry.component() == component.id())
                                .map(FittedEntry::revision)
                                .findFirst()));
            }
        }));
        return seen;
    }

    /**
     * Says which variant it is; may be put right while nothing of it was taken apart.
     *
     * @return what happened, in words
     */
    String fit(BenchPress press, long component, long revision) {
        BenchState state = press.now();
        ModelStore.ModelComponent what = models.component(component);
        NotesStore.Version version = notes.newest(revision);
        assembly.fitted(what, revision, version);
        if (state.run().way().open().stream()
                .noneMatch(step -> state.run().notes().step(step).exposes().contains(component))) {
            throw Refused.because("The " + what.name() + " cannot be seen yet: open the way to it first.");
        }
        if (version.number() == 0) {
            throw Refused.because("There are no notes for that one yet. Write the first step under Models.");
        }
        if (state.run().hasEntriesInside(component)) {
            throw Refused.because("The " + what.name()
                    + " was taken apart already as another variant: its ledger goes by those notes.");
        }
        FittedEntry entry = new FittedEntry(component, revision, version.id());
        store.fit(press.by(), press.job(), entry);
        List<FittedEntry> fitted = new ArrayList<>(state.fitted());
        fitted.removeIf(other -> other.component() == component);
        fitted.add(entry);
        press.is(state.with(fitted, joined(state.notes().teardown(), fitted)));
        ModelStore.Revision picked = models.revision(revision);
        return "Inside: the " + what.name() + " is "
                + models.model(picked.modelId()).title() + ", " + picked.name();
    }
}
