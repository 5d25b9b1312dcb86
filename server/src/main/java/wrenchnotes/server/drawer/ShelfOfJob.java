package wrenchnotes.server.drawer;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import wrenchnotes.core.drawer.PartAccount;
import wrenchnotes.core.drawer.Stock;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.job.JobStore;

/** Parts that are set aside for a job: nobody else takes them, and they cost the job nothing until they go in. Runs in the caller's transaction. */
@Component
public class ShelfOfJob {

    private final DrawerStore drawers;
    private final MoveStore moves;
    private final JobStore jobs;
    private final PartHistoryStore history;
    private final Journal journal;

    ShelfOfJob(DrawerStore drawers, MoveStore moves, JobStore jobs, PartHistoryStore history, Journal journal) {
        this.history = history;
        this.drawers = drawers;
        this.moves = moves;
        this.jobs = jobs;
        this.journal = journal;
    }

    /** @param temporary for a test only @param count 1 and up */
    public record SetAside(long partId, String name, String drawer, boolean temporary, int count) {}

    /** @throws wrenchnotes.core.unit.Refused if the drawer has fewer */
    public void aside(By who, long job, long part, int count) {
        By by = jobs.job(job).entered(who);
        DrawerStore.Part one;
        try {
            one = drawers.part(part);
        } catch (NotFound e) {
            throw new Invalid("partId", e.getMessage());
        }
        one.stock().take(count);
        move(by, job, part, count, PartAccount.DRAWER, PartAccount.SHELF, one.stock(), "set aside");
        journal.write(by, Journal.Entry.ofJob(job, "part", part, "Set aside: " + count + " × " + one.name(), null));
    }

    /** @throws NotFound if none of it lies there */
    void back(By who, long job, long part) {
        By by = jobs.job(job).entered(who);
        SetAside one = moves.aside(job).stream()
                .filter(aside -> aside.partId() == part)
                .findFirst()
                .orElseThrow(() -> new NotFound("None of that part is set aside for this job"));
        back(by, job, one);
    }

    /** The job is over: what was set aside and not used goes back where it lay. */
    public void clear(By by, long job) {
        moves.aside(job).forEach(one -> back(by, job, one));
    }

    private void back(By by, long job, SetAside one) {
        Stock lies = moves.held(MoveStore.What.of(one.partId()), one.name(), PartAccount.SHELF, job);
        move(by, job, one.partId(), one.count(), PartAccount.SHELF, PartAccount.DRAWER, lies, "not used");
        journal.write(
                by,
                Journal.Entry.ofJob(
                        job, "part", one.partId(), "Back in its drawer: " + one.count() + " × " + one.name(), null));
    }

    private void move(By by, long job, long part, int count, PartAccount from, PartAccount to, Stock lies, String why) {
        moves.move(
                by,
                new MoveStore.Movement(MoveStore.What.of(part), count, from, to, lies.costOf(count)),
                new MoveStore.For(Optional.of(job), Optional.empty(), Optional.empty(), why));
    }

    public List<SetAside> ofJob(long job) {
        return moves.aside(job);
    }

    /** The jobs that some of a part are set aside for. */
    public Set<Long> jobsWith(long part) {
        return history.promised(part).stream().map(PartSheet.Promised::job).collect(Collectors.toSet());
    }
}
