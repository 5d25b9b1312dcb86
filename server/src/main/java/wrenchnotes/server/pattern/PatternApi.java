package wrenchnotes.server.pattern;

import java.time.Clock;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.recurring.FaultOn;
import wrenchnotes.core.recurring.PickedFault;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.shop.TheShop;

/** Recurring failures, as closely as one looks. */
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

    @GetMapping("/api/patterns")
    PatternService.Patterns patterns(PatternAsked asked) {
        return snapshot.read(() -> patterns.patterns(asked, span(asked)));
    }

    /** One fault of a revision: how long what was done about it lasts. */
    @GetMapping("/api/patterns/picked")
    PickedFault picked(@RequestParam long on, @RequestParam long fault, PatternAsked asked) {
        return snapshot.read(() -> patterns.picked(new FaultOn(on, fault), asked, span(asked)));
    }

    /** The jobs that had it. */
    @GetMapping("/api/patterns/jobs")
    PatternService.JobsBehind behind(@RequestParam long on, @RequestParam long fault, PatternAsked asked) {
        return snapshot.read(() -> patterns.behind(new FaultOn(on, fault), asked, span(asked)));
    }

    /** What one can narrow by. */
    @GetMapping("/api/patterns/choices")
    PatternService.Choices choices() {
        return snapshot.read(patterns::choices);
    }

    private PatternAsked.Span span(PatternAsked asked) {
        return asked.span(clock.instant().atZone(shop.now().zoneId()));
    }
}
