package wrenchnotes.server.teardown;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import wrenchnotes.core.teardown.Block;
import wrenchnotes.core.teardown.Overview;
import wrenchnotes.core.teardown.Photo;
import wrenchnotes.core.teardown.SharedFix;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.teardown.TestPoint;
import wrenchnotes.core.teardown.Thing;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Kind;
import wrenchnotes.core.unit.Words;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.photo.PhotoStore;

/** Making and changing models and revisions, and saving notes. Each method runs in the caller's transaction. */
@Component
public class ModelService {

    private static final int LONGEST_ID = 40;
    private static final Pattern OF_AN_ASSEMBLY = Pattern.compile("\\d+:");

    private final ModelStore models;
    private final NotesStore notes;
    private final PhotoStore photos;
    private final Journal journal;

    ModelService(ModelStore models, NotesStore notes, PhotoStore photos, Journal journal) {
        this.models = models;
        this.notes = notes;
        this.photos = photos;
        this.journal = journal;
    }

    public ModelStore.Model addModel(By by, String maker, String name, Kind kind) {
        refuseTwin(maker, name, -1);
        ModelStore.Model model = models.model(models.addModel(maker, name, kind));
        journal.write(by, Journal.Entry.ofShop("model", model.id(), "Model " + model.title(), null, model));
        return model;
    }

    /** Under this name a unit of a kind is taken in until somebody knows what it is. */
    static final String NOT_KNOWN = "Not known yet";

    /** The revision of a kind's model that nobody knows, made if there is none yet. */
    ModelStore.Revision notKnown(By by, Kind kind) {
        ModelStore.Model model = models.models().stream()
                .filter(one -> one.kind() == kind && one.maker().equals(NOT_KNOWN))
                .findFirst()
                .orElseGet(() -> addModel(by, NOT_KNOWN, kind.words(), kind));
        return models.revisions(model.id()).stream()
                .findFirst()
                .orElseGet(() -> addRevision(by, model.id(), "?", "", Optional.empty(), Optional.empty()));
    }

    /** A model with its first revision. */
    public ModelStore.Revision atTheCounter(By by, String maker, String name, Kind kind) {
        ModelStore.Model model = addModel(by, maker, name, kind);
        return addRevision(by, model.id(), "A", "", Optional.empty(), Optional.empty());
    }

    ModelStore.Model changeModel(By by, long id, Seen seen, String maker, String name, Kind kind) {
        ModelStore.Model before = models.model(id);
        seen.mustBe(before.version(), before.title(), () -> before);
        refuseTwin(maker, name, id);
        models.changeModel(id, maker, name, kind);
        ModelStore.Model after = models.model(id);
        journal.write(by, Journal.Entry.ofShop("model", id, "Model now " + after.title(), before, after));
        return after;
    }

    private void refuseTwin(String maker, String name, long self) {
        models.idOf(maker, name).filter(id -> id != self).ifPresent(id -> {
            throw new Invalid("name", "There is already a " + maker + " " + name + ": add a revision to it instead");
        });
    }

    /** @param copyOf the revision of the same model whose newest notes it starts with */
    public ModelStore.Revision addRevision(
            By by, long model, String name, String tellApart, Optional<Photo> look, Optional<Long> copyOf) {
        models.model(model);
        Optional<ModelStore.Revision> source = copyOf.map(models::revision);
        source.filter(revision -> revision.modelId() != model).ifPresent(other -> {
            throw new Invalid("copyOf", "Revision " + other.name() + " is of another model: copy one of this model");
        });
        refuseTwinRevision(model, name);
        look.ifPresent(this::mustBeInTheShop);
        long added = models.addRevision(model, name, tellApart);
        if (look.isPresent()) {
            models.changeRevision(added, name, tellApart, look);
        }
        ModelStore.Revision revision = models.revision(added);
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

    ModelStore.Revision changeRevision(By by, long id, Seen seen, String name, String tellApart, Optional<Photo> look) {
        ModelStore.Revision before = models.revision(id);
        seen.mustBe(before.version(), "Revision " + before.name(), () -> before);
        if (!before.name().equals(name)) {
            refuseTwinRevision(before.modelId(), name);
        }
        look.ifPresent(this::mustBeInTheShop);
        models.changeRevision(id, name, tellApart, look);
        ModelStore.Revision after = models.revision(id);
        journal.write(by, Journal.Entry.ofShop("revision", id, "Revision now " + name, before, after));
        return after;
    }

    private void refuseTwinRevision(long model, String name) {
        if (models.hasRevision(model, name)) {
            throw new Invalid("name", "This model already has a revision " + name);
        }
    }

    /** The component of the model that is called this; made if nothing is. */
    public ModelStore.ModelComponent addComponent(By by, long model, String name) {
        models.model(model);
        String checked = Checked.text("name", name, 80);
        return models.component(model, checked).orElseGet(() -> {
            ModelStore.ModelComponent component = models.component(models.addComponent(model, checked));
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
        refuseUnknown(of.modelId(), teardown);
        NotesStore.Version saved = notes.save(by, revision, of.notes() + 1, teardown, why);
        journal.write(
                by,
                Journal.Entry.ofShop("teardown", saved.id(), "Notes, version " + saved.number(), null, saved.number()));
        return saved;
    }

    /** What a core without a shop cannot know: components of this model, photos that are kept, ids that stay short. */
    private void refuseUnknown(long model, Teardown teardown) {
        List<Long> known = models.components(model).stream()
                .map(ModelStore.ModelComponent::id)
                .toList();
        for (int at = 0; at < teardown.steps().size(); at++) {
            Step step = teardown.steps().get(at);
            String field = "steps[" + at + "].id";
            step.photos().forEach(this::mustBeInTheShop);
            for (Long component : step.exposes()) {
                if (!known.contains(component)) {
                    throw new Invalid("steps[" + at + "].exposes", "This model has no component " + component);
                }
            }
            Stream.concat(Stream.of(step.id()), step.things().stream().map(Thing::id))
                    .filter(id -> id.length() > LONGEST_ID
                            || OF_AN_ASSEMBLY.matcher(id).lookingAt())
                    .findFirst()
                    .ifPresent(id -> {
                        throw new Invalid(
                                field,
                                "The id " + id + " is of the kind that sub-assemblies are given: use at most "
                                        + LONGEST_ID + " letters and no number with a colon in front");
                    });
        }
        Overview overview = teardown.overview();
        Stream.concat(
                        overview.watch().stream().map(Overview.WatchPoint::component),
                        overview.points().stream().map(TestPoint::component))
                .filter(component -> !known.contains(component))
                .findFirst()
                .ifPresent(component -> {
                    throw new Invalid("overview.watch", "This model has no component " + component);
                });
    }

    private void mustBeInTheShop(Photo photo) {
        if (!photos.has(photo.hash())) {
            throw new Invalid("photos", "The photo is not in the shop: take it in again");
        }
    }

    /** Takes steps of other notes as a block; components are found by what they are called, and made where there is none. */
    NotesStore.Version takeBlock(By by, long revision, Seen seen, long from, Set<String> steps) {
        ModelStore.Revision source = models.revision(from);
        long model = models.revision(revision).modelId();
        Teardown block = notes.newest(from).teardown();
        Map<Long, Long> here = new HashMap<>();
        Teardown taken = Block.taken(
                notes.newest(revision).teardown(),
                block,
                steps,
                id -> here.computeIfAbsent(id, other -> like(by, model, models.component(other))));
        String of = models.model(source.modelId()).title() + ", " + source.name();
        return saveNotes(by, revision, seen, taken, Words.count(steps.size(), "step", "steps") + " as in " + of);
    }

    private long like(By by, long model, ModelStore.ModelComponent other) {
        Optional<ModelStore.ModelComponent> known = models.component(model, other.name());
        return known.orElseGet(() -> {
                    ModelStore.ModelComponent made = addComponent(by, model, other.name());
                    models.changeComponent(
                            made.id(),
                            made.name(),
                            other.aliases(),
                            other.inside().filter(inside -> inside != model));
                    return made;
                })
                .id();
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
