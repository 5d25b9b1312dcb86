package wrenchnotes.server.job;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.PositiveOrZero;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.diagnosis.history.BenchTime;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.team.Act;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Snapshot;

/** How long was worked on a job, and which gaps were not counted until somebody says so. */
@RestController
@May(Act.RUN)
class TimeWorkedApi {

    private final TimeWorkedStore times;
    private final JobStore jobs;
    private final Journal journal;
    private final Snapshot snapshot;

    TimeWorkedApi(TimeWorkedStore times, JobStore jobs, Journal journal, Snapshot snapshot) {
        this.times = times;
        this.jobs = jobs;
        this.journal = journal;
        this.snapshot = snapshot;
    }

    /**
     * @param minutes of it that were worked; empty if nobody said, and then none counts
     * @param offers what is likely to be said of it, by one press each
     */
    public record GapInWork(Instant from, Instant to, Optional<Integer> minutes, List<Integer> offers) {}

    /** @param minutes all that counts */
    public record TimeWorked(double minutes, List<GapInWork> gaps) {}

    /** @param from when the gap begins */
    public record GapSaid(
            @NotNull Instant from, @NotNull @PositiveOrZero Integer minutes) {}

    @GetMapping("/api/jobs/{job}/time")
    TimeWorked time(@PathVariable long job) {
        return snapshot.read(() -> view(times.of(jobs.job(job).id())));
    }

    @PostMapping("/api/jobs/{job}/time/gaps")
    TimeWorked say(@PathVariable long job, @Valid @RequestBody GapSaid said, Pen pen) {
        pen.once(said, who -> {
            Job row = jobs.job(job);
            BenchTime.Gap gap = times.of(job).gap(said.from()).said(said.minutes());
            times.say(row.told(who), job, gap);
            journal.write(
                    who, Journal.Entry.ofJob(job, "time", 0, said.minutes() + " min of a gap in the work count", said));
        });
        return time(job);
    }

    private static TimeWorked view(BenchTime time) {
        return new TimeWorked(
                time.worked().toMillis() / 60_000.0,
                time.gaps().stream()
                        .map(gap -> new GapInWork(gap.from(), gap.to(), gap.minutes(), gap.offers()))
                        .toList());
    }
}
