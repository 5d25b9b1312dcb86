package wrenchnotes.server.job;

import org.springframework.stereotype.Component;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.job.JobEntry;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Refused;

/** Writes down what happens on a job. Each method runs in the caller's transaction. */
@Component
public class EventService {

    private final EntryService entries;
    private final ExperienceStore experience;
    private final ArrivalStore arrivals;
    private final JobStore jobs;

    EventService(EntryService entries, ExperienceStore experience, ArrivalStore arrivals, JobStore jobs) {
        this.entries = entries;
        this.experience = experience;
        this.arrivals = arrivals;
        this.jobs = jobs;
    }

    /** What was found inside and is somebody's joins what goes back with the unit; a decision is kept with where one stood. */
    public void say(By who, long job, JobEntry entry) {
        By by = jobs.job(job).entered(who);
        if (entry instanceof JobEntry.FoundInside found && found.what().goesBack()) {
            if (!arrivals.cameToo(job, found.name())) {
                throw new Invalid("state", "The same is on the list already: say how this one differs");
            }
        }
        entries.say(by, job, entry instanceof JobEntry.ForkTaken fork ? fork.at(experience.openLast(job)) : entry);
    }

    /** Something was heard after the unit had left. */
    void later(By who, long id, JobEntry.LaterWord word) {
        Job job = jobs.job(id);
        if (job.handedOverAt().isEmpty()) {
            throw Refused.because(job.tag() + " is still here: say it as a finding, a check or a remark.");
        }
        word.undoes().ifPresent(finding -> {
            if (!experience.hasFinding(id, finding)) {
                throw new Invalid("undoes", "This job has no such finding");
            }
        });
        entries.say(job.dated(who), id, word);
    }
}
