package wrenchnotes.server.checkin;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
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
import wrenchnotes.core.checkin.ContactWay;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.job.JobView;
import wrenchnotes.server.job.UnitMarkStore;
import wrenchnotes.server.paper.Papers;

/** The counter. */
@RestController
@RequestMapping("/api")
@May(Act.CHECK_IN)
public class CheckInApi {

    private final CheckInStore store;
    private final CheckInService service;
    private final JobStore jobs;
    private final UnitMarkStore marks;
    private final Papers papers;
    private final Snapshot snapshot;

    CheckInApi(
            CheckInStore store,
            CheckInService service,
            JobStore jobs,
            UnitMarkStore marks,
            Papers papers,
            Snapshot snapshot) {
        this.store = store;
        this.service = service;
        this.jobs = jobs;
        this.marks = marks;
        this.papers = papers;
        this.snapshot = snapshot;
    }

    /** @param unprinted whether slip and tag did not come out: it is in all the same, and they can be printed from its sheet */
    public record CameIn(long jobId, String tag, boolean unprinted) {}

    /** What the counter needs before anything is typed. */
    public record Counter(String nextTag, List<String> freeSlots, List<CheckInStore.SymptomWord> symptoms) {}

    /** A unit seen before, with its stays, newest first, and how it is not as made any more. */
    public record KnownUnit(CheckInStore.Unit unit, List<JobView> stays, List<UnitMarkStore.UnitMark> marks) {}

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
                .map(unit -> new KnownUnit(
                        unit, jobs.ofUnit(unit.id()).stream().map(JobView::of).toList(), marks.of(unit.id())))
                .toList());
    }

    @GetMapping("/owners")
    List<CheckInStore.OwnerFound> owners(@RequestParam String find) {
        String text = Checked.text("find", find, 120);
        return snapshot.read(() -> store.owners(text));
    }

    /** @param contact one way a line */
    public record WaysSaid(@NotNull @Size(max = 800) String contact) {}

    @PutMapping("/owners/{owner}/ways")
    List<ContactWay> reach(@PathVariable long owner, @Valid @RequestBody WaysSaid said, Pen pen) {
        pen.once(said, by -> service.reach(by, owner, said.contact()));
        return ContactWay.of(ContactWay.kept(said.contact()));
    }

    @PostMapping("/jobs")
    @ResponseStatus(HttpStatus.CREATED)
    CameIn takeIn(@Valid @RequestBody CheckInSaid said, Pen pen) {
        CheckInService.TakenIn taken =
                pen.once(said, by -> service.takeIn(by, said), CheckInService.TakenIn::jobId, service::takenIn);
        return new CameIn(taken.jobId(), taken.tag(), !papers.printAll(taken.jobId()));
    }

    @PutMapping("/jobs/{job}/arrival")
    JobView correct(@PathVariable long job, Seen seen, @Valid @RequestBody CorrectionSaid said, Pen pen) {
        return pen.once(
                said,
                by -> JobView.of(service.correct(by, job, seen, said)),
                JobView::id,
                id -> JobView.of(jobs.job(id)));
    }
}
