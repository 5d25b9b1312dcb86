package wrenchnotes.server.finder;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Tag;
import wrenchnotes.server.ground.Snapshot;

/** The finder in the strip across the top. */
@RestController
public class FinderApi {

    private static final int MOST = 20;

    private final FinderStore finder;
    private final Snapshot snapshot;

    FinderApi(FinderStore finder, Snapshot snapshot) {
        this.finder = finder;
        this.snapshot = snapshot;
    }

    /** @param more whether there are others beyond these */
    public record FinderView(List<FinderStore.Found> found, boolean more) {}

    @GetMapping("/api/find")
    FinderView find(@RequestParam String q) {
        String text = Checked.optionalText("q", q, 200);
        return snapshot.read(() -> {
            // A scanned or typed tag means that unit, whatever else holds the same digits.
            List<FinderStore.Found> exact =
                    Tag.parse(text).map(tag -> finder.byTag(tag, MOST)).orElse(List.of());
            List<FinderStore.Found> found = exact.isEmpty() ? finder.byWords(text, MOST + 1) : exact;
            return new FinderView(found.stream().limit(MOST).toList(), found.size() > MOST);
        });
    }
}
