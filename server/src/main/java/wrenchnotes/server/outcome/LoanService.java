package wrenchnotes.server.outcome;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import wrenchnotes.core.checkin.ArrivalMark;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.job.JobFacts;
import wrenchnotes.core.job.Loan;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.bench.LivePower;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.job.ArrivalStore;
import wrenchnotes.server.job.EntryStore;
import wrenchnotes.server.job.FactsStore;
import wrenchnotes.server.job.JobStore;

/** A unit goes out unfinished with its owner, and comes back. Each method runs in the caller's transaction. */
@Component
public class LoanService {

    private final JobStore jobs;
    private final FactsStore facts;
    private final ArrivalStore arrivals;
    private final EntryStore entries;
    private final LivePower live;
    private final Journal journal;

    LoanService(
            JobStore jobs,
            FactsStore facts,
            ArrivalStore arrivals,
            EntryStore entries,
            LivePower live,
            Journal journal) {
        this.jobs = jobs;
        this.facts = facts;
        this.arrivals = arrivals;
        this.entries = entries;
        this.live = live;
        this.journal = journal;
    }

    /** What is in the way of it, a sentence each; empty if it may go. */
    public List<String> inTheWay(Job job, JobFacts known, Instant now) {
        List<String> reasons =
                new ArrayList<>(known.inTheWayOfLending(job.brought().owner().isPresent(), now));
        ArrivalMark.notSeenTo(arrivals.marks(job.id()), entries.seenTo(job.id()))
                .forEach(mark -> reasons.add("It came in with this, and nobody has seen to it: " + mark.words() + "."));
        return reasons;
    }

    public Job lend(By who, long id, String notFor, Optional<Instant> due) {
        Job job = jobs.job(id);
        By by = job.entered(who);
        Loan loan = new Loan(by.now(), notFor, due, Optional.empty());
        List<String> reasons = inTheWay(job, facts.of(job), by.now());
        if (!reasons.isEmpty()) {
            throw Refused.because(reasons);
        }
        long number = jobs.lend(by, id, loan);
        // It will be used: whoever opens it next says anew that it is off, and what was discharged is charged again.
        live.on(by, id, "on loan, with its owner");
        journal.write(
                by, Journal.Entry.ofJob(id, "loan", number, "On loan with its owner. Not for: " + loan.notFor(), loan));
        return jobs.job(id);
    }

    public Job cameBack(By who, long id) {
        Job job = jobs.job(id);
        By by = job.told(who);
        if (job.onLoan().isEmpty()) {
            throw Refused.because(job.tag() + " is not on loan.");
        }
        jobs.cameBack(by, id);
        journal.write(by, Journal.Entry.ofJob(id, "loan", id, "Came back from its loan", null));
        return jobs.job(id);
    }
}
