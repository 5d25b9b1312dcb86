package wrenchnotes.server.drawer;

import org.springframework.stereotype.Component;
import wrenchnotes.core.drawer.PartTold.Teller;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.job.JobStore;

/** What a job uses up beside any finding: agent, resin, grease, paste, a sticker. Each method runs in the caller's transaction. */
@Component
class UsedUpService {

    private final PartsOfJob parts;
    private final ToldStore told;
    private final DrawerStore drawers;
    private final JobStore jobs;
    private final Journal journal;

    UsedUpService(PartsOfJob parts, ToldStore told, DrawerStore drawers, JobStore jobs, Journal journal) {
        this.parts = parts;
        this.told = told;
        this.drawers = drawers;
        this.jobs = jobs;
        this.journal = journal;
    }

    void use(By who, long job, long part, int count) {
        By by = jobs.job(job).entered(who);
        String name = name(part);
        parts.tell(by, job, PartsOfJob.Fitted.fromDrawer(part, count), PartsOfJob.Place.used(), "used on the job");
        journal.write(by, Journal.Entry.ofJob(job, "part", part, "Used: " + count + " × " + name, null));
    }

    private String name(long part) {
        try {
            return drawers.part(part).name();
        } catch (NotFound e) {
            throw new Invalid("partId", e.getMessage());
        }
    }

    /** @throws NotFound if nothing of that number was used up on this job: what a finding or the ledger tells of goes back with them */
    void putBack(By who, long job, long used) {
        By by = jobs.job(job).entered(who);
        String name = told.ofJob(job).stream()
                .filter(row -> row.id() == used && row.told().teller() == Teller.USE)
                .map(row -> row.told().count() + " × " + row.name())
                .findFirst()
                .orElseThrow(() -> new NotFound("Nothing of that number was used, or it is back already"));
        parts.useBack(by, job, used, "put back");
        journal.write(by, Journal.Entry.ofJob(job, "part", used, "Not used after all: " + name, null));
    }
}
