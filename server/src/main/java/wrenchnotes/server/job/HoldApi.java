package wrenchnotes.server.job;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.job.Hold;
import wrenchnotes.core.job.HoldKind;
import wrenchnotes.server.ground.Pen;

/** Holds of a job. */
@RestController
public class HoldApi {

    private final HoldService service;

    HoldApi(HoldService service) {
        this.service = service;
    }

    /** @param until empty if it ends with an event, not at a time */
    public record HoldSaid(
            @NotNull HoldKind kind,
            @NotBlank @Size(max = 200) String why,
            Optional<Instant> until) {}

    @PostMapping("/api/jobs/{job}/holds")
    @ResponseStatus(HttpStatus.CREATED)
    HoldStore.HoldRow set(@PathVariable long job, @Valid @RequestBody HoldSaid said, Pen pen) {
        return pen.once(
                said,
                HoldStore.HoldRow.class,
                by -> service.set(by, job, new Hold(said.kind(), said.why(), by.at(), said.until(), Optional.empty())));
    }

    @PostMapping("/api/holds/{hold}/end")
    HoldStore.HoldRow end(@PathVariable long hold, Pen pen) {
        return pen.once("end", HoldStore.HoldRow.class, by -> service.end(by, hold));
    }
}
