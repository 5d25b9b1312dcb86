package wrenchnotes.server.pattern;

import java.time.Clock;
import java.time.Instant;
import java.time.ZonedDateTime;
import java.util.List;
import java.util.OptionalLong;
import java.util.stream.IntStream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.shop.TheShop;
import wrenchnotes.server.table.Table;

/** Recurring failures. */
@RestController
public class PatternApi {

    private final PatternService patterns;
    private final Snapshot snapshot;
    private final TheShop shop;
    private final Clock clock;

    PatternApi(PatternService patterns, Snapshot snapshot, TheShop shop, Clock clock) {
        this.patterns = patterns;
        this.snapshot = snapshot;
        this.shop = shop;
        this.clock = clock;
    }

    /**
     * @param months how far to look back, 1 to 240
     * @param revision only this one; all if left out
     */
    @GetMapping("/api/patterns")
    PatternService.Patterns patterns(
            @RequestParam(defaultValue = "18") int months, @RequestParam(required = false) Long revision) {
        Checked.within("months", months, 1, 240);
        ZonedDateTime now = clock.instant().atZone(shop.now().zoneId());
        // Months that end today, so that the last one is as long as the others.
        List<Instant> starts = IntStream.rangeClosed(1, months)
                .mapToObj(n -> now.minusMonths(months + 1L - n).toInstant())
                .toList();
        return snapshot.read(() -> patterns.patterns(
                starts, now.toInstant(), revision == null ? OptionalLong.empty() : OptionalLong.of(revision)));
    }

    /** One fault of a revision: how long what was done about it lasts. */
    @GetMapping("/api/patterns/picked")
    PickedFault picked(@RequestParam long revision, @RequestParam long fault) {
        return snapshot.read(() -> patterns.picked(revision, fault, clock.instant()));
    }

    @GetMapping(
            value = "/api/patterns/table.csv",
            produces = {"text/csv", "text/tab-separated-values"})
    Table table(@RequestParam(defaultValue = "18") int months, @RequestParam(required = false) Long revision) {
        return new Table(
                "failures",
                List.of(
                        "model",
                        "revision",
                        "component",
                        "what is wrong",
                        "had it",
                        "of jobs",
                        "customers'",
                        "resale",
                        "came back",
                        "rising"),
                patterns(months, revision).faults().stream()
                        .map(fault -> Table.row(
                                fault.model(),
                                fault.revision(),
                                fault.component(),
                                fault.wrong(),
                                fault.share().count(),
                                fault.share().outOf(),
                                fault.customer(),
                                fault.resale(),
                                fault.comebacks(),
                                fault.rising() ? "yes" : ""))
                        .toList());
    }
}
