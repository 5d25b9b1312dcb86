package wrenchnotes.server.bench;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.server.ground.Snapshot;

/** What all benches share. */
@RestController
class BenchesApi {

    private final AtBenchStore at;
    private final ReasonStore reasons;
    private final Snapshot snapshot;

    BenchesApi(AtBenchStore at, ReasonStore reasons, Snapshot snapshot) {
        this.at = at;
        this.reasons = reasons;
        this.snapshot = snapshot;
    }

    /** Which unit lies on which bench, of those that a run is under way on. */
    @GetMapping("/api/benches")
    List<AtBenchStore.LyingAt> benches() {
        return snapshot.read(at::underWay);
    }

    /** Reasons that were given before, the most frequent first. */
    @GetMapping("/api/bench-reasons")
    List<String> reasons(@RequestParam("of") ReasonStore.For of) {
        return snapshot.read(() -> reasons.offered(of));
    }
}
