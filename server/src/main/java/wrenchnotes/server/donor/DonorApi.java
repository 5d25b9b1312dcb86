package wrenchnotes.server.donor;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.team.Act;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Snapshot;

/** Units that are kept for parts, and where a job gets a part from. */
@RestController
@May(Act.PARTS)
class DonorApi {

    private final Donors donors;
    private final DonorService service;
    private final WhereFrom whereFrom;
    private final Snapshot snapshot;

    DonorApi(Donors donors, DonorService service, WhereFrom whereFrom, Snapshot snapshot) {
        this.donors = donors;
        this.service = service;
        this.whereFrom = whereFrom;
        this.snapshot = snapshot;
    }

    /** The last kept first. */
    @GetMapping("/api/donors")
    List<Donors.DonorRegister> all() {
        return snapshot.read(donors::all);
    }

    @GetMapping("/api/donors/{unit}")
    Donors.DonorRegister one(@PathVariable long unit) {
        return snapshot.read(() -> donors.one(unit));
    }

    /** @param gone nothing of it is left, or it was thrown away: it is listed no more */
    public record DonorSaid(
            @Size(max = 60) String place, @NotNull Boolean gone) {}

    /** Where it stands, or that nothing is left of it. */
    @PostMapping("/api/donors/{unit}/words")
    List<Donors.DonorRegister> say(@PathVariable long unit, @Valid @RequestBody DonorSaid said, Pen pen) {
        pen.once(said, by -> service.say(by, unit, said.place(), said.gone()));
        return all();
    }

    /** @param partId of the drawers, what it is there */
    public record DonorTaken(
            @NotNull Long componentId, @NotNull Long partId) {}

    /** Out of the unit and into a drawer. What goes into another unit at once is told with the finding that it is for. */
    @PostMapping("/api/donors/{unit}/taken")
    @ResponseStatus(HttpStatus.CREATED)
    Donors.DonorRegister take(@PathVariable long unit, @Valid @RequestBody DonorTaken said, Pen pen) {
        pen.once(said, by -> service.intoDrawer(by, unit, said.componentId(), said.partId()));
        return one(unit);
    }

    /** "A lens for this one?": what the drawers have, which donors, and how long an order takes. @param component as it is called */
    @GetMapping("/api/jobs/{job}/sources")
    WhereFrom.Sources sources(@PathVariable long job, @RequestParam @Size(max = 80) String component) {
        return snapshot.read(() -> whereFrom.of(job, component));
    }
}
