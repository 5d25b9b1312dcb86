package wrenchnotes.server.job;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wrenchnotes.core.bench.Closing;
import wrenchnotes.core.bench.Tally;
import wrenchnotes.core.check.Check;
import wrenchnotes.core.check.CheckRecord;
import wrenchnotes.core.check.MainsWork;
import wrenchnotes.core.job.Hold;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.job.JobFacts;
import wrenchnotes.core.outcome.OutcomeGiven;
import wrenchnotes.core.teardown.Overview;
import wrenchnotes.core.unit.Moment;

/** What was loaded of some jobs, until each is asked for its facts. */
final class Gathered {
    final Map<Long, Integer> openSteps = new HashMap<>();
    final Map<Long, Moment> lastIn = new HashMap<>();
    final Map<Long, Tally> tallies = new HashMap<>();
    final Map<Long, Closing> closings = new HashMap<>();
    final Map<Long, Overview> plans = new HashMap<>();
    final Map<Long, Integer> reworks = new HashMap<>();
    final Map<Long, List<Hold>> holds = new HashMap<>();
    final Map<Long, List<Check>> checks = new HashMap<>();
    final Map<Long, OutcomeGiven> outcomes = new HashMap<>();
    final Map<Long, Integer> findings = new HashMap<>();
    final Map<Long, List<MainsWork.Done>> worked = new HashMap<>();
    final Map<Long, List<MainsWork.Made>> measured = new HashMap<>();
    final Map<Long, List<String>> testParts = new HashMap<>();

    void worked(long job, MainsWork.Done done) {
        worked.computeIfAbsent(job, none -> new ArrayList<>()).add(done);
    }

    JobFacts facts(Job job, boolean asked) {
        long id = job.id();
        return new JobFacts(
                job.brought().checkedInAt(),
                job.brought().dueAt(),
                holds.getOrDefault(id, List.of()),
                tallies.getOrDefault(id, Tally.NONE),
                openSteps.getOrDefault(id, 0),
                Optional.ofNullable(lastIn.get(id)),
                Optional.ofNullable(closings.get(id)),
                plans.getOrDefault(id, Overview.NONE),
                reworks.getOrDefault(id, 0),
                new CheckRecord(checks.getOrDefault(id, List.of())),
                Optional.ofNullable(outcomes.get(id)),
                findings.getOrDefault(id, 0),
                new MainsWork(asked, worked.getOrDefault(id, List.of()), measured.getOrDefault(id, List.of())),
                testParts.getOrDefault(id, List.of()),
                job.onLoan(),
                job.handedOverAt());
    }
}
