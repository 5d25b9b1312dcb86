package wrenchnotes.server.job;

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
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.job.FoundThing;
import wrenchnotes.core.job.JobEntry;
import wrenchnotes.core.team.Act;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Snapshot;

/** What happens on a job beside steps, findings and checks: found inside, decided, observed, altered, heard later. */
@RestController
@RequestMapping("/api/jobs/{job}")
@May(Act.FIND)
class EventApi {

    private final EventService service;
    private final ExperienceStore experience;
    private final JobStore jobs;
    private final Snapshot snapshot;

    EventApi(EventService service, ExperienceStore experience, JobStore jobs, Snapshot snapshot) {
        this.service = service;
        this.experience = experience;
        this.jobs = jobs;
        this.snapshot = snapshot;
    }

    public record FoundInsideSaid(
            @NotNull FoundThing what, @Size(max = 120) String state, Optional<@Size(max = 64) String> photo) {}

    /** @param considered what else could have been done */
    public record DecisionSaid(
            @NotBlank @Size(max = 80) String fork,
            @NotBlank @Size(max = 80) String choice,
            @Size(max = 200) String considered,
            @Size(max = 200) String why) {}

    /** @param condition under which it was tried */
    public record ObservationSaid(
            @NotBlank @Size(max = 80) String what,
            @Size(max = 120) String expected,
            @NotBlank @Size(max = 120) String found,
            boolean good,
            @Size(max = 80) String condition) {}

    /** @param thing id of the thing of the notes that this is about */
    public record AlterationSaid(
            @NotBlank @Size(max = 80) String where,
            @NotBlank @Size(max = 120) String now,
            Optional<@Size(max = 80) String> thing) {}

    /** @param undoes the finding that it shows to have been wrong */
    public record LaterWordSaid(@NotBlank @Size(max = 300) String words, Optional<Long> undoes) {}

    @PostMapping("/found-inside")
    @ResponseStatus(HttpStatus.CREATED)
    void foundInside(@PathVariable long job, @Valid @RequestBody FoundInsideSaid said, Pen pen) {
        pen.once(said, by -> service.say(by, job, new JobEntry.FoundInside(said.what(), said.state(), said.photo())));
    }

    @PostMapping("/decisions")
    @ResponseStatus(HttpStatus.CREATED)
    void decided(@PathVariable long job, @Valid @RequestBody DecisionSaid said, Pen pen) {
        pen.once(
                said,
                by -> service.say(
                        by,
                        job,
                        new JobEntry.ForkTaken(
                                said.fork(), said.choice(), said.considered(), said.why(), Optional.empty())));
    }

    @PostMapping("/observations")
    @ResponseStatus(HttpStatus.CREATED)
    void observed(@PathVariable long job, @Valid @RequestBody ObservationSaid said, Pen pen) {
        pen.once(
                said,
                by -> service.say(
                        by,
                        job,
                        new JobEntry.Observed(
                                said.what(), said.expected(), said.found(), said.good(), said.condition())));
    }

    @PostMapping("/alterations")
    @ResponseStatus(HttpStatus.CREATED)
    void altered(@PathVariable long job, @Valid @RequestBody AlterationSaid said, Pen pen) {
        pen.once(said, by -> service.say(by, job, new JobEntry.Altered(said.where(), said.now(), said.thing())));
    }

    /** Of a unit that has left: what was done stands, what was heard is added. */
    @PostMapping("/later-words")
    @ResponseStatus(HttpStatus.CREATED)
    void later(@PathVariable long job, @Valid @RequestBody LaterWordSaid said, Pen pen) {
        pen.once(said, by -> service.later(by, job, new JobEntry.LaterWord(said.words(), said.undoes())));
    }

    /**
     * What others met on units of this revision.
     *
     * @param forks what was decided where, the likeliest fork first
     * @param good what a good unit does, by what was tried
     */
    public record MetBefore(List<ExperienceStore.Fork> forks, List<ExperienceStore.GoodOne> good) {}

    @GetMapping("/experience")
    MetBefore experience(@PathVariable long job) {
        return snapshot.read(() -> {
            long revision = jobs.job(job).revisionId();
            return new MetBefore(experience.forks(revision, job), experience.good(revision));
        });
    }
}
