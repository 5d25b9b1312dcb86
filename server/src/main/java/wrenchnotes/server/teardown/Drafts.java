package wrenchnotes.server.teardown;

import org.springframework.stereotype.Component;
import wrenchnotes.core.team.NotAllowed;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.ground.Journal;

/** Offers notes that came of taking a unit apart to whoever decides about notes. Each method runs in the caller's transaction. */
@Component
public class Drafts {

    private final DraftStore store;
    private final NotesStore notes;
    private final NotesRight right;
    private final Journal journal;

    Drafts(DraftStore store, NotesStore notes, NotesRight right, Journal journal) {
        this.store = store;
        this.notes = notes;
        this.right = right;
        this.journal = journal;
    }

    /** Why a version of notes was saved that came of taking this unit apart. */
    public static String asItCameOff(String tag) {
        return "as it came off, " + tag;
    }

    /** The unit is together again: if it wrote notes of its revision, they are offered. */
    public void together(By by, long revision, long job, String tag) {
        if (notes.versions(revision).stream().anyMatch(saved -> saved.why().equals(asItCameOff(tag)))) {
            store.offer(by, revision, job);
        }
    }

    /** @throws NotAllowed unless whoever says so decides about these notes */
    void looked(By by, long id) {
        DraftStore.Draft draft = store.draft(id);
        if (!right.decides(by.person(), draft.revisionId(), false)) {
            throw new NotAllowed("A lead looks notes over, or a bench who knows the model.");
        }
        store.looked(by, id);
        journal.write(by, Journal.Entry.ofShop("draft", id, "Notes from " + draft.tag() + " looked over", null, id));
    }
}
