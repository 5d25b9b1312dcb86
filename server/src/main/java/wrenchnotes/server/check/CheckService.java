package wrenchnotes.server.check;

import java.util.Optional;
import java.util.function.Function;
import org.springframework.stereotype.Component;
import wrenchnotes.core.check.Check;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Moment;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.Rights;
import wrenchnotes.server.ground.Stale;
import wrenchnotes.server.job.JobStore;

/** Entering checks and correcting them. Each method runs in the caller's transaction. */
@Component
public class CheckService {

    private final CheckStore checks;
    private final JobStore jobs;
    private final Rights rights;
    private final Journal journal;

    CheckService(CheckStore checks, JobStore jobs, Rights rights, Journal journal) {
        this.checks = checks;
        this.jobs = jobs;
        this.rights = rights;
        this.journal = journal;
    }

    public CheckStore.CheckRow record(By by, long job, Function<Moment, Check> said) {
        By now = jobs.job(job).entered(by);
        return write(now, job, said.apply(now.moment()), Optional.empty());
    }

    public CheckStore.CheckRow correct(By who, long id, String why, Optional<Function<Moment, Check>> instead) {
        CheckStore.CheckRow before = checks.check(id);
        By by = jobs.job(before.jobId()).entered(who);
        rights.mustBeOwn(by, before.by());
        if (before.struckWhy().isPresent()) {
            throw new Stale("This check was corrected by somebody else meanwhile.", checks.ofJob(before.jobId()));
        }
        checks.strike(by, id, Checked.text("why", why, 300));
        if (instead.isPresent()) {
            return write(by, before.jobId(), instead.get().apply(by.moment()), Optional.of(id));
        }
        CheckStore.CheckRow after = checks.check(id);
        journal.write(
                by,
                new Journal.Entry(
                        before.jobId(),
                        "correction",
                        id,
                        "Struck: " + words(before.check()) + ". Why: " + why,
                        before,
                        after));
        return after;
    }

    private CheckStore.CheckRow write(By by, long job, Check check, Optional<Long> corrects) {
        CheckStore.CheckRow row = checks.check(checks.add(by, job, check, corrects));
        String words = (corrects.isPresent() ? "Corrected to: check " : "Check ") + words(check);
        Object before = corrects.map(checks::check).orElse(null);
        journal.write(by, new Journal.Entry(job, "check", row.id(), words, before, row));
        return row;
    }

    private static String words(Check check) {
        return check.stage().words() + ", " + check.what() + ": "
                + check.verdict().words()
                + (check.times() > 1 ? " (" + check.times() + " times)" : "")
                + (check.remark().isEmpty() ? "" : ". " + check.remark());
    }
}
