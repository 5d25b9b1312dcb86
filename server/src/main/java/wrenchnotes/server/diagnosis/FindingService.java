package wrenchnotes.server.diagnosis;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import wrenchnotes.core.diagnosis.Cause;
import wrenchnotes.core.diagnosis.FindingKind;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.diagnosis.OldGoes;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.bench.Agreement;
import wrenchnotes.server.drawer.PartsOfJob;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Rights;
import wrenchnotes.server.ground.Stale;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.teardown.ModelService;
import wrenchnotes.server.teardown.ModelStore;

/** Recording findings and correcting them. Each method runs in the caller's transaction. */
@Component
public class FindingService {

    private final FindingStore findings;
    private final FindingPhotoStore photos;
    private final JobStore jobs;
    private final ModelService models;
    private final ModelStore modelStore;
    private final PartsOfJob parts;
    private final Agreement bench;
    private final Rights rights;
    private final Journal journal;

    FindingService(
            FindingStore findings,
            FindingPhotoStore photos,
            JobStore jobs,
            ModelService models,
            ModelStore modelStore,
            PartsOfJob parts,
            Agreement bench,
            Rights rights,
            Journal journal) {
        this.findings = findings;
        this.photos = photos;
        this.jobs = jobs;
        this.models = models;
        this.modelStore = modelStore;
        this.parts = parts;
        this.bench = bench;
        this.rights = rights;
        this.journal = journal;
    }

    /** A fault as seen; the component and what is wrong with it become known words of the model if they are new. */
    public record FaultSeen(
            String component,
            String wrong,
            Remedy remedy,
            FindingKind kind,
            List<PartsOfJob.Fitted> parts,
            Optional<OldGoes> oldGoes,
            String remark,
            Optional<Means> proof,
            Optional<Cause> cause,
            boolean causeConfirmed) {

        public FaultSeen {
            component = Checked.text("component", component, 80);
            wrong = Checked.text("wrong", wrong, 80);
            Checked.present("remedy", remedy);
            remark = Checked.optionalText("remark", remark, 500);
            parts = List.copyOf(parts);
            Checked.within("parts", parts.size(), 0, 20);
        }
    }

    public FindingStore.FindingRow record(By who, long jobId, FaultSeen found) {
        Job job = jobs.job(jobId);
        By by = job.entered(who);
        return write(by, job, found, Optional.empty());
    }

    /**
     * Strikes a finding and, if there is something to put in its place, records that. Parts that only the struck one tells of go back
     * where they came from.
     */
    public FindingStore.FindingRow correct(By who, long id, String why, Optional<FaultSeen> instead) {
        FindingStore.FindingRow before = findings.finding(id);
        Job job = jobs.job(before.jobId());
        By by = job.entered(who);
        if (before.struckWhy().isPresent()) {
            throw new Stale("This finding was corrected by somebody else meanwhile.", findings.ofJob(job.id()));
        }
        rights.mustBeOwn(by, before.by());
        findings.strike(by, id, Checked.text("why", why, 300));
        parts.findingBack(by, job.id(), id, "struck: " + why);
        bench.unsettle(by, job.id(), before.moment());
        if (instead.isPresent()) {
            return write(by, job, instead.get(), Optional.of(id));
        }
        FindingStore.FindingRow after = findings.finding(id);
        journal.write(
                by,
                new Journal.Entry(
                        job.id(), "correction", id, "Struck: " + before.words() + ". Why: " + why, before, after));
        return after;
    }

    /** What it looked like, for whoever meets the same fault next. */
    public FindingStore.FindingRow pictured(By who, long id, String photo) {
        FindingStore.FindingRow row = findings.finding(id);
        By by = jobs.job(row.jobId()).told(who);
        photos.add(by, id, photo);
        journal.write(
                by,
                new Journal.Entry(
                        row.jobId(), "finding", id, "A picture of: " + row.words(), null, Map.of("photo", photo)));
        return row;
    }

    private FindingStore.FindingRow write(By by, Job job, FaultSeen found, Optional<Long> corrects) {
        long component =
                models.addComponent(by, job.unit().modelId(), found.component()).id();
        long id = findings.add(
                by,
                job,
                new FindingStore.NewFinding(
                        component,
                        modelStore.fault(component, found.wrong()),
                        found.remedy(),
                        found.kind(),
                        found.oldGoes(),
                        found.remark(),
                        found.proof(),
                        found.cause(),
                        found.causeConfirmed(),
                        corrects));
        for (PartsOfJob.Fitted part : found.parts()) {
            fit(by, job, part, PartsOfJob.Place.finding(id, component), found.component() + ", " + found.wrong());
        }
        if (found.remedy() == Remedy.REPLACED) {
            bench.settle(by, job.id());
        }
        FindingStore.FindingRow row = findings.finding(id);
        String words = (corrects.isPresent() ? "Corrected to: " : "Found: ") + row.words();
        Object before = corrects.map(findings::finding).orElse(null);
        journal.write(by, new Journal.Entry(job.id(), "finding", id, words, before, row));
        return row;
    }

    private void fit(By by, Job job, PartsOfJob.Fitted part, PartsOfJob.Place place, String why) {
        try {
            parts.tell(by, job.id(), part, place, why);
        } catch (NotFound e) {
            throw new Invalid("partId", e.getMessage());
        }
    }
}
