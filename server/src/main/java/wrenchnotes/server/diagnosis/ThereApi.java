package wrenchnotes.server.diagnosis;

import java.time.Clock;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.job.JobStore;

/** What is offered to whoever stands before a unit. */
@RestController
public class ThereApi {

    private final ThereService service;
    private final JobStore jobs;
    private final Snapshot snapshot;
    private final Clock clock;

    ThereApi(ThereService service, JobStore jobs, Snapshot snapshot, Clock clock) {
        this.service = service;
        this.jobs = jobs;
        this.snapshot = snapshot;
        this.clock = clock;
    }

    @GetMapping("/api/jobs/{job}/there")
    There there(@PathVariable long job) {
        return snapshot.read(() -> service.there(jobs.job(job), clock.instant()));
    }

    @GetMapping("/api/jobs/{job}/where-to")
    List<There.WorthGoing> whereTo(@PathVariable long job) {
        return snapshot.read(() -> service.whereTo(jobs.job(job), clock.instant()));
    }
}
