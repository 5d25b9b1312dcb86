package wrenchnotes.server.pattern;

import java.time.Clock;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.server.ground.Snapshot;

/** A month of the shop on one page. */
@RestController
class MonthApi {

    private final MonthService months;
    private final Snapshot snapshot;
    private final Clock clock;

    MonthApi(MonthService months, Snapshot snapshot, Clock clock) {
        this.months = months;
        this.snapshot = snapshot;
        this.clock = clock;
    }

    /** @param month such as 2026-10; the last one that is over if left out */
    @GetMapping("/api/patterns/month")
    MonthService.MonthSeen month(@RequestParam(defaultValue = "") String month) {
        return snapshot.read(() -> months.seen(month, clock.instant()));
    }
}
