package wrenchnotes.server.teardown;

import java.time.Instant;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Session;
import wrenchnotes.server.ground.Snapshot;

/** Notes that were written by taking a unit apart, to be looked over. */
@RestController
@RequestMapping("/api/drafts")
@May(Act.NOTES)
class DraftApi {

    private final DraftStore store;
    private final Drafts drafts;
    private final ModelStore models;
    private final NotesStore notes;
    private final NotesRight right;
    private final Snapshot snapshot;

    DraftApi(
            DraftStore store, Drafts drafts, ModelStore models, NotesStore notes, NotesRight right, Snapshot snapshot) {
        this.store = store;
        this.drafts = drafts;
        this.models = models;
        this.notes = notes;
        this.right = right;
        this.snapshot = snapshot;
    }

    /**
     * @param minutes all its steps took together
     * @param unknown things of it that nobody has counted or measured whole
     * @param yours whether you may say that they were looked over
     */
    public record DraftView(
            long id,
            long modelId,
            String model,
            long revisionId,
            String revision,
            long jobId,
            String tag,
            String by,
            Instant at,
            int steps,
            double minutes,
            long unknown,
            boolean yours) {}

    /** Oldest first. */
    @GetMapping
    List<DraftView> waiting() {
        return snapshot.read(() -> store.waiting().stream().map(this::view).toList());
    }

    private DraftView view(DraftStore.Draft draft) {
        ModelStore.Revision revision = models.revision(draft.revisionId());
        Teardown now = notes.newest(revision.id()).teardown();
        return new DraftView(
                draft.id(),
                revision.modelId(),
                models.model(revision.modelId()).title(),
                revision.id(),
                revision.name(),
                draft.jobId(),
                draft.tag(),
                draft.by(),
                draft.at(),
                now.steps().size(),
                now.steps().stream().mapToDouble(Step::minutes).sum(),
                now.things().stream().filter(thing -> !thing.hasCount()).count(),
                right.decides(Session.current().id(), revision.id(), false));
    }

    @PostMapping("/{draft}/looked")
    List<DraftView> looked(@PathVariable long draft, Pen pen) {
        pen.once("looked", by -> drafts.looked(by, draft));
        return waiting();
    }
}
