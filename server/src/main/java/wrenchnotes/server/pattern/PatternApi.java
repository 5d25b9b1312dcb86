package wrenchnotes.server.pattern;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.OptionalLong;
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
        Instant from =
                clock.instant().atZone(shop.now().zoneId()).minusMonths(months).toInstant();
        return snapshot.read(
                () -> patterns.patterns(from, revision == null ? OptionalLong.empty() : OptionalLong.of(revision)));
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
                        "came back"),
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
                                fault.comebacks()))
                        .toList());
    }
}
