package wrenchnotes.server.teardown;

import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import wrenchnotes.core.team.Experience;
import wrenchnotes.core.team.NotAllowed;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.NotesDiff;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.teardown.Thing;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.teardown.ProposalStore.Decision;
import wrenchnotes.server.teardown.ProposalStore.Proposal;

/** Proposing, accepting and declining. Each method runs in the caller's transaction. */
@Component
public class ProposalService {

    private final ProposalStore proposals;
    private final ModelStore models;
    private final NotesStore notes;
    private final ModelService service;
    private final NotesRight right;
    private final Journal journal;

    ProposalService(
            ProposalStore proposals,
            ModelStore models,
            NotesStore notes,
            ModelService service,
            NotesRight right,
            Journal journal) {
        this.proposals = proposals;
        this.models = models;
        this.notes = notes;
        this.service = service;
        this.right = right;
        this.journal = journal;
    }

    /** @param job where it was seen */
    public long propose(By by, long revision, Optional<Long> job, Step step, String why) {
        models.revision(revision);
        NotesStore.Version newest = notes.newest(revision);
        Teardown teardown = newest.teardown();
        if (teardown.step(step.id()).equals(step)) {
            throw new Invalid("step", "That is what the notes say already: change what is wrong");
        }
        teardown.with(step);
        long id = proposals.add(by, revision, newest.id(), job, step, why);
        journal.write(
                by,
                new Journal.Entry(
                        job.orElse(null),
                        "proposal",
                        id,
                        "Proposed for the notes, " + step.title() + ": " + why,
                        null,
                        step));
        return id;
    }

    /**
     * What was counted or measured of one thing of a step, besides what was proposed from the same job for the same step before: that proposal goes on in this
     * one, so that a lead decides about a step once.
     */
    public void proposeMore(By by, long revision, long job, String stepId, Thing thing) {
        NotesStore.Version newest = notes.newest(revision);
        Step now = newest.teardown().step(stepId);
        Optional<Proposal> earlier = proposals.waiting(revision).stream()
                .filter(one -> one.teardownId() == newest.id()
                        && one.jobId().filter(id -> id == job).isPresent()
                        && one.step().id().equals(stepId))
                .reduce((first, last) -> last);
        earlier.ifPresent(one -> proposals.decide(by, one.id(), Decision.DECLINED, "goes on in the next proposal"));
        Step base = earlier.map(Proposal::step).orElse(now);
        String words = thing.label() + ": " + NotesDiff.words(thing);
        String why = earlier.map(one -> one.why() + "; " + words)
                .filter(all -> all.length() <= 200)
                .orElse(words.substring(0, Math.min(200, words.length())));
        propose(by, revision, Optional.of(job), base.with(base.off().with(besides(thing, earlier))), why);
    }

    /** With what was proposed of the same thing before, as far as it is not said anew. */
    private static Thing besides(Thing thing, Optional<Proposal> earlier) {
        Optional<Thing> before = earlier.stream()
                .flatMap(one -> one.step().things().stream())
                .filter(one -> one.id().equals(thing.id()))
                .findFirst();
        return thing instanceof FastenerGroup group && before.isPresent()
                ? group.filledBy((FastenerGroup) before.get())
                : thing;
    }

    NotesStore.Version accept(By by, long id) {
        Proposal proposal = waiting(by, id);
        Teardown now = notes.newest(proposal.revisionId()).teardown();
        String step = proposal.step().id();
        Teardown then = notes.version(proposal.teardownId()).teardown();
        if (!now.has(step) || !now.step(step).equals(then.step(step))) {
            throw Refused.because(
                    "This step was changed since the proposal was made. Look at it as it is now, and put it right there.");
        }
        proposals.decide(by, id, Decision.ACCEPTED, "");
        String from = proposal.tag().map(tag -> ", seen on " + tag).orElse("");
        return service.saveNotes(
                by,
                proposal.revisionId(),
                new Seen(models.revision(proposal.revisionId()).notes()),
                now.with(proposal.step()),
                proposal.why() + " (" + proposal.by() + from + ")");
    }

    /** The number of the newest notes that a proposal was made for. */
    long notesNow(long id) {
        return models.revision(proposals.proposal(id).revisionId()).notes();
    }

    void decline(By by, long id, String why) {
        Proposal proposal = waiting(by, id);
        proposals.decide(by, id, Decision.DECLINED, why);
        journal.write(
                by,
                new Journal.Entry(
                        proposal.jobId().orElse(null),
                        "proposal",
                        id,
                        "Proposal declined: " + why,
                        proposal.why(),
                        why));
    }

    List<Proposal> waiting(long revision) {
        return proposals.waiting(revision);
    }

    /** The ids of steps for which a proposal waits. */
    public List<String> waitingSteps(long revision) {
        return proposals.waiting(revision).stream().map(one -> one.step().id()).toList();
    }

    /** Whether this person may decide about it. */
    boolean decides(long person, Proposal proposal) {
        return right.decides(person, proposal.revisionId(), proposal.byId() == person);
    }

    private Proposal waiting(By by, long id) {
        Proposal proposal = proposals.proposal(id);
        if (!decides(by.person(), proposal)) {
            throw new NotAllowed("A lead decides about proposals for the notes, or a bench who has closed up "
                    + Experience.ENOUGH + " of this model and did not propose it.");
        }
        if (proposal.decision().isPresent()) {
            throw Refused.because("This proposal was decided already.");
        }
        return proposal;
    }
}
