package wrenchnotes.server.money;

import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.money.WarrantyRisk;
import wrenchnotes.core.team.Act;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Takes;

/** What warranties that run may cost, of what is sent and of nothing else. */
@RestController
@May(Act.ASK)
class WarrantyApi {

    @PostMapping("/api/money/warranty")
    @Takes(megabytes = 5)
    WarrantyRisk warranty(@RequestBody WarrantyRisk.WarrantyAsked asked) {
        return WarrantyRisk.of(asked);
    }
}
