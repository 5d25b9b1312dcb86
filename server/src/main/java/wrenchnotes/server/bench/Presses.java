package wrenchnotes.server.bench;

import java.util.function.Function;
import org.springframework.stereotype.Component;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.ground.Pen;

/** A key press on the bench: it answers with the bench as it then is. */
@Component
class Presses {

    private final BenchService bench;

    Presses(BenchService bench) {
        this.bench = bench;
    }

    BenchView of(long job, Object said, Pen pen, Function<By, BenchState> act) {
        return pen.once(
                said, by -> bench.view(act.apply(by)), view -> view.unit().jobId(), bench::view);
    }
}
