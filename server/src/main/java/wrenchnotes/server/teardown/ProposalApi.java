package wrenchnotes.server.teardown;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.teardown.NotesDiff;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Session;
import wrenchnotes.server.ground.SignedIn;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.ground.Takes;

/** Proposals for the notes, from whoever has the unit open. */
@RestController
@May(Act.PROPOSE)
public class ProposalApi {

    private final ProposalService service;
    private final NotesStore notes;
    private final Snapshot snapshot;

    ProposalApi(ProposalService service, NotesStore notes, Snapshot snapshot) {
        this.service = service;
        this.notes = notes;
        this.snapshot = snapshot;
    }

    /**
     * @param step the step as it should be
     * @param jobId where it was seen; left out if on no job
     */
    public record ProposalSaid(
            @NotNull StepSaid step,
            @NotBlank @Size(max = 200) String why,
            Optional<Long> jobId) {
        public ProposalSaid {
            jobId = jobId == null ? Optional.empty() : jobId;
        }
    }

    public record DeclineSaid(@NotBlank @Size(max = 200) String why) {}

    /**
     * @param changes what it would change, a line each
     * @param yours whether you may decide about it
     */
    public record ProposalView(
            long id,
            String step,
            List<String> changes,
            String why,
            String by,
            Instant at,
            Optional<Long> jobId,
            Optional<String> tag,
            boolean yours) {}

    public record Decided(long id, long notes) {}

    @GetMapping("/api/revisions/{revision}/proposals")
    List<ProposalView> waiting(@PathVariable long revision) {
        return snapshot.read(() -> {
            Teardown now = notes.newest(revision).teardown();
            SignedIn me = Session.current();
            return service.waiting(revision).stream()
                    .map(proposal -> new ProposalView(
                            proposal.id(),
                            proposal.step().title(),
                            now.has(proposal.step().id())
                                    ? NotesDiff.between(now, now.with(proposal.step())).steps().stream()
                                            .flatMap(step -> step.changes().stream())
                                            .toList()
                                    : List.of(),
                            proposal.why(),
                            proposal.by(),
                            proposal.at(),
                            proposal.jobId(),
                            proposal.tag(),
                            service.decides(me.id(), proposal)))
                    .toList();
        });
    }

    @PostMapping("/api/revisions/{revision}/proposals")
    @ResponseStatus(HttpStatus.CREATED)
    @Takes(megabytes = 2)
    Decided propose(@PathVariable long revision, @Valid @RequestBody ProposalSaid said, Pen pen) {
        return pen.once(
                said,
                by -> new Decided(
                        service.propose(
                                by,
                                revision,
                                said.jobId(),
                                said.step().step("step"),
                                said.why().strip()),
                        0),
                Decided::id,
                id -> new Decided(id, 0));
    }

    @PostMapping("/api/proposals/{proposal}/accept")
    @May(Act.NOTES)
    Decided accept(@PathVariable long proposal, Pen pen) {
        return pen.once(
                "accept",
                by -> new Decided(proposal, service.accept(by, proposal).number()),
                Decided::id,
                id -> new Decided(id, service.notesNow(id)));
    }

    @PostMapping("/api/proposals/{proposal}/decline")
    @May(Act.NOTES)
    Decided decline(@PathVariable long proposal, @Valid @RequestBody DeclineSaid said, Pen pen) {
        pen.once(said, by -> service.decline(by, proposal, said.why().strip()));
        return new Decided(proposal, 0);
    }
}
