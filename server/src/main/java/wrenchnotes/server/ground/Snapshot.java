package wrenchnotes.server.ground;

import java.util.function.Supplier;
import org.springframework.transaction.support.TransactionTemplate;

/** Reads that belong together, from one moment of the database. */
public final class Snapshot {

    private final TransactionTemplate reading;

    Snapshot(TransactionTemplate reading) {
        this.reading = reading;
    }

    public <T> T read(Supplier<T> work) {
        return reading.execute(status -> work.get());
    }
}
