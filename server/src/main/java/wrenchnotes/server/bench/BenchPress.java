package wrenchnotes.server.bench;

import java.util.List;
import java.util.Map;
import wrenchnotes.core.bench.Press;
import wrenchnotes.core.bench.Pressed;
import wrenchnotes.core.job.Hold;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Refused;

/**
 * One press on the bench, while it is made: loaded once, and what is written is added to what was loaded, so that the answer
 * needs no second look at the database. Lives in one transaction.
 */
final class BenchPress {

    private final Benches benches;
    private final By by;
    private BenchState now;
    private Beside beside;

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

    /** What stood beside it when this was first asked, before anything was pressed. */
    Beside beside() {
        if (beside == null) {
            beside = benches.beside(now);
        }
        return beside;
    }

    long job() {
        return now.job().id();
    }

    void is(BenchState next) {
        now = next;
    }

    /** What was kept of a press: the number that the job's story knows it by, and its words. */
    record Kept(long id, String words) {}

    /** Makes it and keeps it, without telling. */
    Kept keep(Press press) {
        if (press.goesByNotes()) {
            benches.pin(this);
        }
        mustNotBeHeld(press);
        Pressed pressed = now.run().press(press, by);
        long id = benches.recorder().keep(by, now, pressed.entered());
        now = now.with(pressed.next());
        return new Kept(id, pressed.words());
    }

    /** Nothing is done to what is held, whichever door it comes in by. */
    private void mustNotBeHeld(Press press) {
        Teardown notes = now.run().notes();
        List<String> held = List.of();
        if (press instanceof Press.StepIn in) {
            held = Hold.inTheWayOf(beside().holds(), notes, notes.step(in.step()), true, by.now());
        } else if (press instanceof Press.StepOut out) {
            held = Hold.inTheWayOf(beside().holds(), notes, notes.step(out.step()), false, by.now());
        } else if (press instanceof Press.Close close) {
            held = Hold.inTheWayOfClosing(beside().holds(), close.forNow().isPresent(), by.now());
        }
        if (!held.isEmpty()) {
            throw Refused.because(held);
        }
    }

    /** Makes it, keeps it and tells of it. */
    BenchState make(Press press) {
        Kept kept = keep(press);
        return done(subject(press), kept.id(), kept.words(), after(press));
    }

    private static String subject(Press press) {
        if (press instanceof Press.StepIn
                || press instanceof Press.FoundOpen
                || press instanceof Press.StepOut
                || press instanceof Press.StepBack) {
            return "step";
        }
        if (press instanceof Press.Pause || press instanceof Press.GoOn) {
            return "pause";
        }
        if (press instanceof Press.Begin || press instanceof Press.Turn) {
            return "run";
        }
        if (press instanceof Press.Skip) {
            return "skip";
        }
        return press instanceof Press.Close ? "closing" : "ledger";
    }

    private Object after(Press press) {
        List<String> open = now.run().way().open();
        if (press instanceof Press.StepIn in) {
            return Map.of("step", in.step(), "open", open);
        }
        if (press instanceof Press.StepOut out) {
            return Map.of("step", out.step(), "open", open);
        }
        if (press instanceof Press.StepBack) {
            return Map.of("open", open);
        }
        return press instanceof Press.Close close
                ? Map.of("forNow", close.forNow().isPresent())
                : press;
    }

    /** Tells the story and makes every sight of the bench up to now an older one. */
    BenchState done(String subject, long subjectId, String words, Object after) {
        benches.told(by, job(), subject, subjectId, words, after);
        return unsaid();
    }

    /** As {@link #done}, of what tells its own story. */
    BenchState unsaid() {
        now = now.pressed(by);
        return now;
    }
}
