package wrenchnotes.server.pattern;

import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.pattern.lasts.MeanComebacks;
import wrenchnotes.core.pattern.lasts.SurvivalTold;
import wrenchnotes.core.pattern.rises.Rising;
import wrenchnotes.core.team.Act;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Takes;

/** Figures of what is sent, and of nothing else: for tests, and for whoever has their own records. */
@RestController
@May(Act.ASK)
class PatternFiguresApi {

    /** How long remedies last, side by side. */
    @PostMapping("/api/patterns/survival")
    @Takes(megabytes = 5)
    SurvivalTold survival(@RequestBody SurvivalTold.SurvivalAsked asked) {
        return SurvivalTold.of(asked);
    }

    /** How often units come back on average, however often each did. */
    @PostMapping("/api/patterns/comebacks")
    @Takes(megabytes = 5)
    MeanComebacks comebacks(@RequestBody MeanComebacks.ComebacksAsked asked) {
        return MeanComebacks.of(asked.units());
    }

    /** What is rising, over all rows at once. */
    @PostMapping("/api/patterns/rising")
    @Takes(megabytes = 5)
    Rising rising(@RequestBody Rising.RisingAsked asked) {
        return Rising.of(asked);
    }
}
