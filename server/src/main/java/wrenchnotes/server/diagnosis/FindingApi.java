package wrenchnotes.server.diagnosis;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.diagnosis.Cause;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.FindingKind;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.diagnosis.OldGoes;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.advice.WorkHazard;
import wrenchnotes.core.drawer.CameFrom;
import wrenchnotes.core.drawer.Recipe;
import wrenchnotes.core.team.Act;
import wrenchnotes.server.drawer.DonorParts;
import wrenchnotes.server.drawer.MoveStore;
import wrenchnotes.server.drawer.PartsOfJob;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.job.JobStore;

/** Findings of a job. */
@RestController
@May(Act.FIND)
public class FindingApi {

    private final FindingService service;
    private final FindingStore findings;
    private final UnitOnBench units;
    private final DonorParts donors;
    private final JobStore jobs;
    private final Snapshot snapshot;

    FindingApi(
            FindingService service,
            FindingStore findings,
            UnitOnBench units,
            DonorParts donors,
            JobStore jobs,
            Snapshot snapshot) {
        this.service = service;
        this.findings = findings;
        this.units = units;
        this.donors = donors;
        this.jobs = jobs;
        this.snapshot = snapshot;
    }

    /** A component of a unit that is kept for parts. */
    public record OfDonor(@NotNull Long unitId, @NotNull Long componentId) {}

    /**
     * @param partId of a drawer's part; else {@code words} say what it is
     * @param costMinor what they cost together; of a drawer's part the drawer knows
     * @param recipe how it was made here
     * @param donor what it is taken out of, if that is known; of what is of no drawer it tells what it is, too
     */
    public record PartFitted(
            Optional<Long> partId,
            Optional<@Size(max = 120) String> words,
            @Min(1) @Max(99) int count,
            @NotNull CameFrom cameFrom,
            Optional<@Min(0) @Max(100_000_000) Long> costMinor,
            Optional<Recipe> recipe,
            Optional<@Valid OfDonor> donor) {

        public PartFitted {
            donor = donor == null ? Optional.empty() : donor;
        }

        PartsOfJob.Fitted fitted(DonorParts donors) {
            Optional<DonorParts.FromDonor> from =
                    donor.map(one -> new DonorParts.FromDonor(one.unitId(), one.componentId()));
            String called = from.isPresent() && partId.isEmpty() ? donors.called(from.get()) : words.orElse("");
            return new PartsOfJob.Fitted(new MoveStore.What(partId, called), cameFrom, count, costMinor, recipe, from);
        }
    }

    /**
     * @param kind what it is to the model's record; a fault if left out
     * @param parts that went in
     * @param oldGoes where what was replaced went
     * @param proof what proved it
     * @param causeConfirmed whether the cause is sure; it is suspected if left out
     */
    public record FindingSaid(
            @NotBlank @Size(max = 80) String component,
            @NotBlank @Size(max = 80) String wrong,
            @NotNull Remedy remedy,
            Optional<FindingKind> kind,
            Optional<@Size(max = 20) List<@Valid @NotNull PartFitted>> parts,
            Optional<OldGoes> oldGoes,
            @Size(max = 500) String remark,
            Optional<Means> proof,
            Optional<Cause> cause,
            Boolean causeConfirmed) {

        FindingService.FaultSeen found(DonorParts donors) {
            return new FindingService.FaultSeen(
                    component,
                    wrong,
                    remedy,
                    kind.orElse(FindingKind.FAULT),
                    parts.orElse(List.of()).stream()
                            .map(part -> part.fitted(donors))
                            .toList(),
                    oldGoes,
                    remark,
                    proof,
                    cause,
                    Boolean.TRUE.equals(causeConfirmed));
        }
    }

    /** @param instead what should have been written; empty to strike the finding */
    public record FindingCorrection(
            @NotBlank @Size(max = 300) String why, Optional<@Valid FindingSaid> instead) {}

    /**
     * What can hurt in such work, a caution each.
     *
     * @param words of the component, the fault, agents and tools
     */
    @GetMapping("/api/work-hazards")
    List<String> hazards(
            @RequestParam Optional<Remedy> remedy, @RequestParam(defaultValue = "") @Size(max = 700) String words) {
        return WorkHazard.of(remedy, words).stream().map(WorkHazard::caution).toList();
    }

    /** @param kind what is picked before anybody says otherwise */
    public record LikelyKind(FindingKind kind) {}

    @GetMapping("/api/jobs/{job}/likely-kind")
    LikelyKind likelyKind(
            @PathVariable long job,
            @RequestParam @Size(max = 80) String component,
            @RequestParam @Size(max = 80) String wrong,
            @RequestParam Remedy remedy,
            @RequestParam(defaultValue = "false") boolean proved) {
        return snapshot.read(() -> component.isBlank() || wrong.isBlank()
                ? new LikelyKind(FindingKind.FAULT)
                : new LikelyKind(units.likelyKind(jobs.job(job), new FaultName(component, wrong), remedy, proved)));
    }

    @PostMapping("/api/jobs/{job}/findings")
    @ResponseStatus(HttpStatus.CREATED)
    FindingStore.FindingRow record(@PathVariable long job, @Valid @RequestBody FindingSaid said, Pen pen) {
        return pen.once(
                said,
                by -> service.record(by, job, said.found(donors)),
                FindingStore.FindingRow::id,
                findings::finding);
    }

    /** @param photo hash of a picture that was kept */
    public record FindingPhoto(
            @NotNull @Pattern(regexp = "[0-9a-f]{64}") String photo) {}

    /** What it looked like. */
    @PostMapping("/api/findings/{finding}/photos")
    FindingStore.FindingRow photo(@PathVariable long finding, @Valid @RequestBody FindingPhoto said, Pen pen) {
        return pen.once(
                said,
                by -> service.pictured(by, finding, said.photo()),
                FindingStore.FindingRow::id,
                findings::finding);
    }

    @PostMapping("/api/findings/{finding}/correction")
    FindingStore.FindingRow correct(@PathVariable long finding, @Valid @RequestBody FindingCorrection said, Pen pen) {
        return pen.once(
                said,
                by -> service.correct(by, finding, said.why(), said.instead().map(one -> one.found(donors))),
                FindingStore.FindingRow::id,
                findings::finding);
    }
}
