package wrenchnotes.server.post;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.server.drawer.DrawerStore;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.paper.DrawerPapers;

/** Labels for drawers and for the bags in them: what a scanner reads off them opens that drawer, or that part. */
@RestController
class LabelApi {

    private final DrawerStore drawers;
    private final DrawerPapers papers;
    private final Snapshot snapshot;

    LabelApi(DrawerStore drawers, DrawerPapers papers, Snapshot snapshot) {
        this.drawers = drawers;
        this.papers = papers;
        this.snapshot = snapshot;
    }

    /** One for the drawer, and one for each sort of part in it. @param place of the first on a sheet of labels */
    @GetMapping(value = "/api/drawers/labels.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    byte[] drawer(
            @RequestParam @Size(max = 12) String drawer, @RequestParam(defaultValue = "1") @Min(1) @Max(24) int place) {
        List<DrawerStore.Part> parts = snapshot.read(() -> drawers.inDrawers(List.of(drawer)));
        if (parts.isEmpty()) {
            throw new NotFound("Nothing belongs in a drawer " + drawer);
        }
        List<DrawerPapers.LabelSaid> labels = new ArrayList<>();
        List<String> kinds = parts.stream()
                .flatMap(part -> part.spec().stream())
                .map(spec -> spec.kind().words())
                .distinct()
                .toList();
        labels.add(new DrawerPapers.LabelSaid("D:" + drawer, drawer, List.of(String.join(", ", kinds))));
        parts.forEach(part -> labels.add(bag(part)));
        return papers.labels(labels, place);
    }

    @GetMapping(value = "/api/parts/{part}/label.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    byte[] part(@PathVariable long part, @RequestParam(defaultValue = "1") @Min(1) @Max(24) int place) {
        return papers.labels(List.of(bag(snapshot.read(() -> drawers.part(part)))), place);
    }

    private static DrawerPapers.LabelSaid bag(DrawerStore.Part part) {
        String where = "P" + part.id() + ", drawer " + part.drawer()
                + (part.care().place().isEmpty() ? "" : ", " + part.care().place());
        return new DrawerPapers.LabelSaid(
                "P" + part.id(),
                part.name(),
                Stream.of(part.care().temporary() ? "FOR TESTS ONLY" : part.told(), where)
                        .filter(line -> !line.isEmpty())
                        .toList());
    }
}
