package wrenchnotes.server.outcome;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import wrenchnotes.core.check.Check;
import wrenchnotes.core.checkin.GoesBack;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.job.JobFacts;
import wrenchnotes.core.outcome.Outcome;
import wrenchnotes.core.outcome.OutcomeGiven;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.drawer.ShelfOfJob;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.job.ArrivalStore;
import wrenchnotes.server.job.FactsStore;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.job.TimeWorkedStore;

/** Saying how a job ended, and handing the unit over. Each method runs in the caller's transaction. */
@Component
public class OutcomeService {

    private final OutcomeStore outcomes;
    private final JobStore jobs;
    private final FactsStore facts;
    private final ArrivalStore arrivals;
    private final TimeWorkedStore worked;
    private final ShelfOfJob shelf;
    private final Journal journal;

    OutcomeService(
            OutcomeStore outcomes,
            JobStore jobs,
            FactsStore facts,
            ArrivalStore arrivals,
            TimeWorkedStore worked,
            ShelfOfJob shelf,
            Journal journal) {
        this.outcomes = outcomes;
        this.jobs = jobs;
        this.facts = facts;
        this.arrivals = arrivals;
        this.worked = worked;
        this.shelf = shelf;
        this.journal = journal;
    }

    public OutcomeStore.OutcomeRow give(By who, long job, Outcome outcome, String remark) {
        By by = jobs.job(job).entered(who);
        OutcomeGiven given = new OutcomeGiven(outcome, remark, by.moment()).sayingOf(outcomes.stillThere(job));
        List<OutcomeStore.OutcomeRow> earlier = outcomes.ofJob(job);
        long id = outcomes.add(by, job, given);
        String words = "Outcome: " + given.outcome().words() + (given.remark().isEmpty() ? "" : ". " + given.remark());
        journal.write(
                by, new Journal.Entry(job, "outcome", id, words, earlier.isEmpty() ? null : earlier.get(0), given));
        return new OutcomeStore.OutcomeRow(id, given, by.name());
    }

    /**
     * Hands the unit over, if nothing is in the way; else says what is.
     *
     * @param belongings for each thing that came with it, whether it goes back
     */
    public Job handOver(By who, long id, List<GoesBack> belongings) {
        Job job = jobs.job(id);
        By by = job.entered(who);
        JobFacts known = facts.of(job);
        List<String> reasons = new ArrayList<>(known.inTheWayOfHandover(by.now()));
        List<String> came = arrivals.cameWith(id);
        List<String> without = arrivals.cameWithout(id);
        reasons.addAll(GoesBack.unanswered(came, without, belongings));
        if (!reasons.isEmpty()) {
            throw Refused.because(reasons);
        }
        belongings.stream()
                .filter(thing -> came.contains(thing.name()) || without.contains(thing.name()))
                .forEach(thing -> arrivals.goesBack(id, thing));
        shelf.clear(by, id);
        jobs.handOver(
                by, id, worked.of(id).worked().toMillis(), known.sinceOpened().goesUntested());
        String to = job.brought()
                .owner()
                .map(owner -> " to " + Journal.owner(owner.id()))
                .orElse(" to the resale shelf");
        journal.write(
                by,
                Journal.Entry.ofJob(
                        id, "job", id, "Handed over" + to + with(belongings) + untested(known), belongings));
        return jobs.job(id);
    }

    private static String untested(JobFacts known) {
        return known.sinceOpened().notTested().stream()
                .map(Check::whyNot)
                .reduce((one, other) -> one + "; " + other)
                .map(checks -> ". Not tested: " + checks)
                .orElse("");
    }

    private static String with(List<GoesBack> belongings) {
        return belongings.stream()
                .map(thing -> thing.back() ? thing.name() : "not " + thing.name() + " (" + thing.why() + ")")
                .reduce((one, other) -> one + ", " + other)
                .map(things -> ", with " + things)
                .orElse("");
    }
}
