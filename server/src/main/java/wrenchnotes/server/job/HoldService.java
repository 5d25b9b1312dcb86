package wrenchnotes.server.job;

import java.time.Instant;
import java.util.Optional;
import org.springframework.stereotype.Component;
import wrenchnotes.core.job.Hold;
import wrenchnotes.core.job.HoldKind;
import wrenchnotes.core.job.UsualWait;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.ground.Journal;

/** Setting and ending holds. Each method runs in the caller's transaction. */
@Component
public class HoldService {

    private final JobStore jobs;
    private final HoldStore holds;
    private final Journal journal;

    HoldService(JobStore jobs, HoldStore holds, Journal journal) {
        this.jobs = jobs;
        this.holds = holds;
        this.journal = journal;
    }

    public HoldStore.HoldRow set(By who, long job, HoldKind kind, String why, Optional<Instant> until) {
        By by = jobs.job(job).entered(who);
        Hold hold = new Hold(kind, why, by.now(), until, Optional.empty());
        HoldStore.HoldRow set = holds.hold(holds.add(by, job, hold));
        journal.write(
                by,
                Journal.Entry.ofJob(
                        job, "hold", set.id(), "Waits, " + hold.kind().words() + ": " + hold.why(), set));
        return set;
    }

    /**
     * A hold that is a caution: nobody can end it before its time. One that runs already is replaced if the new one ends
     * later.
     *
     * @param hold with an end
     */
    public void caution(By by, long job, Hold hold) {
        holds.ofJob(job).stream()
                .filter(row -> row.caution() && row.hold().activeAt(by.now()))
                .forEach(row -> holds.end(by, row.id()));
        HoldStore.HoldRow set = holds.hold(holds.addCaution(by, job, hold));
        journal.write(
                by,
                Journal.Entry.ofJob(
                        job, "hold", set.id(), "Must wait, " + hold.kind().words() + ": " + hold.why(), set));
    }

    /** How long a wait of this kind usually lasts here. */
    public Optional<UsualWait> usually(HoldKind kind, long revision) {
        return UsualWait.of(kind, holds.lasted(kind, Optional.of(revision)), holds.lasted(kind, Optional.empty()));
    }

    public HoldStore.HoldRow end(By who, long id) {
        HoldStore.HoldRow before = holds.hold(id);
        By by = jobs.job(before.jobId()).dated(who);
        if (before.caution() && before.hold().activeAt(by.now())) {
            throw Refused.because("This wait is a caution and cannot be shortened: it is over when its time is.");
        }
        if (!before.hold().activeAt(by.now())) {
            throw Refused.because("That wait is over already.");
        }
        holds.end(by, id);
        HoldStore.HoldRow after = holds.hold(id);
        journal.write(
                by, new Journal.Entry(before.jobId(), "hold", id, "The wait is over: " + before.why(), before, after));
        return after;
    }
}
