package wrenchnotes.server.bench;

import java.util.Map;
import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.Fragments;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.teardown.ModelStore;

/** What no account of the ledger holds and yet keeps a unit from being closed. Runs in the caller's transaction. */
@Component
class EndsService {

    private final Benches benches;
    private final EndsStore ends;
    private final ModelStore models;

    EndsService(Benches benches, EndsStore ends, ModelStore models) {
        this.benches = benches;
        this.ends = ends;
        this.models = models;
    }

    /** Something is so for a test only: "magnet holds the disc". */
    BenchState temporary(By by, long job, Seen seen, String said) {
        BenchPress press = benches.running(by, job, seen);
        String words = Checked.text("words", said, 120);
        long id = ends.addTemporary(press.by(), job, words);
        return press.done("temporary", id, "For the test only: " + words, words);
    }

    BenchState putRight(By by, long job, Seen seen, long id) {
        BenchPress press = benches.running(by, job, seen);
        EndsStore.Temporary temporary = ends.temporary(job).stream()
                .filter(one -> one.id() == id)
                .findFirst()
                .orElseThrow(() -> new NotFound("Nothing temporary of that number is left in this unit"));
        ends.putRight(press.by(), id);
        return press.done("temporary", id, "Put right: " + temporary.words(), null);
    }

    BenchState broken(By by, long job, Seen seen, Fragments tally) {
        BenchPress press = benches.running(by, job, seen);
        long id = ends.addFragments(press.by(), job, tally);
        return press.done("fragments", id, words(tally), tally);
    }

    /** Counts a broken piece again: more was found, or it is known where the rest is. */
    BenchState found(By by, long job, Seen seen, long id, int found, String explained) {
        BenchPress press = benches.running(by, job, seen);
        Fragments before = ends.fragments(job).stream()
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

    /** A component was looked at and is good. */
    BenchState looked(By by, long job, Seen seen, long component) {
        BenchPress press = benches.running(by, job, seen);
        ModelStore.ModelComponent what = models.component(component);
        ends.looked(press.by(), job, component);
        return press.done("looked", component, "Looked at, good: " + what.name(), null);
    }
}
