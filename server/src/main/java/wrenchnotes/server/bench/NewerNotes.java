package wrenchnotes.server.bench;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.NotesChange;
import wrenchnotes.core.teardown.NotesDiff;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.teardown.NotesStore;

/** The notes of a model were made better while a unit of it lies open: the job goes on by them, or stays with its own. Runs in the caller's transaction. */
@Component
public class NewerNotes {

    private final Benches benches;
    private final NotesStore notes;
    private final Inside inside;
    private final TakenStore taken;

    NewerNotes(Benches benches, NotesStore notes, Inside inside, TakenStore taken) {
        this.benches = benches;
        this.notes = notes;
        this.inside = inside;
        this.taken = taken;
    }

    /**
     * What the newest notes have otherwise than those that the job goes by.
     *
     * @param changes a line each
     * @param asks what has to be said before the job can go on by them
     * @param trouble why it cannot go on by them; empty if it can
     */
    public record NewerView(long number, List<String> changes, List<NotesChange.AskedOfNotes> asks, String trouble) {}

    /** Empty while the job goes by the newest, or by none of its own yet. */
    Optional<NewerView> view(long job) {
        BenchState state = benches.state(job);
        NotesStore.Version newest = notes.newest(state.notes().revision());
        if (!state.opened() || newest.id() == state.notes().id()) {
            return Optional.empty();
        }
        List<String> changes =
                NotesDiff.between(state.notes().teardown(), newest.teardown()).lines();
        try {
            List<NotesChange.AskedOfNotes> asks = new NotesChange(state.run(), joined(state, newest)).asks();
            return Optional.of(new NewerView(newest.number(), changes, asks, ""));
        } catch (Invalid e) {
            return Optional.of(new NewerView(newest.number(), changes, List.of(), e.getMessage()));
        }
    }

    BenchState take(By by, long job, Seen seen, Map<String, String> steps, Map<String, String> things) {
        BenchPress press = benches.changeable(by, job, seen);
        BenchState state = press.now();
        NotesStore.Version newest = notes.newest(state.notes().revision());
        if (!state.opened() || newest.id() == state.notes().id()) {
            throw Refused.because("The job goes by the newest notes already.");
        }
        long id = goOn(press, newest, steps, things);
        String words =
                "On by notes " + newest.number() + ", after " + state.notes().number();
        return press.done("notes", id, words, Map.of("steps", steps, "things", things));
    }

    /** The job of a press goes on by newer notes, without telling. */
    long goOn(BenchPress press, NotesStore.Version newer, Map<String, String> steps, Map<String, String> things) {
        BenchState state = press.now();
        NotesChange.Taken change = new NotesChange(state.run(), joined(state, newer)).take(steps, things, press.by());
        long id = taken.add(press.by(), press.job(), state.notes().id(), newer.id(), change.taken());
        benches.goBy(press, newer, change.next());
        if (!change.entered().isEmpty()) {
            benches.recorder().keep(press.by(), press.now(), change.entered());
        }
        return id;
    }

    private Teardown joined(BenchState state, NotesStore.Version version) {
        return inside.joined(version.teardown(), state.fitted());
    }
}
