package wrenchnotes.server.teardown;

import org.springframework.stereotype.Component;
import wrenchnotes.core.team.Experience;
import wrenchnotes.core.team.NotAllowed;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.ground.Rights;

/** Who may change the notes of a revision without a proposal, and decide about those of others. */
@Component
class NotesRight {

    private final ProposalStore proposals;
    private final ModelStore models;
    private final Rights rights;

    NotesRight(ProposalStore proposals, ModelStore models, Rights rights) {
        this.proposals = proposals;
        this.models = models;
        this.rights = rights;
    }

    private Experience of(long person, long revision) {
        return new Experience(
                proposals.closings(person, models.revision(revision).modelId()));
    }

    /** Whether somebody may decide about a proposal, their own or another's. */
    boolean decides(long person, long revision, boolean own) {
        return of(person, revision).decides(rights.of(person), own);
    }

    /**
     * A revision without notes yet may be written down by any bench.
     *
     * @throws NotAllowed if somebody should propose it instead
     */
    void mustHave(By by, long revision) {
        if (models.revision(revision).notes() > 0 && !of(by.person(), revision).writes(rights.of(by.person()))) {
            throw new NotAllowed("A lead changes the notes, or a bench who has closed up " + Experience.ENOUGH
                    + " of this model. Propose the change instead: it waits for one of them.");
        }
    }
}
