package wrenchnotes.server.drawer;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
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
import wrenchnotes.core.drawer.kind.PartSpec;
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

    /** @param spec left out: it is read off name and label @param care left out: as it was */
    public record PartWords(
            @NotBlank @Size(max = 12) String drawer,
            @NotBlank @Size(max = 120) String name,
            @Size(max = 200) String what,
            @Min(0) @Max(100_000_000) long eachMinor,
            @Min(0) @Max(9_999) int count,
            Optional<PartSpec> spec,
            Optional<@Valid PartCare> care) {
        public PartWords {
            what = what == null ? "" : what.strip();
            spec = spec == null ? Optional.empty() : spec;
            care = care == null ? Optional.empty() : care;
        }

        PartSaid said(PartCare before) {
            return new PartSaid(
                    Checked.text("drawer", drawer, 120),
                    Checked.text("name", name, 120),
                    what,
                    eachMinor,
                    spec,
                    care.orElse(before));
        }
    }

    /** @param why "two were split", "found behind the drawer" */
    public record PartCounted(
            @Min(0) @Max(99_999) int count,
            @NotBlank @Size(max = 200) String why) {}

    public record BookedIn(
            @Min(1) @Max(9_999) int count, @Size(max = 200) String why) {}

    /** By drawer and name. @param from how many go before the first; who wants one by what it is, asks for what is found */
    @GetMapping
    List<DrawerStore.Part> parts(
            @RequestParam(defaultValue = "0") @Min(0) @Max(10_000_000) int from,
            @RequestParam(defaultValue = "500") @Min(1) @Max(500) int most) {
        return snapshot.read(() -> drawers.parts(from, most));
    }

    @GetMapping(
            value = "/table.csv",
            produces = {"text/csv", "text/tab-separated-values"})
    Table table() {
        return new Table(
                "parts",
                List.of(
                        "drawer",
                        "part",
                        "what it is",
                        "kind",
                        "as read",
                        "left",
                        "promised",
                        "cost of one",
                        "supplier's number",
                        "pack",
                        "least",
                        "place"),
                snapshot.read(drawers::parts).stream()
                        .map(part -> Table.row(
                                part.drawer(),
                                part.name(),
                                part.what(),
                                part.spec().map(spec -> spec.kind().words()),
                                part.told(),
                                part.count(),
                                part.promised(),
                                new Table.MinorUnits(part.eachMinor()),
                                part.care().supplierNumber(),
                                part.care().pack(),
                                part.care().minimum(),
                                part.care().place()))
                        .toList());
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    DrawerStore.Part add(@Valid @RequestBody PartWords said, Pen pen) {
        return pen.once(
                said,
                by -> service.add(by, said.said(PartCare.NONE), said.count()),
                DrawerStore.Part::id,
                drawers::part);
    }

    /** Changes what is said of a part; its count changes only by booking in, taking and counting. */
    @PutMapping("/{part}")
    DrawerStore.Part change(@PathVariable long part, Seen seen, @Valid @RequestBody PartWords said, Pen pen) {
        return pen.once(
                said,
                by -> service.change(
                        by, part, seen, said.said(drawers.part(part).care())),
                DrawerStore.Part::id,
                drawers::part);
    }

    /** The drawer was counted, and the book was wrong. */
    @PostMapping("/{part}/count")
    DrawerStore.Part count(@PathVariable long part, @Valid @RequestBody PartCounted said, Pen pen) {
        return pen.once(
                said,
                by -> service.counted(by, part, said.count(), said.why().strip()),
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
