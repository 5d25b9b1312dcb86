package wrenchnotes.server.check;

import java.util.Optional;
import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.CheckPlan;
import wrenchnotes.core.check.Check;
import wrenchnotes.core.check.Verdict;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.job.JobFacts;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Moment;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.bench.LivePower;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.Rights;
import wrenchnotes.server.ground.Stale;
import wrenchnotes.server.job.FactsStore;
import wrenchnotes.server.job.JobStore;

/** Entering checks and correcting them. Each method runs in the caller's transaction. */
@Component
public class CheckService {

    private final CheckStore checks;
    private final JobStore jobs;
    private final FactsStore facts;
    private final LivePower live;
    private final Rights rights;
    private final Journal journal;

    CheckService(CheckStore checks, JobStore jobs, FactsStore facts, LivePower live, Rights rights, Journal journal) {
        this.checks = checks;
        this.jobs = jobs;
        this.facts = facts;
        this.live = live;
        this.rights = rights;
        this.journal = journal;
    }

    /** A check as it was said; when, and whether the covers were on, is known here. */
    public interface CheckMade {
        Check at(Moment moment, boolean coversOn);
    }

    public CheckStore.CheckRow record(By by, long job, CheckMade said) {
        Job on = jobs.job(job);
        By now = on.entered(by);
        JobFacts known = facts.of(on);
        // No step is open: the ledger knows it, and nobody is asked.
        Check check = said.at(now.moment(), known.openSteps() == 0);
        if (check.verdict() != Verdict.NOT_TESTED && forALeadAlone(known, check)) {
            rights.must(by, Act.OVERRULE);
        }
        return write(now, job, check, Optional.empty());
    }

    private static boolean forALeadAlone(JobFacts known, Check check) {
        return known.plan().checks().stream()
                .anyMatch(planned -> planned.terms().leadOnly() && CheckPlan.is(check, planned));
    }

    public CheckStore.CheckRow correct(By who, long id, String why, Optional<CheckMade> instead) {
        CheckStore.CheckRow before = checks.check(id);
        By by = jobs.job(before.jobId()).entered(who);
        rights.mustBeOwn(by, before.by());
        if (before.struckWhy().isPresent()) {
            throw new Stale("This check was corrected by somebody else meanwhile.", checks.ofJob(before.jobId()));
        }
        checks.strike(by, id, Checked.text("why", why, 300));
        if (instead.isPresent()) {
            return write(
                    by,
                    before.jobId(),
                    instead.get().at(by.moment(), before.check().coversOn()),
                    Optional.of(id));
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

    /** A failure is left as it is: it stands in the way no more, and goes out as a remark. */
    public CheckStore.CheckRow takeAsRemark(By who, long id, String why) {
        CheckStore.CheckRow before = checks.check(id);
        By by = jobs.job(before.jobId()).entered(who);
        if (before.struckWhy().isPresent() || before.check().verdict() != Verdict.FAILED) {
            throw Refused.because("Only a failed check that stands can be taken as a remark.");
        }
        checks.takeAsRemark(by, id, Checked.text("why", why, 300));
        CheckStore.CheckRow after = checks.check(id);
        journal.write(
                by,
                new Journal.Entry(
                        before.jobId(),
                        "check",
                        id,
                        "Taken as a remark: " + before.check().words() + ". " + why,
                        before,
                        after));
        return after;
    }

    private CheckStore.CheckRow write(By by, long job, Check check, Optional<Long> corrects) {
        if (check.verdict() == Verdict.NOT_TESTED && check.remark().isEmpty()) {
            throw new Invalid("remark", "Say why it is not tested");
        }
        CheckStore.CheckRow row = checks.check(checks.add(by, job, check, corrects));
        if (corrects.isEmpty() && check.powered()) {
            live.on(by, job, check.what());
        }
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
