package wrenchnotes.server.job;

import java.time.Instant;
import java.util.Optional;
import org.springframework.stereotype.Component;
import wrenchnotes.core.job.Hold;
import wrenchnotes.core.job.HoldAnswer;
import wrenchnotes.core.job.HoldKind;
import wrenchnotes.core.job.UsualWait;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.Rights;
import wrenchnotes.server.teardown.ModelStore;

/** Setting and ending holds. Each method runs in the caller's transaction. */
@Component
public class HoldService {

    private final JobStore jobs;
    private final HoldStore holds;
    private final ModelStore models;
    private final Rights rights;
    private final Journal journal;

    HoldService(JobStore jobs, HoldStore holds, ModelStore models, Rights rights, Journal journal) {
        this.jobs = jobs;
        this.holds = holds;
        this.models = models;
        this.rights = rights;
        this.journal = journal;
    }

    public HoldStore.HoldRow set(By who, long job, HoldKind kind, String why, Optional<Instant> until) {
        return set(who, job, kind, why, Hold.Covers.THE_JOB, until);
    }

    public HoldStore.HoldRow set(
            By who, long job, HoldKind kind, String why, Hold.Covers covers, Optional<Instant> until) {
        By by = jobs.job(job).told(who);
        covers.component().ifPresent(models::component);
        Hold hold = new Hold(kind, why, covers, by.now(), until, Optional.empty());
        HoldStore.HoldRow set = holds.hold(holds.add(by, job, hold));
        journal.write(
                by,
                Journal.Entry.ofJob(
                        job, "hold", set.id(), "Waits, " + hold.kind().words() + ": " + hold.why(), set));
        return set;
    }

    /**
     * The unit was switched, or somebody said since when it is unplugged: the wait for safety that runs is over, and another may begin.
     *
     * @param next with an end
     */
    public void powered(By by, long job, Optional<Hold> next) {
        holds.ofJob(job).stream()
                .filter(row -> row.caution() && row.hold().activeAt(by.now()))
                .forEach(row -> holds.end(by, row.id(), Optional.empty(), ""));
        if (next.isPresent()) {
            Hold hold = next.get();
            HoldStore.HoldRow set = holds.hold(holds.addCaution(by, job, hold));
            journal.write(
                    by,
                    Journal.Entry.ofJob(
                            job, "hold", set.id(), "Must wait, " + hold.kind().words() + ": " + hold.why(), set));
        }
    }

    /** How long a wait of this kind usually lasts here. */
    public Optional<UsualWait> usually(HoldKind kind, long revision) {
        return UsualWait.of(kind, holds.lasted(kind, Optional.of(revision)), holds.lasted(kind, Optional.empty()));
    }

    /**
     * A wait is over, by what somebody saw, or because a lead says so before its time.
     *
     * @param answer to its question; yes if it asks none
     * @param why must be said by a lead who ends it before its time; else may be empty
     */
    public HoldStore.HoldRow end(By who, long id, HoldAnswer answer, String why) {
        HoldStore.HoldRow before = holds.hold(id);
        By by = jobs.job(before.jobId()).dated(who);
        Hold hold = before.hold();
        boolean active = hold.activeAt(by.now());
        if (!active && !hold.asksAt(by.now())) {
            throw Refused.because("That wait is over already.");
        }
        if (answer == HoldAnswer.NOT_YET) {
            holds.until(id, hold.notYet(by.now()));
            return told(by, before, words(before, answer, false, why));
        }
        boolean early = active && before.until().isPresent();
        if (early && (before.caution() || before.kind().isSafety())) {
            throw Refused.because("This wait is a caution and cannot be shortened: it is over when its time is.");
        }
        if (early) {
            rights.must(by, Act.OVERRULE);
            if (why.isBlank()) {
                throw new Invalid("why", "Say why it ends before its time");
            }
        }
        holds.end(by, id, Optional.of(answer), why);
        return told(by, before, words(before, answer, early, why));
    }

    /** What a job waits for is here: the wait is over now, and rings. Nothing happens to one that was over before. */
    public void came(By by, long id, String words) {
        HoldStore.HoldRow before = holds.hold(id);
        if (before.hold().activeAt(by.now())) {
            if (by.now().isAfter(before.hold().from())) {
                holds.until(id, by.now());
            } else {
                holds.end(by, id, Optional.empty(), "");
            }
            told(by, before, words);
        }
    }

    private HoldStore.HoldRow told(By by, HoldStore.HoldRow before, String words) {
        HoldStore.HoldRow after = holds.hold(before.id());
        journal.write(by, new Journal.Entry(before.jobId(), "hold", before.id(), words, before, after));
        return after;
    }

    private static String words(HoldStore.HoldRow row, HoldAnswer answer, boolean early, String why) {
        String more = why.isBlank() ? "" : ". " + why;
        if (early) {
            return "Ended before its time, " + row.kind().words() + ": " + row.why() + more;
        }
        String asked = row.kind().question().map(question -> question + " ").orElse("");
        return switch (answer) {
            case YES -> asked + "The wait is over: " + row.why() + more;
            case NOT_YET -> asked + "Not yet, it waits on: " + row.why() + more;
            case NO -> asked + "No: " + row.why() + more;
        };
    }
}
