package wrenchnotes.server.job;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.job.Hold;
import wrenchnotes.core.job.HoldAnswer;
import wrenchnotes.core.job.HoldKind;
import wrenchnotes.core.job.UsualWait;
import wrenchnotes.core.team.Act;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Snapshot;

/** Holds of a job. */
@RestController
@May(Act.HOLD)
public class HoldApi {

    private final HoldService service;
    private final HoldStore holds;
    private final JobStore jobs;
    private final Snapshot snapshot;
    private final Clock clock;

    HoldApi(HoldService service, HoldStore holds, JobStore jobs, Snapshot snapshot, Clock clock) {
        this.service = service;
        this.holds = holds;
        this.jobs = jobs;
        this.snapshot = snapshot;
        this.clock = clock;
    }

    /**
     * @param until empty if it ends with an event, not at a time
     * @param component what is held, if it is a component; left out with the step for the whole job
     * @param step what is held, if it is a step and all after it
     */
    public record HoldSaid(
            @NotNull HoldKind kind,
            @NotBlank @Size(max = 200) String why,
            Optional<Instant> until,
            Optional<Long> component,
            Optional<@Size(max = 80) String> step) {

        Hold.Covers covers() {
            return new Hold.Covers(component, step);
        }
    }

    @PostMapping("/api/jobs/{job}/holds")
    @ResponseStatus(HttpStatus.CREATED)
    HoldStore.HoldRow set(@PathVariable long job, @Valid @RequestBody HoldSaid said, Pen pen) {
        return pen.once(
                said,
                by -> service.set(by, job, said.kind(), said.why(), said.covers(), said.until()),
                HoldStore.HoldRow::id,
                holds::hold);
    }

    /** @param over how long ago, in minutes, a hold may have ended by the clock and still be listed */
    @GetMapping("/api/holds")
    List<HoldStore.Timer> timers(@RequestParam(defaultValue = "60") @Min(0) @Max(10_080) int over) {
        return snapshot.read(() -> holds.timers(clock.instant().minus(Duration.ofMinutes(over))));
    }

    /** @param minutes left out if it ends with an event and nothing is known of how long that takes */
    public record UsualLength(HoldKind kind, Optional<Long> minutes, String words) {}

    /** How long each kind of hold usually lasts on a unit like this. */
    @GetMapping("/api/jobs/{job}/holds/usual")
    List<UsualLength> usual(@PathVariable long job) {
        return snapshot.read(() -> {
            long revision = jobs.job(job).revisionId();
            return Stream.of(HoldKind.values())
                    .map(kind -> {
                        Optional<UsualWait> wait = UsualWait.of(
                                kind, holds.lasted(kind, Optional.of(revision)), holds.lasted(kind, Optional.empty()));
                        return new UsualLength(
                                kind,
                                wait.map(one -> one.length().toMinutes()),
                                wait.map(UsualWait::words).orElse("ends with an event"));
                    })
                    .toList();
        });
    }

    /**
     * @param answer to what the wait asks when it is over; yes if left out
     * @param why needed from a lead who ends it before its time
     */
    public record EndSaid(Optional<HoldAnswer> answer, Optional<@Size(max = 300) String> why) {}

    @PostMapping("/api/holds/{hold}/end")
    HoldStore.HoldRow end(@PathVariable long hold, @Valid @RequestBody(required = false) EndSaid said, Pen pen) {
        EndSaid answered = said == null ? new EndSaid(Optional.empty(), Optional.empty()) : said;
        return pen.once(
                answered,
                by -> service.end(
                        by,
                        hold,
                        answered.answer().orElse(HoldAnswer.YES),
                        answered.why().orElse("")),
                HoldStore.HoldRow::id,
                holds::hold);
    }
}
