package wrenchnotes.server.demo;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.Overview;
import wrenchnotes.core.teardown.Photo;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.teardown.Things;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.photo.PhotoStore;
import wrenchnotes.server.teardown.ComponentService;
import wrenchnotes.server.teardown.ModelService;
import wrenchnotes.server.teardown.ModelStore;
import wrenchnotes.server.teardown.NotesStore;
import wrenchnotes.server.teardown.ProposalService;

/** Writes the demo shop's notes: models, revisions with pictures, steps, and one correction that waits. */
@Component
public class DemoTeardowns {

    private final ModelService models;
    private final ModelStore store;
    private final ComponentService components;
    private final NotesStore notes;
    private final ProposalService proposals;
    private final JobStore jobs;
    private final PhotoStore photos;

    DemoTeardowns(
            ModelService models,
            ModelStore store,
            ComponentService components,
            NotesStore notes,
            ProposalService proposals,
            JobStore jobs,
            PhotoStore photos) {
        this.models = models;
        this.store = store;
        this.components = components;
        this.notes = notes;
        this.proposals = proposals;
        this.jobs = jobs;
        this.photos = photos;
    }

    /** @return the revisions, by the names of model and revision */
    Map<String, DemoTurn.Known> write(By by, DemoModels.Model model) {
        Map<String, DemoTurn.Known> revisions = new HashMap<>();
        ModelStore.Model made = models.addModel(by, model.maker(), model.name(), model.kind());
        for (DemoModels.Revision revision : model.revisions()) {
            Map<String, Long> ids = new HashMap<>();
            revision.notes()
                    .components()
                    .forEach(name -> ids.put(
                            name, models.addComponent(by, made.id(), name).id()));
            Overview overview = DemoWholes.of(model.name(), revision.name()).overview(ids::get);
            Teardown teardown = pictured(by, revision.notes().teardown(overview, ids::get));
            ModelStore.Revision added = models.addRevision(
                    by,
                    made.id(),
                    revision.name(),
                    revision.tellApart(),
                    look(by, revision, teardown),
                    Optional.empty());
            models.saveNotes(by, added.id(), Seen.of("0"), teardown, "written down at last");
            revisions.put(
                    model.name() + " " + revision.name(),
                    new DemoTurn.Known(added.id(), revision.notes(), teardown, ids));
        }
        return revisions;
    }

    /** Other names of components, and the models that some of them are: those must be there already. */
    void nameParts(By by, DemoModels.Model model) {
        long id = store.idOf(model.maker(), model.name()).orElseThrow();
        String first = model.revisions().get(0).name();
        for (DemoWholes.Part part : DemoWholes.of(model.name(), first).parts()) {
            ModelStore.ModelComponent component =
                    store.component(id, part.component()).orElseThrow();
            Optional<Long> inside = part.inside().isEmpty()
                    ? Optional.empty()
                    : store.idOf(part.inside().get(0), part.inside().get(1));
            components.change(
                    by, component.id(), new Seen(component.version()), component.name(), part.aliases(), inside);
        }
    }

    /** Somebody has counted one screw more than the notes have, and nobody has decided yet. */
    void propose(By by, long revision) {
        Step deck = notes.newest(revision).teardown().step("deck");
        FastenerGroup cover = deck.fasteners().get(0);
        Step six = deck.with(new Things(
                List.of(cover.counting(cover.asMade() + 1)),
                deck.off().connectors(),
                deck.off().pieces()));
        Optional<Long> seenOn = jobs.open().stream()
                .filter(job -> job.revisionId() == revision)
                .map(Job::id)
                .findFirst();
        proposals.propose(by, revision, seenOn, six, "six on this one: one hides below the lever");
    }

    private Optional<Photo> look(By by, DemoModels.Revision revision, Teardown teardown) {
        return revision.tellApart().isEmpty()
                ? Optional.empty()
                : Optional.of(kept(by, DemoPictures.look(teardown.steps().get(0), revision.tellApart())));
    }

    /** Each step that starts from the closed unit gets a picture of what it starts from. */
    private Teardown pictured(By by, Teardown teardown) {
        return teardown.withSteps(teardown.steps().stream()
                .map(step -> step.fasteners().isEmpty() || !step.needs().isEmpty()
                        ? step
                        : step.showing(List.of(kept(by, DemoPictures.of(step)))))
                .toList());
    }

    private Photo kept(By by, DemoPictures.Drawn drawn) {
        photos.keep(by, drawn.picture());
        return drawn.photo();
    }
}
