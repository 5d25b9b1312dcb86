package wrenchnotes.server.bench;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import wrenchnotes.core.bench.Closing;
import wrenchnotes.core.bench.OpenEnds;
import wrenchnotes.core.bench.Replaced;
import wrenchnotes.core.check.CheckRecord;
import wrenchnotes.core.check.MainsWork;
import wrenchnotes.core.checkin.ArrivalMark;
import wrenchnotes.core.job.Hold;
import wrenchnotes.core.job.JobEntry;
import wrenchnotes.core.outcome.OutcomeGiven;
import wrenchnotes.server.bench.EndsStore.FragmentTally;
import wrenchnotes.server.bench.EndsStore.Temporary;

/**
 * What stands of a job beside its steps and its ledger.
 *
 * @param findings how many stand
 * @param mains what was done on its mains side, and what was measured after
 * @param foundAt the components that findings speak of
 * @param altered how the unit is not as made any more, since whatever stay
 * @param lookedAt components that were looked at in this job: said to be good, or found to be bad
 * @param usual components that are often at fault in its revision
 * @param at the bench on which the unit lies, if it has a name
 * @param said remarks and findings, in the order of each
 * @param marks what was seen of its state on arrival
 * @param notSeenTo of these, what stops the start until somebody has said what was done about it
 */
record Beside(
        List<Hold> holds,
        Optional<Closing> lastClosing,
        CheckRecord checks,
        Optional<OutcomeGiven> outcome,
        int findings,
        MainsWork mains,
        List<Temporary> temporary,
        List<FragmentTally> fragments,
        List<FoundAt> foundAt,
        List<JobEntry.Altered> altered,
        List<Long> lookedAt,
        List<Usual> usual,
        List<SaidThen> said,
        Optional<AtBench> at,
        Set<ArrivalMark> marks,
        List<ArrivalMark> notSeenTo) {

    /** @param by whoever began there, or took it over */
    public record AtBench(String bench, Instant since, String by) {}

    /** How many of the last jobs of a revision that were handed over, and in how many of them a component was at fault. */
    record Usual(long component, String name, int jobs, int of) {}

    /** A component that findings speak of. @param replaced whether one of them says that it was replaced */
    record FoundAt(Replaced at, boolean replaced) {}

    /** What no account of the ledger holds and yet is in the way of closing. */
    OpenEnds ends() {
        return new OpenEnds(
                temporary.stream().map(Temporary::end).toList(),
                fragments.stream().map(FragmentTally::end).toList(),
                replaced());
    }

    /** What findings say was replaced. */
    List<Replaced> replaced() {
        return foundAt.stream().filter(FoundAt::replaced).map(FoundAt::at).toList();
    }
}
