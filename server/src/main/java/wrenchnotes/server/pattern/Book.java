package wrenchnotes.server.pattern;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import wrenchnotes.core.pattern.ClosedBook;
import wrenchnotes.core.pattern.Comeback;
import wrenchnotes.server.ground.Snapshot;

/** Keeps the closed book: read once after the start, and brought up to date before each question. */
@Component
public class Book {

    private static final Logger LOG = LoggerFactory.getLogger(Book.class);

    private final PatternStore store;
    private final Snapshot snapshot;
    private ClosedBook book = new ClosedBook();
    private long upTo;

    Book(PatternStore store, Snapshot snapshot) {
        this.store = store;
        this.snapshot = snapshot;
    }

    /** The first question of the day need not wait for all of the past, nor the first answer for the book. */
    @EventListener(ApplicationReadyEvent.class)
    void beforeAnybodyAsks() {
        Thread reading = new Thread(
                () -> {
                    try {
                        snapshot.read(this::upToDate);
                    } catch (DataAccessException | TransactionException e) {
                        // The shop was stopped meanwhile, or the first question meets the same and says so.
                        LOG.debug("Not read ahead: {}", e.getMessage());
                    }
                },
                "closed book");
        reading.setDaemon(true);
        reading.start();
    }

    /** Reads all of it anew. Runs in the caller's transaction. */
    public synchronized ClosedBook rebuilt() {
        book = new ClosedBook();
        upTo = 0;
        return upToDate();
    }

    private synchronized ClosedBook upToDate() {
        long last = store.lastHandover();
        if (last > upTo) {
            store.closedAfter(upTo).forEach(book::add);
            upTo = last;
        }
        return book;
    }

    /** What was counted. */
    record Counted(Map<Long, Integer> jobs, Map<ClosedBook.Sort, ClosedBook.Count> faults) {}

    /** Runs in the caller's transaction. */
    synchronized Counted count(Instant from, OptionalLong revision) {
        ClosedBook now = upToDate();
        List<Comeback.AtFault> open = store.openFaults();
        long millis = from.toEpochMilli();
        return new Counted(now.jobsByRevision(millis, revision), now.count(millis, revision, open));
    }
}
