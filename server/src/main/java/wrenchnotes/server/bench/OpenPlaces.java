package wrenchnotes.server.bench;

import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.ScrewMatch;
import wrenchnotes.server.ground.Snapshot;

/** The open places of the unit on a bench, for a screw in hand. */
@Component
public class OpenPlaces {

    private final Benches benches;
    private final Snapshot snapshot;

    OpenPlaces(Benches benches, Snapshot snapshot) {
        this.benches = benches;
        this.snapshot = snapshot;
    }

    public ScrewMatch.Answer of(long job, ScrewMatch.Known known) {
        return snapshot.read(
                () -> ScrewMatch.rank(known, benches.state(job).run().ledger()));
    }
}
