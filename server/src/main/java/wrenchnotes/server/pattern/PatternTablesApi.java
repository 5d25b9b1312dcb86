package wrenchnotes.server.pattern;

import java.time.Clock;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.recurring.FaultCount.RemedyCount;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.shop.TheShop;
import wrenchnotes.server.table.Table;

/** Recurring failures as tables that leave the shop. */
@RestController
public class PatternTablesApi {

    private static final int ALL = Integer.MAX_VALUE;

    private final PatternService patterns;
    private final RepairsStore repairs;
    private final Snapshot snapshot;
    private final TheShop shop;
    private final Clock clock;

    PatternTablesApi(PatternService patterns, RepairsStore repairs, Snapshot snapshot, TheShop shop, Clock clock) {
        this.patterns = patterns;
        this.repairs = repairs;
        this.snapshot = snapshot;
        this.shop = shop;
        this.clock = clock;
    }

    @GetMapping(
            value = "/api/patterns/table.csv",
            produces = {"text/csv", "text/tab-separated-values"})
    Table table(PatternAsked asked) {
        PatternAsked.Span span = asked.span(clock.instant().atZone(shop.now().zoneId()));
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
                        "done",
                        "changed nothing",
                        "rising",
                        "q"),
                snapshot.read(() -> patterns.patterns(asked, span, ALL)).faults().stream()
                        .map(fault -> Table.row(
                                fault.model(),
                                fault.revision(),
                                fault.component(),
                                fault.wrong(),
                                fault.share().count(),
                                fault.share().outOf(),
                                fault.customer(),
                                fault.resale(),
                                fault.cameBack(),
                                fault.remedies().stream()
                                        .mapToInt(RemedyCount::done)
                                        .sum(),
                                fault.remedies().stream()
                                        .mapToInt(RemedyCount::failed)
                                        .sum(),
                                fault.rising() ? "yes" : "",
                                fault.q()))
                        .toList());
    }

    /** Each finished repair in the columns of open repair data (docs/formats.md), without anything personal. */
    @GetMapping(
            value = "/api/patterns/repairs.csv",
            produces = {"text/csv", "text/tab-separated-values"})
    Table repairs() {
        return new Table(
                "repairs",
                RepairsStore.COLUMNS,
                snapshot.read(() -> repairs.all(shop.now().zoneId())));
    }
}
