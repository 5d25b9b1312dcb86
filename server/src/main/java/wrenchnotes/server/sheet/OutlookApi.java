package wrenchnotes.server.sheet;

import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.checkin.ArrivalMark;
import wrenchnotes.core.diagnosis.Cause;
import wrenchnotes.core.diagnosis.advice.BeforeWork;
import wrenchnotes.core.job.Job;
import wrenchnotes.server.diagnosis.DiagnosisService;
import wrenchnotes.server.diagnosis.FindingStore;
import wrenchnotes.server.diagnosis.UnitOdds;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.job.ArrivalStore;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.money.WorthService;
import wrenchnotes.server.teardown.ModelStore;
import wrenchnotes.server.teardown.NotesStore;

/** What the shop's history says of a unit: while it is still on the counter, and on the bench after each answer. */
@RestController
public class OutlookApi {

    private final DiagnosisService diagnosis;
    private final WorthService worth;
    private final JobStore jobs;
    private final ArrivalStore arrivals;
    private final FindingStore findings;
    private final ModelStore models;
    private final NotesStore notes;
    private final Snapshot snapshot;
    private final Clock clock;

    OutlookApi(
            DiagnosisService diagnosis,
            WorthService worth,
            JobStore jobs,
            ArrivalStore arrivals,
            FindingStore findings,
            ModelStore models,
            NotesStore notes,
            Snapshot snapshot,
            Clock clock) {
        this.diagnosis = diagnosis;
        this.worth = worth;
        this.jobs = jobs;
        this.arrivals = arrivals;
        this.findings = findings;
        this.models = models;
        this.notes = notes;
        this.snapshot = snapshot;
        this.clock = clock;
    }

    /** What is likely, what it comes to, and what to mind: as {@link BeforeWork} says. */
    public record Outlook(
            UnitOdds odds,
            WorthService.Money money,
            List<BeforeWork.LookFirst> lookFirst,
            List<BeforeWork.MindPoint> mind,
            List<String> cautions) {}

    /**
     * @param present symptoms that are there
     * @param absent symptoms that were asked for and are not there
     * @param marks what can be seen of its state
     * @param unit if it was here before
     */
    @GetMapping("/api/revisions/{revision}/outlook")
    Outlook atCounter(
            @PathVariable long revision,
            @RequestParam(required = false) Set<String> present,
            @RequestParam(required = false) Set<String> absent,
            @RequestParam(required = false) Set<ArrivalMark> marks,
            @RequestParam(required = false) Long unit,
            @RequestParam(defaultValue = "false") boolean resale,
            @RequestParam(required = false) Long paid) {
        return snapshot.read(() -> {
            DiagnosisService.Judged judged = diagnosis.atCounter(
                    revision, Optional.ofNullable(unit), orNone(present), orNone(absent), clock.instant());
            ModelStore.Revision known = models.revision(revision);
            return outlook(
                    judged,
                    worth.atCounter(
                            revision,
                            known.modelId(),
                            models.model(known.modelId()).kind(),
                            judged,
                            resale,
                            Optional.ofNullable(paid)),
                    revision,
                    orNone(marks),
                    List.of());
        });
    }

    @GetMapping("/api/jobs/{job}/outlook")
    Outlook onBench(@PathVariable long job) {
        return snapshot.read(() -> {
            Job row = jobs.job(job);
            DiagnosisService.Judged judged = diagnosis.onBench(row, clock.instant());
            List<Cause> causes = findings.ofJob(job).stream()
                    .filter(FindingStore.FindingRow::stands)
                    .flatMap(finding -> finding.fault().cause().stream())
                    .toList();
            return outlook(
                    judged, worth.ofJob(row, judged, Optional.empty()), row.revisionId(), arrivals.marks(job), causes);
        });
    }

    private static <T> Set<T> orNone(Set<T> said) {
        return said == null ? Set.of() : said;
    }

    private Outlook outlook(
            DiagnosisService.Judged judged,
            WorthService.Money money,
            long revision,
            Set<ArrivalMark> marks,
            List<Cause> causes) {
        Map<Long, String> components = new LinkedHashMap<>();
        models.components(models.revision(revision).modelId())
                .forEach(component -> components.put(component.id(), component.name()));
        BeforeWork before = BeforeWork.of(notes.newest(revision).teardown(), components, marks, causes);
        return new Outlook(judged.odds(), money, before.lookFirst(), before.mind(), before.cautions());
    }
}
