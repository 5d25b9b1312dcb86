package wrenchnotes.server.teardown;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.FastenerShape;
import wrenchnotes.core.teardown.NotesDiff;
import wrenchnotes.core.teardown.Overview;
import wrenchnotes.core.teardown.SharedFix;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.teardown.ThreadQuestion;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.ground.Takes;

/** The teardown notes of a revision, read and saved as a whole. */
@RestController
@RequestMapping("/api/revisions/{revision}")
@May(Act.NOTES)
public class NotesApi {

    private final ModelStore models;
    private final NotesStore notes;
    private final ModelService service;
    private final NotesRight right;
    private final Snapshot snapshot;

    NotesApi(ModelStore models, NotesStore notes, ModelService service, NotesRight right, Snapshot snapshot) {
        this.models = models;
        this.notes = notes;
        this.service = service;
        this.right = right;
        this.snapshot = snapshot;
    }

    /** @param overview what holds for the revision as a whole; as it was if left out */
    public record NotesSaid(
            Optional<Overview> overview,
            @NotNull @Size(max = 200) List<StepSaid> steps,
            @Size(max = 300) String why) {
        public NotesSaid {
            overview = overview == null ? Optional.empty() : overview;
        }
    }

    /**
     * @param number version of the notes, to be sent back in If-Match; 0 when there are none yet
     * @param shapes what the drawing needs of each fastener group, by its id
     * @param questions what to ask about fasteners that no standard knows, by group
     */
    public record NotesView(
            long revisionId,
            long number,
            Overview overview,
            List<StepSaid> steps,
            Map<String, FastenerShape> shapes,
            Map<String, String> questions,
            String why,
            String by,
            Instant at) {}

    @GetMapping("/teardown")
    NotesView notes(@PathVariable long revision) {
        return snapshot.read(() -> {
            models.revision(revision);
            return view(notes.newest(revision));
        });
    }

    @PutMapping("/teardown")
    @Takes(megabytes = 2)
    NotesView save(@PathVariable long revision, Seen seen, @Valid @RequestBody NotesSaid said, Pen pen) {
        Teardown steps = Teardown.of(StepSaid.steps(said.steps()));
        String why = said.why() == null ? "" : said.why().strip();
        return view(pen.once(
                said,
                by -> {
                    Overview overview = said.overview()
                            .orElseGet(() -> notes.newest(revision).teardown().overview());
                    right.mustHave(by, revision);
                    return service.saveNotes(by, revision, seen, Teardown.of(overview, steps.steps()), why);
                },
                NotesStore.Version::id,
                notes::version));
    }

    /** One other revision, and the steps it could take over as this one has put them right. */
    public record FixOffer(long revisionId, String revision, long notes, List<FixedStep> steps) {}

    public record FixedStep(String id, String title) {}

    public record FixTaken(
            @NotNull Long from,
            @NotNull @Size(min = 1, max = 200) Set<String> steps) {}

    @GetMapping("/teardown/versions")
    List<NotesStore.Saved> versions(@PathVariable long revision) {
        return snapshot.read(() -> {
            models.revision(revision);
            return notes.versions(revision);
        });
    }

    /** How one version of the notes differs from an earlier one. */
    @GetMapping("/teardown/differences")
    NotesDiff differences(@PathVariable long revision, @RequestParam long from, @RequestParam long to) {
        return snapshot.read(() -> NotesDiff.between(
                notes.numbered(revision, from).teardown(),
                notes.numbered(revision, to).teardown()));
    }

    /** How this revision differs inside from another of the same model. */
    @GetMapping("/differences")
    NotesDiff differencesFrom(@PathVariable long revision, @RequestParam long from) {
        return snapshot.read(() -> {
            if (models.revision(from).modelId() != models.revision(revision).modelId()) {
                throw new Invalid("from", "Only revisions of one model can be compared");
            }
            return NotesDiff.between(
                    notes.newest(from).teardown(), notes.newest(revision).teardown());
        });
    }

    /** What the newest version put right that other revisions of this model still have as it was. */
    @GetMapping("/teardown/offers")
    List<FixOffer> offers(@PathVariable long revision) {
        return snapshot.read(() -> {
            ModelStore.Revision of = models.revision(revision);
            if (of.notes() < 2) {
                return List.of();
            }
            Teardown before = notes.numbered(revision, of.notes() - 1).teardown();
            Teardown after = notes.newest(revision).teardown();
            return models.revisions(of.modelId()).stream()
                    .filter(other -> other.id() != revision)
                    .map(other -> new FixOffer(
                            other.id(),
                            other.name(),
                            other.notes(),
                            SharedFix.offers(
                                            before,
                                            after,
                                            notes.newest(other.id()).teardown())
                                    .stream()
                                    .map(step -> new FixedStep(step.id(), step.title()))
                                    .toList()))
                    .filter(offer -> !offer.steps().isEmpty())
                    .toList();
        });
    }

    /** Takes steps of other notes, of whatever model, to the end of these. */
    @PostMapping("/teardown/block")
    NotesView takeBlock(@PathVariable long revision, Seen seen, @Valid @RequestBody FixTaken said, Pen pen) {
        return view(pen.once(
                said,
                by -> {
                    right.mustHave(by, revision);
                    return service.takeBlock(by, revision, seen, said.from(), said.steps());
                },
                NotesStore.Version::id,
                notes::version));
    }

    /** Takes over what another revision has put right. */
    @PostMapping("/teardown/take-over")
    NotesView takeOver(@PathVariable long revision, Seen seen, @Valid @RequestBody FixTaken said, Pen pen) {
        return view(pen.once(
                said,
                by -> {
                    right.mustHave(by, revision);
                    return service.takeOver(by, revision, seen, said.from(), said.steps());
                },
                NotesStore.Version::id,
                notes::version));
    }

    /** What the drawing needs of each fastener group, by its id. */
    static Map<String, FastenerShape> shapes(Teardown notes) {
        return notes.steps().stream()
                .flatMap(step -> step.fasteners().stream())
                .collect(Collectors.toMap(FastenerGroup::id, FastenerShape::of));
    }

    private static Map<String, String> questions(Teardown notes) {
        Map<String, String> questions = new LinkedHashMap<>();
        notes.steps().stream().flatMap(step -> step.fasteners().stream()).forEach(group -> ThreadQuestion.about(group)
                .ifPresent(question -> questions.put(group.id(), question)));
        return questions;
    }

    private static NotesView view(NotesStore.Version version) {
        Map<String, FastenerShape> shapes = shapes(version.teardown());
        return new NotesView(
                version.revision(),
                version.number(),
                version.teardown().overview(),
                StepSaid.of(version.teardown().steps()),
                shapes,
                questions(version.teardown()),
                version.why(),
                version.by(),
                version.at());
    }
}
