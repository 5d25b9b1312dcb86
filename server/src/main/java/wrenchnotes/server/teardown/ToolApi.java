package wrenchnotes.server.teardown;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.teardown.Tool;
import wrenchnotes.server.ground.Snapshot;

/** The tools that the notes of this shop name. */
@RestController
@RequestMapping("/api/tools")
class ToolApi {

    private final NotesStore notes;
    private final Snapshot snapshot;

    ToolApi(NotesStore notes, Snapshot snapshot) {
        this.notes = notes;
        this.snapshot = snapshot;
    }

    /** @param called name and traits together, as a step writes it @param steps in how many steps it is taken up */
    public record ToolView(String called, Tool tool, long steps) {}

    /** Those of most steps first. */
    @GetMapping
    List<ToolView> tools() {
        Map<Tool, Long> used = snapshot.read(() -> notes.newestOfAll().stream()
                .flatMap(version -> version.teardown().steps().stream())
                .flatMap(step -> step.doing().tools().stream())
                .collect(Collectors.groupingBy(Function.identity(), Collectors.counting())));
        return used.entrySet().stream()
                .map(one -> new ToolView(one.getKey().called(), one.getKey(), one.getValue()))
                .sorted(Comparator.comparingLong(ToolView::steps).reversed().thenComparing(ToolView::called))
                .toList();
    }
}
