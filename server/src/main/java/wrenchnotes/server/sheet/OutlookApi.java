package wrenchnotes.server.sheet;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.checkin.ArrivalMark;
import wrenchnotes.core.diagnosis.Cause;
import wrenchnotes.core.teardown.Overview;
import wrenchnotes.core.teardown.Step;
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

    /** @param componentId to be looked at after a fall or liquid; @param words what to look for; empty if nobody wrote it */
    public record LookFirst(long componentId, String component, String words) {}

    /** @param component what to mind of it */
    public record MindPoint(String component, String words) {}

    /**
     * @param lookFirst after a fall or liquid, before anything is swapped; empty if nothing points to one
     * @param mind the watch points of the notes
     * @param cautions of what is seen of its state, then of the notes' steps, each once
     */
    public record Outlook(
            UnitOdds odds,
            WorthService.Money money,
            List<LookFirst> lookFirst,
            List<MindPoint> mind,
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
                    shaken(orNone(marks)));
        });
    }

    @GetMapping("/api/jobs/{job}/outlook")
    Outlook onBench(@PathVariable long job) {
        return snapshot.read(() -> {
            JobStore.Job row = jobs.job(job);
            DiagnosisService.Judged judged = diagnosis.onBench(row, clock.instant());
            boolean fell = shaken(arrivals.marks(job))
                    || findings.ofJob(job).stream()
                            .anyMatch(finding -> finding.struckWhy().isEmpty()
                                    && finding.cause().filter(Cause::shakes).isPresent());
            return outlook(
                    judged, worth.ofJob(row, judged, Optional.empty()), row.revisionId(), arrivals.marks(job), fell);
        });
    }

    private static boolean shaken(Set<ArrivalMark> marks) {
        return marks.stream().anyMatch(ArrivalMark::shakes);
    }

    private static <T> Set<T> orNone(Set<T> said) {
        return said == null ? Set.of() : said;
    }

    private Outlook outlook(
            DiagnosisService.Judged judged,
            WorthService.Money money,
            long revision,
            Set<ArrivalMark> marks,
            boolean shaken) {
        NotesStore.Version version = notes.newest(revision);
        List<ModelStore.ModelComponent> components =
                models.components(models.revision(revision).modelId());
        return new Outlook(
                judged.odds(),
                money,
                shaken ? lookFirst(version.teardown().overview(), components) : List.of(),
                version.teardown().overview().watch().stream()
                        .map(watch -> new MindPoint(name(watch.component(), components), watch.words()))
                        .toList(),
                Stream.concat(
                                marks.stream().sorted().flatMap(mark -> mark.caution().stream()),
                                version.teardown().steps().stream()
                                        .map(Step::caution)
                                        .filter(caution -> !caution.isEmpty()))
                        .distinct()
                        .toList());
    }

    /** The shop's list for this revision; while nobody has written one, everything there is. */
    private static List<LookFirst> lookFirst(Overview overview, List<ModelStore.ModelComponent> components) {
        return overview.lookOver().isEmpty()
                ? components.stream()
                        .map(component -> new LookFirst(component.id(), component.name(), ""))
                        .toList()
                : overview.lookOver().stream()
                        .map(look -> new LookFirst(look.component(), name(look.component(), components), look.words()))
                        .toList();
    }

    private static String name(long id, List<ModelStore.ModelComponent> components) {
        return components.stream()
                .filter(component -> component.id() == id)
                .map(ModelStore.ModelComponent::name)
                .findFirst()
                .orElse("");
    }
}
