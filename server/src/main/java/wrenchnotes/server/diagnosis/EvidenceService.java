package wrenchnotes.server.diagnosis;

import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import wrenchnotes.core.checkin.Arrival;
import wrenchnotes.core.diagnosis.Change;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.diagnosis.Overruling;
import wrenchnotes.core.diagnosis.odds.CrossedTries;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.bench.LookStore;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.Rights;
import wrenchnotes.server.job.ArrivalStore;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.teardown.ModelStore;

/** Writes down what speaks for and against faults. Each method runs in the caller's transaction. */
@Component
public class EvidenceService {

    private final EvidenceStore evidence;
    private final LookStore looks;
    private final FindingStore findings;
    private final ArrivalStore arrivals;
    private final JobStore jobs;
    private final ModelStore models;
    private final Rights rights;
    private final Journal journal;

    EvidenceService(
            EvidenceStore evidence,
            LookStore looks,
            FindingStore findings,
            ArrivalStore arrivals,
            JobStore jobs,
            ModelStore models,
            Rights rights,
            Journal journal) {
        this.evidence = evidence;
        this.looks = looks;
        this.findings = findings;
        this.arrivals = arrivals;
        this.jobs = jobs;
        this.models = models;
        this.rights = rights;
        this.journal = journal;
    }

    /** A symptom that was asked for or tried after check-in. */
    void symptom(By who, long job, Arrival.Symptom symptom) {
        By by = jobs.job(job).told(who);
        arrivals.say(job, symptom);
        journal.write(
                by,
                Journal.Entry.ofJob(
                        job, "symptom", job, (symptom.present() ? "So: " : "Not so: ") + symptom.name(), symptom));
    }

    /** @return its id */
    public long look(By who, long jobId, long component, boolean good, Means means, String words) {
        Job job = jobs.job(jobId);
        By by = job.entered(who);
        ModelStore.ModelComponent one = component(job, component);
        String said = Checked.optionalText("words", words, 200);
        long id = looks.add(by, jobId, component, good, means, said);
        String story = LookStore.story(one.name(), good, means, said);
        journal.write(by, Journal.Entry.ofJob(jobId, "look", id, story, said));
        return id;
    }

    /** @throws Invalid if the model of the job's unit has no such component */
    public ModelStore.ModelComponent component(Job job, long component) {
        return models.components(job.unit().modelId()).stream()
                .filter(known -> known.id() == component)
                .findFirst()
                .orElseThrow(() -> new Invalid("componentId", "This model has no component " + component));
    }

    /** Takes back a look that came with something that was struck, if it still stands. */
    public void strikeLook(By by, long look) {
        if (evidence.stands(EvidenceStore.Kept.LOOK, look)) {
            strike(by, EvidenceStore.Kept.LOOK, look);
        }
    }

    void tries(By who, long job, CrossedTries grid) {
        By by = jobs.job(job).entered(who);
        if (grid.tries().isEmpty()) {
            throw new Invalid("tries", "Nothing was tried yet: say of one pair at least whether it works");
        }
        long id = evidence.addTries(by, job, grid);
        long bad = grid.tries().stream().filter(one -> !one.good()).count();
        journal.write(
                by,
                Journal.Entry.ofJob(
                        job,
                        "tries",
                        id,
                        "Tried with one another: " + grid.tries().size() + " pairs, " + bad + " went wrong",
                        grid));
    }

    void strike(By who, EvidenceStore.Kept what, long id) {
        EvidenceStore.Standing before = evidence.standing(what, id);
        long job = before.job();
        By by = jobs.job(job).entered(who);
        rights.mustBeOwn(by, before.by());
        evidence.strike(by, what, id);
        journal.write(
                by,
                Journal.Entry.ofJob(
                        job,
                        "correction",
                        id,
                        what == EvidenceStore.Kept.LOOK ? "A look was struck" : "Crossed tries were struck",
                        null));
    }

    void overrule(By who, long job, FaultName fault, Overruling word, String why) {
        By by = jobs.job(job).told(who);
        String reason =
                word == Overruling.AS_COMPUTED ? Checked.optionalText("why", why, 200) : Checked.text("why", why, 200);
        evidence.overrule(by, job, fault, word, reason);
        String story =
                switch (word) {
                    case THIS_FIRST -> "Overruled: " + fault.words() + " first. " + reason;
                    case NOT_THIS -> "Overruled: not " + fault.words() + ". " + reason;
                    case AS_COMPUTED -> "Back to the odds: " + fault.words();
                };
        journal.write(by, Journal.Entry.ofJob(job, "overruling", job, story, fault));
    }

    /** What a remedy changed, said once it was tried; the last word stands. */
    public FindingStore.FindingRow after(By who, long id, boolean failed, List<Change.After> changes) {
        FindingStore.FindingRow before = findings.finding(id);
        Job job = jobs.job(before.jobId());
        By by = job.told(who);
        if (before.struckWhy().isPresent()) {
            throw new Invalid("finding", "This finding is struck: say it of the one that stands");
        }
        if (failed && changes.stream().anyMatch(after -> after.change() == Change.WENT)) {
            throw new Invalid("failed", "Something went away, so it did not fail: keep one of the two");
        }
        findings.after(
                id,
                failed,
                changes,
                changes.stream()
                        .map(after -> arrivals.symptomId(job.id(), after.symptom()))
                        .toList());
        FindingStore.FindingRow row = findings.finding(id);
        String story = "After " + row.fault().component() + ", " + row.fault().wrong() + ": "
                + (failed ? "it changed nothing. " : "")
                + changes.stream()
                        .map(after -> after.symptom() + " " + after.change().words())
                        .collect(Collectors.joining(", "));
        journal.write(by, new Journal.Entry(job.id(), "after", id, story, before, row));
        return row;
    }
}
