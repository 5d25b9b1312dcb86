package wrenchnotes.server.brought;

import java.util.List;
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
import wrenchnotes.server.brought.BroughtStore.Brought;
import wrenchnotes.server.brought.BroughtStore.State;
import wrenchnotes.server.ground.Snapshot;

/** Takes a list in, in portions: other writers get in between, and whoever stops it, or kills the server, loses nothing. */
@Component
class BroughtRunner {

    private static final Logger LOG = LoggerFactory.getLogger(BroughtRunner.class);
    static final int PORTION = 200;

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

    void go(long id) {
        stopped.remove(id);
        Thread taking = new Thread(() -> take(id), "past jobs");
        taking.setDaemon(true);
        taking.start();
    }

    void stop(long id) {
        stopped.add(id);
    }

    private void take(long id) {
        try {
            Brought brought = snapshot.read(() -> store.brought(id));
            var sheet = snapshot.read(() -> service.sheet(brought));
            Dictionary.Reader reader = snapshot.read(dictionary::reader);
            // What was gone through before it was stopped stays gone through; of what was undone all is there.
            int from = brought.gone() < sheet.size() ? brought.gone() : 0;
            long longest = 0;
            for (int at = from; at < sheet.size(); at += PORTION) {
                if (stopped.remove(id)) {
                    writing.executeWithoutResult(status -> store.is(id, State.STOPPED));
                    return;
                }
                int first = at;
                List<BroughtStore.Taken> portion = snapshot.read(() -> service.portion(sheet, reader, first, PORTION));
                long begun = System.nanoTime();
                writing.executeWithoutResult(
                        status -> store.take(id, Math.min(first + PORTION, sheet.size()), portion));
                longest = Math.max(longest, System.nanoTime() - begun);
                Thread.sleep(2);
            }
            writing.executeWithoutResult(status -> store.is(id, State.DONE));
            LOG.info("Past jobs of list {}: all taken, writers held {} ms at most", id, longest / 1_000_000);
        } catch (DataAccessException | TransactionException e) {
            // Stopped with the server, or the disk is full: what was taken stays, and it can be gone on with.
            LOG.warn("Past jobs of list {} stopped: {}", id, e.getMessage());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
