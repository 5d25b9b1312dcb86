package wrenchnotes.server.job;

import java.util.Optional;
import org.springframework.stereotype.Component;
import wrenchnotes.core.checkin.ArrivalMark;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.job.JobEntry;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.Rights;
import wrenchnotes.server.job.EntryStore.EntryRow;

/** Says something about a job, once, and takes it back. Each method runs in the caller's transaction. */
@Component
public class EntryService {

    private final EntryStore entries;
    private final JobStore jobs;
    private final Rights rights;
    private final Journal journal;

    EntryService(EntryStore entries, JobStore jobs, Rights rights, Journal journal) {
        this.entries = entries;
        this.jobs = jobs;
        this.rights = rights;
        this.journal = journal;
    }

    /**
     * In the job's story it stands as it reads itself: its line has no words of its own.
     *
     * @param by dated for the job
     */
    public long say(By by, long job, JobEntry entry) {
        long id = entries.add(by, job, entry, Optional.empty());
        journal.write(by, Journal.Entry.ofJob(job, "entry", id, "", null));
        return id;
    }

    /** A lead says what was done with something that came in dangerous. */
    EntryRow seenTo(By who, long job, ArrivalMark mark, String words) {
        By by = jobs.job(job).entered(who);
        rights.must(by, Act.MAKE_SAFE);
        return entries.entry(say(by, job, new JobEntry.MadeSafe(mark, words)));
    }

    /** Strikes an entry: it stays, and says why. */
    EntryRow takeBack(By who, long id, String why) {
        EntryRow row = entries.entry(id);
        Job job = jobs.job(row.jobId());
        By by = row.entry() instanceof JobEntry.LaterWord ? job.dated(who) : job.told(who);
        rights.mustBeOwn(by, row.by());
        if (row.takenBack().isPresent()) {
            throw Refused.because("This was taken back already.");
        }
        if (!row.entry().canBeTakenBack()) {
            throw Refused.because(
                    "This cannot be taken back: what was said of power and cautions, or found inside, stands.");
        }
        long back = entries.add(by, row.jobId(), new JobEntry.TakenBack(why), Optional.of(id));
        journal.write(by, Journal.Entry.ofJob(row.jobId(), "entry", back, "", null));
        return entries.entry(id);
    }
}
