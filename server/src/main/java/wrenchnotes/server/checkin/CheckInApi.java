package wrenchnotes.server.checkin;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.PositiveOrZero;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.checkin.Arrival;
import wrenchnotes.core.checkin.ArrivalMark;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.job.JobStore;

/** The counter. */
@RestController
@RequestMapping("/api")
public class CheckInApi {

    private final CheckInStore store;
    private final CheckInService service;
    private final JobStore jobs;
    private final Snapshot snapshot;

    CheckInApi(CheckInStore store, CheckInService service, JobStore jobs, Snapshot snapshot) {
        this.store = store;
        this.service = service;
        this.jobs = jobs;
        this.snapshot = snapshot;
    }

    /** @param unitId the unit if it was found again; empty for a new one */
    public record CheckInSaid(
            Optional<Long> unitId,
            @Size(max = 60) String serial,
            @NotNull Long revisionId,
            @NotNull Ownership ownership,
            Optional<Long> ownerId,
            @Size(max = 120) String ownerName,
            @Size(max = 120) String ownerContact,
            Optional<Long> lotId,
            Optional<@PositiveOrZero Long> paidMinor,
            Optional<String> slot,
            Optional<Instant> due,
            @Valid @NotNull ArrivalSaid arrival) {}

    public record ArrivalSaid(
            @Size(max = 1000) String complaint,
            @Size(max = 60) List<Arrival.Symptom> symptoms,
            Set<ArrivalMark> marks,
            @Size(max = 1000) String condition,
            @Size(max = 60) List<Arrival.Missing> missing,
            @Size(max = 40) List<String> belongings,
            @Size(max = 12) List<Arrival.ArrivalPhoto> photos,
            Map<ArrivalMark, String> places) {

        Arrival arrival() {
            return new Arrival(complaint, symptoms, marks, condition, missing, belongings, photos, places);
        }
    }

    public record CorrectionSaid(
            @Size(max = 60) String serial,
            @NotNull Long revisionId,
            Optional<String> slot,
            Optional<Instant> due,
            @Valid @NotNull ArrivalSaid arrival) {}

    /** What the counter needs before anything is typed. */
    public record Counter(String nextTag, List<String> freeSlots, List<CheckInStore.SymptomWord> symptoms) {}

    /** A unit seen before, with its stays, newest first. */
    public record KnownUnit(CheckInStore.Unit unit, List<JobStore.Job> stays) {}

    /** @param revision puts the symptoms this revision usually has first; may be left out */
    @GetMapping("/checkin")
    Counter counter(@RequestParam(required = false) Long revision) {
        return snapshot.read(
                () -> new Counter(service.nextTag().text(), store.freeSlots(), store.symptomWords(revision)));
    }

    @GetMapping("/units")
    List<KnownUnit> find(@RequestParam String find) {
        String text = Checked.text("find", find, 60);
        return snapshot.read(() -> store.find(text).stream()
                .map(unit -> new KnownUnit(unit, jobs.ofUnit(unit.id())))
                .toList());
    }

    @GetMapping("/owners")
    List<CheckInStore.OwnerFound> owners(@RequestParam String find) {
        String text = Checked.text("find", find, 120);
        return snapshot.read(() -> store.owners(text));
    }

    @PostMapping("/jobs")
    @ResponseStatus(HttpStatus.CREATED)
    CheckInService.TakenIn takeIn(@Valid @RequestBody CheckInSaid said, Pen pen) {
        CheckInService.Coming coming = new CheckInService.Coming(
                said.unitId(),
                said.serial(),
                said.revisionId(),
                said.ownership(),
                said.ownerId(),
                said.ownerName(),
                said.ownerContact(),
                said.lotId(),
                said.paidMinor(),
                said.slot().filter(slot -> !slot.isBlank()),
                said.due(),
                said.arrival().arrival());
        return pen.once(said, by -> service.takeIn(by, coming), CheckInService.TakenIn::jobId, service::takenIn);
    }

    @PutMapping("/jobs/{job}/arrival")
    JobStore.Job correct(@PathVariable long job, Seen seen, @Valid @RequestBody CorrectionSaid said, Pen pen) {
        CheckInService.Correction correction = new CheckInService.Correction(
                said.serial(),
                said.revisionId(),
                said.slot().filter(slot -> !slot.isBlank()),
                said.due(),
                said.arrival().arrival());
        return pen.once(said, by -> service.correct(by, job, seen, correction), JobStore.Job::id, jobs::job);
    }
}
