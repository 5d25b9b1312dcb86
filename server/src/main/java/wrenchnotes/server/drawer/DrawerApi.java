package wrenchnotes.server.drawer;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.table.Table;

/** The drawers. */
@RestController
@RequestMapping("/api/parts")
@May(Act.PARTS)
public class DrawerApi {

    private final DrawerStore drawers;
    private final DrawerService service;
    private final Snapshot snapshot;

    DrawerApi(DrawerStore drawers, DrawerService service, Snapshot snapshot) {
        this.drawers = drawers;
        this.service = service;
        this.snapshot = snapshot;
    }

    public record PartSaid(
            @NotBlank @Size(max = 12) String drawer,
            @NotBlank @Size(max = 120) String name,
            @Size(max = 200) String what,
            @Min(0) @Max(100_000_000) long eachMinor,
            @Min(0) @Max(9_999) int count) {
        public PartSaid {
            what = what == null ? "" : what.strip();
        }
    }

    public record BookedIn(
            @Min(1) @Max(9_999) int count, @Size(max = 200) String why) {}

    @GetMapping
    List<DrawerStore.Part> parts() {
        return snapshot.read(drawers::parts);
    }

    @GetMapping(
            value = "/table.csv",
            produces = {"text/csv", "text/tab-separated-values"})
    Table table() {
        return new Table(
                "parts",
                List.of("drawer", "part", "what it is", "left", "cost of one"),
                parts().stream()
                        .map(part -> Table.row(
                                part.drawer(),
                                part.name(),
                                part.what(),
                                part.count(),
                                new Table.MinorUnits(part.eachMinor())))
                        .toList());
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    DrawerStore.Part add(@Valid @RequestBody PartSaid said, Pen pen) {
        return pen.once(
                said,
                by -> service.add(
                        by,
                        Checked.text("drawer", said.drawer(), 120),
                        Checked.text("name", said.name(), 120),
                        said.what(),
                        said.eachMinor(),
                        said.count()),
                DrawerStore.Part::id,
                drawers::part);
    }

    /** Changes what is said of a part; its count changes only by booking in and taking. */
    @PutMapping("/{part}")
    DrawerStore.Part change(@PathVariable long part, Seen seen, @Valid @RequestBody PartSaid said, Pen pen) {
        return pen.once(
                said,
                by -> service.change(
                        by,
                        part,
                        seen,
                        Checked.text("drawer", said.drawer(), 120),
                        Checked.text("name", said.name(), 120),
                        said.what(),
                        said.eachMinor()),
                DrawerStore.Part::id,
                drawers::part);
    }

    @PostMapping("/{part}/stock")
    DrawerStore.Part bookIn(@PathVariable long part, @Valid @RequestBody BookedIn said, Pen pen) {
        String why = said.why() == null || said.why().isBlank()
                ? "booked in"
                : said.why().strip();
        return pen.once(said, by -> service.bookIn(by, part, said.count(), why), DrawerStore.Part::id, drawers::part);
    }
}
