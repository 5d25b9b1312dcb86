package wrenchnotes.server.diagnosis;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
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
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.advice.WorkHazard;
import wrenchnotes.core.team.Act;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;

/** Findings of a job. */
@RestController
@May(Act.FIND)
public class FindingApi {

    private final FindingService service;
    private final FindingStore findings;

    FindingApi(FindingService service, FindingStore findings) {
        this.service = service;
        this.findings = findings;
    }

    /**
     * @param partCount how many of the part were used; 0 if no part was
     * @param proof what proved it
     * @param causeConfirmed whether the cause is sure; it is suspected if left out
     */
    public record FindingSaid(
            @NotBlank @Size(max = 80) String component,
            @NotBlank @Size(max = 80) String wrong,
            @NotNull Remedy remedy,
            Optional<Long> partId,
            int partCount,
            @Size(max = 500) String remark,
            Optional<Means> proof,
            Optional<Cause> cause,
            Boolean causeConfirmed) {

        FindingService.FaultSeen found() {
            return new FindingService.FaultSeen(
                    component,
                    wrong,
                    remedy,
                    partId,
                    partCount,
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

    @PostMapping("/api/jobs/{job}/findings")
    @ResponseStatus(HttpStatus.CREATED)
    FindingStore.FindingRow record(@PathVariable long job, @Valid @RequestBody FindingSaid said, Pen pen) {
        return pen.once(
                said, by -> service.record(by, job, said.found()), FindingStore.FindingRow::id, findings::finding);
    }

    @PostMapping("/api/findings/{finding}/correction")
    FindingStore.FindingRow correct(@PathVariable long finding, @Valid @RequestBody FindingCorrection said, Pen pen) {
        return pen.once(
                said,
                by -> service.correct(by, finding, said.why(), said.instead().map(FindingSaid::found)),
                FindingStore.FindingRow::id,
                findings::finding);
    }
}
