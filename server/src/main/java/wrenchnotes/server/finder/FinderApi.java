package wrenchnotes.server.finder;

import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.server.finder.FinderStore.Found;
import wrenchnotes.server.ground.Snapshot;

/** The finder in the strip across the top: what was said, by what it is. */
@RestController
public class FinderApi {

    private final FinderService service;
    private final Snapshot snapshot;

    FinderApi(FinderService service, Snapshot snapshot) {
        this.service = service;
        this.snapshot = snapshot;
    }

    /**
     * What was found of one sort, newest first.
     *
     * @param words what such are called
     * @param more whether there are others beyond these
     */
    public record FoundGroup(FoundKind kind, String words, List<Found> found, boolean more) {}

    /** @param meant what was looked for instead, if nothing begins as it was typed */
    public record FinderView(List<FoundGroup> groups, Optional<String> meant) {}

    @GetMapping("/api/find")
    FinderView find(@RequestParam String q) {
        String text = Checked.optionalText("q", q, 200);
        return snapshot.read(() -> service.find(text));
    }
}
