package wrenchnotes.server.check;

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
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.check.Check;
import wrenchnotes.core.check.Stage;
import wrenchnotes.core.check.Verdict;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.unit.Moment;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Snapshot;

/** Checks of a job. */
@RestController
@May(Act.CHECK)
public class CheckApi {

    private final CheckService service;
    private final CheckStore checks;
    private final Snapshot snapshot;

    CheckApi(CheckService service, CheckStore checks, Snapshot snapshot) {
        this.service = service;
        this.checks = checks;
        this.snapshot = snapshot;
    }

    /**
     * @param planned id of the planned check that it is; left out for one in words
     * @param powered whether it was under power; true if left out, unless it was not tested
     * @param load with which disc, tape or load; may be empty
     * @param times how often it was tried; 0 only when it was not tested
     * @param remark why, if it was not tested
     */
    public record CheckSaid(
            @NotNull Stage stage,
            @NotNull Verdict verdict,
            Optional<@Size(max = 80) String> planned,
            @NotBlank @Size(max = 200) String what,
            Optional<Boolean> powered,
            @Size(max = 200) String load,
            int times,
            @Size(max = 500) String remark) {

        Check check(Moment at, boolean coversOn) {
            return new Check(
                    stage,
                    verdict,
                    planned,
                    what,
                    coversOn,
                    verdict != Verdict.NOT_TESTED && powered.orElse(true),
                    load,
                    times,
                    remark,
                    Optional.empty(),
                    at);
        }
    }

    /** @param instead what should have been written; empty to strike the check */
    public record CheckCorrection(@NotBlank @Size(max = 300) String why, Optional<@Valid CheckSaid> instead) {}

    /** Why things are usually not tested here, most often first. */
    @GetMapping("/api/checks/why-not")
    List<String> whyNot() {
        return snapshot.read(checks::whyNot);
    }

    @PostMapping("/api/jobs/{job}/checks")
    @ResponseStatus(HttpStatus.CREATED)
    CheckStore.CheckRow record(@PathVariable long job, @Valid @RequestBody CheckSaid said, Pen pen) {
        return pen.once(said, by -> service.record(by, job, said::check), CheckStore.CheckRow::id, checks::check);
    }

    public record AsRemarkSaid(@NotBlank @Size(max = 300) String why) {}

    @PostMapping("/api/checks/{check}/remark")
    CheckStore.CheckRow takeAsRemark(@PathVariable long check, @Valid @RequestBody AsRemarkSaid said, Pen pen) {
        return pen.once(
                said, by -> service.takeAsRemark(by, check, said.why()), CheckStore.CheckRow::id, checks::check);
    }

    @PostMapping("/api/checks/{check}/correction")
    CheckStore.CheckRow correct(@PathVariable long check, @Valid @RequestBody CheckCorrection said, Pen pen) {
        return pen.once(
                said,
                by -> service.correct(by, check, said.why(), said.instead().map(other -> other::check)),
                CheckStore.CheckRow::id,
                checks::check);
    }
}
