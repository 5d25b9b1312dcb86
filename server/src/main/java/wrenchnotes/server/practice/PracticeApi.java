package wrenchnotes.server.practice;

import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.team.Act;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.practice.PracticeShop.PracticeState;

/** The practice shop: opened beside the shop, and thrown away. */
@RestController
@RequestMapping("/api/practice")
@May(Act.SETTINGS)
class PracticeApi {

    private final PracticeShop practice;

    PracticeApi(PracticeShop practice) {
        this.practice = practice;
    }

    /** @param port on the host that the shop itself is reached at; 0 unless it is open */
    public record PracticeNow(PracticeState state, int port, Optional<String> trouble) {}

    @GetMapping
    PracticeNow now() {
        PracticeShop.Now now = practice.now();
        return new PracticeNow(now.state(), now.port(), now.trouble());
    }

    /** Begins one; that it stands is said by the answer to GET. */
    @PostMapping
    @ResponseStatus(HttpStatus.ACCEPTED)
    PracticeNow open() {
        practice.open();
        return now();
    }

    @DeleteMapping
    PracticeNow throwAway() {
        practice.throwAway();
        return now();
    }
}
