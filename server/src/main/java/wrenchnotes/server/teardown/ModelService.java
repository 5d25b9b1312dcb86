package wrenchnotes.server.teardown;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;
import wrenchnotes.core.teardown.Photo;
import wrenchnotes.core.teardown.SharedFix;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Kind;
import wrenchnotes.server.finder.FinderIndex;
import wrenchnotes.server.ground.By;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.photo.PhotoStore;

/** Making and changing models and revisions, and saving notes. Each method runs in the caller's transaction. */
@Component
public class ModelService {

    private final ModelStore models;
    private final NotesStore notes;
    private final PhotoStore photos;
    private final FinderIndex finder;
    private final Journal journal;

    ModelService(ModelStore models, NotesStore notes, PhotoStore photos, FinderIndex finder, Journal journal) {
        this.models = models;
        this.notes = notes;
        this.photos = photos;
        this.finder = finder;
        this.journal = journal;
    }

    public ModelStore.Model addModel(By by, String maker, String name, Kind kind) {
        refuseTwin(maker, name, -1);
        ModelStore.Model model = models.model(models.addModel(maker, name, kind));
        journal.write(by, Journal.Entry.ofShop("model", model.id(), "Model " + model.title(), null, model));
        return model;
    }

    ModelStore.Model changeModel(By by, long id, Seen seen, String maker, String name, Kind kind) {
        ModelStore.Model before = models.model(id);
        seen.mustBe(before.version(), before.title(), () -> before);
        refuseTwin(maker, name, id);
        models.changeModel(id, maker, name, kind);
        ModelStore.Model after = models.model(id);
        finder.renameModel(id);
        journal.write(by, Journal.Entry.ofShop("model", id, "Model now " + after.title(), before, after));
        return after;
    }

    private void refuseTwin(String maker, String name, long self) {
        models.idOf(maker, name).filter(id -> id != self).ifPresent(id -> {
            throw new Invalid("name", "There is already a " + maker + " " + name + ": add a revision to it instead");
        });
    }

    /** @param copyOf the revision of the same model whose newest notes it starts with */
    public ModelStore.Revision addRevision(By by, long model, String name, String tellApart, Optional<Long> copyOf) {
        models.model(model);
        Optional<ModelStore.Revision> source = copyOf.map(models::revision);
        source.filter(revision -> revision.modelId() != model).ifPresent(other -> {
            throw new Invalid("copyOf", "Revision " + other.name() + " is of another model: copy one of this model");
        });
        refuseTwinRevision(model, name);
        ModelStore.Revision revision = models.revision(models.addRevision(model, name, tellApart));
        journal.write(by, Journal.Entry.ofShop("revision", revision.id(), "Revision " + name, null, revision));
        source.map(from -> notes.newest(from.id()))
                .filter(version -> version.number() > 0)
                .ifPresent(version -> notes.save(
                        by,
                        revision.id(),
                        1,
                        version.teardown(),
                        "as revision " + source.get().name()));
        return models.revision(revision.id());
    }

    ModelStore.Revision changeRevision(By by, long id, Seen seen, String name, String tellApart) {
        ModelStore.Revision before = models.revision(id);
        seen.mustBe(before.version(), "Revision " + before.name(), () -> before);
        if (!before.name().equals(name)) {
            refuseTwinRevision(before.modelId(), name);
        }
        models.changeRevision(id, name, tellApart);
        ModelStore.Revision after = models.revision(id);
        finder.renameModel(after.modelId());
        journal.write(by, Journal.Entry.ofShop("revision", id, "Revision now " + name, before, after));
        return after;
    }

    private void refuseTwinRevision(long model, String name) {
        if (models.hasRevision(model, name)) {
            throw new Invalid("name", "This model already has a revision " + name);
        }
    }

    public ModelStore.Named addComponent(By by, long model, String name) {
        models.model(model);
        String checked = Checked.text("name", name, 80);
        return models.component(model, checked).orElseGet(() -> {
            ModelStore.Named component = new ModelStore.Named(models.addComponent(model, checked), checked);
            journal.write(
                    by, Journal.Entry.ofShop("component", component.id(), "Component " + checked, null, component));
            return component;
        });
    }

    /**
     * Saves a new version of a revision's notes.
     *
     * @param seen the number of the version it was made from, 0 for the first
     */
    public NotesStore.Version saveNotes(By by, long revision, Seen seen, Teardown teardown, String why) {
        ModelStore.Revision of = models.revision(revision);
        seen.mustBe(of.notes(), "These notes", () -> notes.newest(revision));
        List<Long> known = models.components(of.modelId()).stream()
                .map(ModelStore.Named::id)
                .toList();
        for (int at = 0; at < teardown.steps().size(); at++) {
            for (Photo photo : teardown.steps().get(at).photos()) {
                if (!photos.has(photo.hash())) {
                    throw new Invalid("steps[" + at + "].photos", "The photo is not in the shop: take it in again");
                }
            }
            for (Long component : teardown.steps().get(at).exposes()) {
                if (!known.contains(component)) {
                    throw new Invalid("steps[" + at + "].exposes", "This model has no component " + component);
                }
            }
        }
        NotesStore.Version saved = notes.save(by, revision, of.notes() + 1, teardown, why);
        journal.write(
                by,
                Journal.Entry.ofShop("teardown", saved.id(), "Notes, version " + saved.number(), null, saved.number()));
        return saved;
    }

    /** Takes over steps that another revision of the same model has put right. */
    NotesStore.Version takeOver(By by, long revision, Seen seen, long from, Set<String> steps) {
        ModelStore.Revision source = models.revision(from);
        if (source.modelId() != models.revision(revision).modelId()) {
            throw new Invalid("from", "Revision " + source.name() + " is of another model");
        }
        Teardown taken = SharedFix.taken(
                notes.newest(revision).teardown(), notes.newest(from).teardown(), steps);
        return saveNotes(by, revision, seen, taken, "as put right in revision " + source.name());
    }
}
