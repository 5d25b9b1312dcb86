package wrenchnotes.server.brought;

import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.support.TransactionTemplate;
import wrenchnotes.core.brought.Sheet;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.brought.BroughtStore.Brought;
import wrenchnotes.server.brought.BroughtStore.State;
import wrenchnotes.server.ground.AfterCommit;
import wrenchnotes.server.ground.Snapshot;

/** Takes a list in, in portions: other writers get in between, and whoever stops it, or kills the server, loses nothing. */
@Component
class BroughtRunner {

    private static final Logger LOG = LoggerFactory.getLogger(BroughtRunner.class);
    /** Rows of the first portion: each may name something new, and nothing is warm yet. */
    private static final int FIRST_PORTION = 10;

    private static final int LARGEST_PORTION = 100;
    /** So long may a portion hold another writer: the next one has as many rows as would have taken it. */
    private static final long AIM_NANOS = 50_000_000;

    private final BroughtStore store;
    private final BroughtService service;
    private final Dictionary dictionary;
    private final Snapshot snapshot;
    private final TransactionTemplate writing;
    private final Set<Long> stopped = ConcurrentHashMap.newKeySet();

    BroughtRunner(
            BroughtStore store,
            BroughtService service,
            Dictionary dictionary,
            Snapshot snapshot,
            PlatformTransactionManager transactions) {
        this.store = store;
        this.service = service;
        this.dictionary = dictionary;
        this.snapshot = snapshot;
        this.writing = new TransactionTemplate(transactions);
    }

    @EventListener(ApplicationReadyEvent.class)
    void nothingIsGoingAfterAStart() {
        writing.executeWithoutResult(status -> store.stopAll());
    }

    /** Goes as soon as it is on record that it does. @param by whoever began it: what is made for it is theirs */
    void goOnceKept(By by, long id) {
        AfterCommit.run(() -> go(by, id));
    }

    private void go(By by, long id) {
        stopped.remove(id);
        Thread taking = new Thread(() -> take(by, id), "past jobs");
        taking.setDaemon(true);
        taking.start();
    }

    void stop(long id) {
        stopped.add(id);
    }

    private void take(By by, long id) {
        try {
            Brought brought = snapshot.read(() -> store.brought(id));
            Sheet sheet = snapshot.read(() -> service.sheet(brought));
            Dictionary.Reader reader = snapshot.read(() -> dictionary.reader(brought.kind()));
            // What was gone through before it was stopped stays gone through; of what was undone all is there.
            int from = brought.gone() < sheet.size() ? brought.gone() : 0;
            long longest = 0;
            int portion = FIRST_PORTION;
            for (int at = from; at < sheet.size(); ) {
                if (stopped.remove(id)) {
                    writing.executeWithoutResult(status -> store.is(id, State.STOPPED));
                    return;
                }
                int first = at;
                int rows = portion;
                long begun = System.nanoTime();
                writing.executeWithoutResult(status -> service.take(by, id, sheet, reader, first, rows));
                long took = System.nanoTime() - begun;
                longest = Math.max(longest, took);
                at += rows;
                portion = next(rows, took);
                Thread.sleep(2);
            }
            writing.executeWithoutResult(status -> store.is(id, State.DONE));
            LOG.info("Past jobs of list {}: all taken, writers held {} ms at most", id, longest / 1_000_000);
        } catch (RuntimeException e) {
            // Stopped with the server, or the disk is full: what was taken stays, and it can be gone on with.
            LOG.warn("Past jobs of list {} stopped: {}", id, e.getMessage());
            stopIfTheShopIsStillThere(id);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** It grows slowly and shrinks at once. */
    private static int next(int rows, long took) {
        long fits = rows * AIM_NANOS / Math.max(1, took);
        return (int) Math.max(1, Math.min(Math.min(2L * rows, LARGEST_PORTION), fits));
    }

    private void stopIfTheShopIsStillThere(long id) {
        try {
            writing.executeWithoutResult(status -> store.is(id, State.STOPPED));
        } catch (DataAccessException | TransactionException e) {
            LOG.debug("It is said at the next start: {}", e.getMessage());
        }
    }
}
