package wrenchnotes.server.bench;

import java.util.List;
import java.util.Optional;
import wrenchnotes.core.bench.Move;
import wrenchnotes.server.bench.BenchStore.Direction;
import wrenchnotes.server.bench.BenchStore.StepEntry;
import wrenchnotes.server.ground.By;

/**
 * One press on the bench, while it is made: loaded once, and what is written is added to what was loaded, so that the answer
 * needs no second look at the database. Lives in one transaction.
 */
final class BenchPress {

    private final Benches benches;
    private final By by;
    private BenchState now;

    BenchPress(Benches benches, By by, BenchState now) {
        this.benches = benches;
        this.by = by;
        this.now = now;
    }

    /** Whoever presses, dated no earlier than the job's last entry. */
    By by() {
        return by;
    }

    BenchState now() {
        return now;
    }

    long job() {
        return now.job().id();
    }

    void is(BenchState next) {
        now = next;
    }

    StepEntry step(String step, Direction direction, Optional<Long> undoes) {
        StepEntry entry = benches.store().addStep(by, job(), step, direction, undoes);
        now = now.plus(entry);
        return entry;
    }

    /** Moves, each of which the ledger allows after those before it. */
    void post(Optional<Long> stepEntry, List<Move> moves) {
        var ledger = now.ledger();
        for (Move move : moves) {
            ledger = ledger.with(move);
        }
        enter(stepEntry, moves.stream().map(BenchStore.NewMove::plain).toList());
    }

    void enter(Optional<Long> stepEntry, List<BenchStore.NewMove> moves) {
        if (!moves.isEmpty()) {
            now = now.plus(benches.store().addMoves(by, job(), stepEntry, now.ledger(), moves));
        }
    }

    /** Tells the story and makes every sight of the bench up to now an older one. */
    BenchState done(String subject, long subjectId, String words, Object after) {
        benches.told(by, job(), subject, subjectId, words, after);
        now = now.pressed(by);
        return now;
    }
}
