package wrenchnotes.server.bench;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.Fragments;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.teardown.ModelStore;

/** What no account of the ledger holds and yet keeps a unit from being closed. Runs in the caller's transaction. */
@Component
public class EndsService {

    private final Benches benches;
    private final EndsStore ends;
    private final LookStore looks;
    private final ModelStore models;

    EndsService(Benches benches, EndsStore ends, LookStore looks, ModelStore models) {
        this.benches = benches;
        this.ends = ends;
        this.looks = looks;
        this.models = models;
    }

    /** Something is so for a test only: "magnet holds the disc". */
    public BenchState temporary(By by, long job, Seen seen, String said) {
        BenchPress press = benches.running(by, job, seen);
        String words = Checked.text("words", said, 120);
        long id = ends.addTemporary(press.by(), job, words, inHand(press));
        return press.done("temporary", id, "For the test only: " + words, words);
    }

    /** What is temporary in a unit, oldest first. */
    public List<EndsStore.Temporary> left(long job) {
        return benches.beside(benches.state(job)).temporary();
    }

    BenchState putRight(By by, long job, Seen seen, long id) {
        BenchPress press = benches.running(by, job, seen);
        EndsStore.Temporary temporary = temporary(press, id);
        ends.putRight(press.by(), id);
        return press.done("temporary", id, "Put right: " + temporary.words(), null);
    }

    /** Until the next run: the unit may be closed for now with it, and go out on loan. */
    public BenchState stays(By by, long job, Seen seen, long id, String said) {
        BenchPress press = benches.running(by, job, seen);
        String why = Checked.text("why", said, 200);
        EndsStore.Temporary temporary = temporary(press, id);
        ends.stays(press.by(), id, why);
        return press.done("temporary", id, "Stays in for now: " + temporary.words() + ". " + why, why);
    }

    private static EndsStore.Temporary temporary(BenchPress press, long id) {
        return press.beside().temporary().stream()
                .filter(one -> one.id() == id)
                .findFirst()
                .orElseThrow(() -> new NotFound("Nothing temporary of that number is left in this unit"));
    }

    /** The step that was opened last: what is made so or breaks now can be reached as long as it is open. */
    private static Optional<String> inHand(BenchPress press) {
        List<String> open = press.now().run().way().open();
        return open.isEmpty() ? Optional.empty() : Optional.of(open.get(open.size() - 1));
    }

    BenchState broken(By by, long job, Seen seen, Fragments tally) {
        BenchPress press = benches.running(by, job, seen);
        long id = ends.addFragments(press.by(), job, tally, inHand(press));
        return press.done("fragments", id, words(tally), tally);
    }

    /** Counts a broken piece again: more was found, or it is known where the rest is. */
    BenchState found(By by, long job, Seen seen, long id, int found, String explained) {
        BenchPress press = benches.running(by, job, seen);
        Fragments before = press.beside().fragments().stream()
                .filter(one -> one.id() == id)
                .findFirst()
                .orElseThrow(() -> new NotFound("There is no such broken piece in this unit"))
                .tally();
        Fragments after = new Fragments(before.what(), before.expected(), found, explained);
        if (found < before.found()) {
            throw new Invalid("found", before.found() + " were found already: it cannot become fewer");
        }
        ends.countFragments(id, after);
        return press.done("fragments", id, words(after), Map.of("before", before, "after", after));
    }

    private static String words(Fragments tally) {
        return tally.what() + ": " + tally.found() + " of " + tally.expected() + " found"
                + (tally.explained().isEmpty() ? "" : ". The rest: " + tally.explained());
    }

    /** A component was looked at while the unit is still open: the same evidence as a look on the job's sheet. */
    BenchState looked(By by, long job, Seen seen, long component, boolean good) {
        BenchPress press = benches.running(by, job, seen);
        String name = models.component(component).name();
        long id = looks.add(press.by(), job, component, good, Means.LOOKED, "");
        return press.done("look", id, LookStore.story(name, good, Means.LOOKED, ""), null);
    }
}
