package wrenchnotes.server.pattern;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.recurring.StepWorth;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.teardown.NotesStore;
import wrenchnotes.server.teardown.ProposalService;

/** Steps that the shop's own jobs say are wrong in the notes: each becomes a proposal that waits for a lead. */
@RestController
@May(Act.PROPOSE)
class StepsApi {

    private final StepStore store;
    private final NotesStore notes;
    private final ProposalService proposals;
    private final Snapshot snapshot;

    StepsApi(StepStore store, NotesStore notes, ProposalService proposals, Snapshot snapshot) {
        this.store = store;
        this.notes = notes;
        this.proposals = proposals;
        this.snapshot = snapshot;
    }

    /** @param step its id @param title of it @param why what the jobs say @param waits whether that is proposed already */
    public record StepToCorrect(String step, String title, String why, boolean waits) {}

    /** @param step its id, as it was told */
    public record StepPicked(@NotBlank @Size(max = 80) String step) {}

    /** @param id of the proposal */
    public record StepProposed(long id) {}

    @GetMapping("/api/revisions/{revision}/worth-correcting")
    List<StepToCorrect> steps(@PathVariable long revision) {
        return snapshot.read(() -> {
            List<String> waiting = proposals.waitingSteps(revision);
            return worth(revision).stream()
                    .map(one -> new StepToCorrect(
                            one.step().id(),
                            one.step().title(),
                            one.why(),
                            waiting.contains(one.step().id())))
                    .toList();
        });
    }

    @PostMapping("/api/revisions/{revision}/worth-correcting")
    @ResponseStatus(HttpStatus.CREATED)
    StepProposed propose(@PathVariable long revision, @Valid @RequestBody StepPicked said, Pen pen) {
        return pen.once(
                said,
                by -> {
                    StepWorth worth = worth(revision).stream()
                            .filter(one -> one.step().id().equals(said.step()))
                            .findFirst()
                            .orElseThrow(() -> Refused.because(
                                    "The jobs do not say that of this step any more: look at what they say now."));
                    if (proposals.waitingSteps(revision).contains(said.step())) {
                        throw Refused.because("A proposal for this step waits already: a lead decides about it first.");
                    }
                    return new StepProposed(
                            proposals.propose(by, revision, Optional.empty(), worth.step(), worth.why()));
                },
                StepProposed::id,
                StepProposed::new);
    }

    private List<StepWorth> worth(long revision) {
        return StepWorth.of(notes.newest(revision).teardown(), store.of(revision));
    }
}
