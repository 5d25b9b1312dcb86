package wrenchnotes.server.diagnosis;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.function.Consumer;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.checkin.Arrival;
import wrenchnotes.core.diagnosis.Change;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.diagnosis.Overruling;
import wrenchnotes.core.diagnosis.odds.CrossedTries;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.table.Table;

/** What speaks for and against faults of a unit on the bench. */
@RestController
@May(Act.FIND)
public class EvidenceApi {

    private final EvidenceService service;
    private final EvidenceStore store;
    private final Snapshot snapshot;
    private final FindingStore findings;

    EvidenceApi(EvidenceService service, EvidenceStore store, Snapshot snapshot, FindingStore findings) {
        this.service = service;
        this.store = store;
        this.snapshot = snapshot;
        this.findings = findings;
    }

    public record ComponentSeen(
            @NotNull Long componentId,
            @NotNull Boolean good,
            @NotNull Means means,
            @Size(max = 200) String words) {}

    public record OverrulingSaid(
            @NotBlank @Size(max = 80) String component,
            @NotBlank @Size(max = 80) String wrong,
            @NotNull Overruling word,
            @Size(max = 200) String why) {}

    public record AfterSaid(
            boolean failed, @NotNull @Size(max = 30) List<Change.After> changes) {}

    /** What was seen and tried on a job, as it stands; what was told stands on its sheet, what was overruled in its outlook. */
    public record EvidenceOnJob(
            List<EvidenceStore.LookRow> looks,
            List<EvidenceStore.TriesRow> tries,
            EvidenceStore.OverruledBefore overruledBefore) {}

    @GetMapping("/api/jobs/{job}/evidence")
    EvidenceOnJob evidence(@PathVariable long job) {
        return snapshot.read(() -> new EvidenceOnJob(store.looks(job), store.tries(job), store.overruledBefore()));
    }

    @PostMapping("/api/jobs/{job}/symptoms")
    EvidenceOnJob symptom(@PathVariable long job, @Valid @RequestBody Arrival.Symptom said, Pen pen) {
        return written(pen, said, job, by -> service.symptom(by, job, said));
    }

    @PostMapping("/api/jobs/{job}/looks")
    @ResponseStatus(HttpStatus.CREATED)
    EvidenceOnJob look(@PathVariable long job, @Valid @RequestBody ComponentSeen said, Pen pen) {
        return written(
                pen,
                said,
                job,
                by -> service.look(by, job, said.componentId(), said.good(), said.means(), said.words()));
    }

    @DeleteMapping("/api/jobs/{job}/looks/{look}")
    EvidenceOnJob strikeLook(@PathVariable long job, @PathVariable long look, Pen pen) {
        return written(pen, "strike", job, by -> service.strike(by, EvidenceStore.Kept.LOOK, look));
    }

    @PostMapping("/api/jobs/{job}/tries")
    @ResponseStatus(HttpStatus.CREATED)
    EvidenceOnJob tries(@PathVariable long job, @Valid @RequestBody CrossedTries said, Pen pen) {
        return written(pen, said, job, by -> service.tries(by, job, said));
    }

    /** Each pair that was tried, a line. */
    @GetMapping(
            value = "/api/jobs/{job}/tries/table.csv",
            produces = {"text/csv", "text/tab-separated-values"})
    Table triesTable(@PathVariable long job) {
        return new Table(
                "tries-" + job,
                List.of("at", "by", "one", "in the other", "works"),
                snapshot.read(() -> store.tries(job)).stream()
                        .flatMap(row -> row.grid().tries().stream()
                                .map(one -> Table.row(
                                        row.at(),
                                        row.by(),
                                        row.grid().down().get(one.down()).name(),
                                        row.grid().across().get(one.across()).name(),
                                        one.good())))
                        .toList());
    }

    @DeleteMapping("/api/jobs/{job}/tries/{tries}")
    EvidenceOnJob strikeTries(@PathVariable long job, @PathVariable long tries, Pen pen) {
        return written(pen, "strike", job, by -> service.strike(by, EvidenceStore.Kept.TRIES, tries));
    }

    @PostMapping("/api/jobs/{job}/overrulings")
    EvidenceOnJob overrule(@PathVariable long job, @Valid @RequestBody OverrulingSaid said, Pen pen) {
        FaultName fault = new FaultName(said.component(), said.wrong());
        return written(pen, said, job, by -> service.overrule(by, job, fault, said.word(), said.why()));
    }

    @PostMapping("/api/findings/{finding}/after")
    FindingStore.FindingRow after(@PathVariable long finding, @Valid @RequestBody AfterSaid said, Pen pen) {
        return pen.once(
                said,
                by -> service.after(by, finding, said.failed(), said.changes()),
                FindingStore.FindingRow::id,
                findings::finding);
    }

    private EvidenceOnJob written(Pen pen, Object said, long job, Consumer<By> write) {
        pen.once(said, write);
        return evidence(job);
    }
}
