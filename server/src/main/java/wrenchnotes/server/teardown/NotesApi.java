package wrenchnotes.server.teardown;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.FastenerShape;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.ground.Snapshot;

/** The teardown notes of a revision, read and saved as a whole. */
@RestController
@RequestMapping("/api/revisions/{revision}/teardown")
public class NotesApi {

    private final ModelStore models;
    private final NotesStore notes;
    private final ModelService service;
    private final Snapshot snapshot;

    NotesApi(ModelStore models, NotesStore notes, ModelService service, Snapshot snapshot) {
        this.models = models;
        this.notes = notes;
        this.service = service;
        this.snapshot = snapshot;
    }

    public record NotesSaid(
            @NotNull @Size(max = 200) List<Step> steps,
            @Size(max = 300) String why) {}

    /**
     * @param number version of the notes, to be sent back in If-Match; 0 when there are none yet
     * @param shapes what the drawing needs of each fastener group, by its id
     */
    public record NotesView(
            long revisionId,
            long number,
            List<Step> steps,
            Map<String, FastenerShape> shapes,
            String why,
            String by,
            Instant at) {}

    @GetMapping
    NotesView notes(@PathVariable long revision) {
        return snapshot.read(() -> {
            models.revision(revision);
            return view(revision, notes.newest(revision));
        });
    }

    @PutMapping
    NotesView save(
            @PathVariable long revision,
            @RequestHeader(name = "If-Match", required = false) String ifMatch,
            @Valid @RequestBody NotesSaid said,
            Pen pen) {
        Seen seen = Seen.of(ifMatch);
        Teardown teardown = Teardown.of(said.steps());
        String why = said.why() == null ? "" : said.why().strip();
        return pen.once(
                said, NotesView.class, by -> view(revision, service.saveNotes(by, revision, seen, teardown, why)));
    }

    private static NotesView view(long revision, NotesStore.Version version) {
        Map<String, FastenerShape> shapes = version.teardown().steps().stream()
                .flatMap(step -> step.fasteners().stream())
                .collect(Collectors.toMap(FastenerGroup::id, FastenerShape::of));
        return new NotesView(
                revision,
                version.number(),
                version.teardown().steps(),
                shapes,
                version.why(),
                version.by(),
                version.at());
    }
}
