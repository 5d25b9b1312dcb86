package wrenchnotes.server.drawer;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.drawer.Recipe;
import wrenchnotes.core.team.Act;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.teardown.ModelStore;

/** What a job took from the drawers and elsewhere. */
@RestController
@May(Act.FIND)
public class JobPartsApi {

    private final UsedUpService service;
    private final PartsOfJob parts;
    private final ShelfOfJob shelf;
    private final ToldStore told;
    private final ModelStore models;
    private final Snapshot snapshot;

    JobPartsApi(
            UsedUpService service,
            PartsOfJob parts,
            ShelfOfJob shelf,
            ToldStore told,
            ModelStore models,
            Snapshot snapshot) {
        this.service = service;
        this.parts = parts;
        this.shelf = shelf;
        this.told = told;
        this.models = models;
        this.snapshot = snapshot;
    }

    /** What is used up beside any finding: agent, resin, grease, paste, a sticker. */
    public record PartUsed(
            @NotNull Long partId, @Min(1) @Max(99) int count) {}

    /** @param amount how many were used the last time; empty if none ever were */
    public record UsualAmount(Optional<Integer> amount) {}

    @PostMapping("/api/jobs/{job}/parts")
    @ResponseStatus(HttpStatus.CREATED)
    List<PartsOfJob.JobPart> use(@PathVariable long job, @Valid @RequestBody PartUsed said, Pen pen) {
        pen.once(said, by -> service.use(by, job, said.partId(), said.count()));
        return snapshot.read(() -> parts.ofJob(job));
    }

    @DeleteMapping("/api/jobs/{job}/parts/{used}")
    List<PartsOfJob.JobPart> putBack(@PathVariable long job, @PathVariable long used, Pen pen) {
        pen.once("put back", by -> service.putBack(by, job, used));
        return snapshot.read(() -> parts.ofJob(job));
    }

    /** Nobody else takes them until they are used or put back. */
    @PostMapping("/api/jobs/{job}/aside")
    @ResponseStatus(HttpStatus.CREATED)
    List<ShelfOfJob.SetAside> setAside(@PathVariable long job, @Valid @RequestBody PartUsed said, Pen pen) {
        pen.once(said, by -> shelf.aside(by, job, said.partId(), said.count()));
        return snapshot.read(() -> shelf.ofJob(job));
    }

    @DeleteMapping("/api/jobs/{job}/aside/{part}")
    List<ShelfOfJob.SetAside> asideBack(@PathVariable long job, @PathVariable long part, Pen pen) {
        pen.once("back in its drawer", by -> shelf.back(by, job, part));
        return snapshot.read(() -> shelf.ofJob(job));
    }

    @GetMapping("/api/parts/{part}/usual-amount")
    UsualAmount usual(@PathVariable long part) {
        return snapshot.read(() -> new UsualAmount(told.usualAmount(part)));
    }

    /** How parts for a component were made before, the last first. @param component as it is called */
    @GetMapping("/api/models/{model}/recipes")
    List<Recipe> recipes(@PathVariable long model, @RequestParam @Size(max = 80) String component) {
        return snapshot.read(() -> models.components(model).stream()
                .filter(one -> one.name().equalsIgnoreCase(component.strip()))
                .findFirst()
                .map(one -> told.recipes(one.id()))
                .orElse(List.of()));
    }
}
