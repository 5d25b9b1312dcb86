package wrenchnotes.server.diagnosis;

import java.util.concurrent.locks.ReadWriteLock;
import java.util.concurrent.locks.ReentrantReadWriteLock;
import java.util.function.BiFunction;
import java.util.function.Function;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import wrenchnotes.core.diagnosis.history.ClosedBook;
import wrenchnotes.core.diagnosis.history.History;
import wrenchnotes.core.diagnosis.history.Names;
import wrenchnotes.server.ground.Snapshot;

/**
 * Keeps the closed book and what was learned of it: read once after the start, and brought up to date before each question, so that only what
 * was closed since is read. Many may ask at once. docs/decisions/0014-one-rule-one-place.md
 */
@Component
public class Book {

    private static final Logger LOG = LoggerFactory.getLogger(Book.class);

    /** After so many little changes any more. */
    private static final int SWEEPS = 3;

    private final BookStore store;
    private final Snapshot snapshot;
    private final ReadWriteLock lock = new ReentrantReadWriteLock();
    private Past past = new Past(new ClosedBook(), new History(), Names.NONE);
    private BookStore.State upTo = BookStore.State.NOTHING;
    /** Jobs of the book that were learned from. */
    private int learned;

    Book(BookStore store, Snapshot snapshot) {
        this.store = store;
        this.snapshot = snapshot;
    }

    /**
     * What the closed jobs say, and what was learned of them: to be read where it is handed out, and not to be kept.
     *
     * @param names what the numbers of the book stand for
     */
    public record Past(ClosedBook book, History history, Names names) {}

    /** The first question of the day need not wait for all of the past, nor what only counts for what learns. */
    @EventListener(ApplicationReadyEvent.class)
    void beforeAnybodyAsks() {
        Thread reading = new Thread(
                () -> {
                    try {
                        long begin = System.nanoTime();
                        int jobs = snapshot.read(() -> read((closed, names) -> closed.size()));
                        long read = System.nanoTime();
                        snapshot.read(() -> ask(Past::names));
                        LOG.info(
                                "The closed book: {} jobs read in {} ms, learned from in {} ms",
                                jobs,
                                (read - begin) / 1_000_000,
                                (System.nanoTime() - read) / 1_000_000);
                    } catch (DataAccessException | TransactionException e) {
                        // The shop was stopped meanwhile, or the first question meets the same and says so.
                        LOG.debug("Not read ahead: {}", e.getMessage());
                    }
                },
                "closed book");
        reading.setDaemon(true);
        reading.start();
    }

    /** Reads what is on record now; nothing need be learned for it. Runs in the caller's transaction. */
    public <T> T read(BiFunction<ClosedBook, Names, T> question) {
        upToDate(false);
        lock.readLock().lock();
        try {
            return question.apply(past.book(), past.names());
        } finally {
            lock.readLock().unlock();
        }
    }

    /** Asks what is on record now, and what was learned of it. Runs in the caller's transaction. */
    public <T> T ask(Function<Past, T> question) {
        upToDate(true);
        lock.readLock().lock();
        try {
            return question.apply(past);
        } finally {
            lock.readLock().unlock();
        }
    }

    /** Forgets all of it: the next who asks has it read anew. */
    public void forget() {
        lock.writeLock().lock();
        try {
            past = new Past(new ClosedBook(), new History(), Names.NONE);
            upTo = BookStore.State.NOTHING;
            learned = 0;
        } finally {
            lock.writeLock().unlock();
        }
    }

    private void upToDate(boolean learning) {
        BookStore.State now = store.state();
        lock.readLock().lock();
        try {
            if (now.equals(upTo) && (!learning || learned == past.book().size())) {
                return;
            }
        } finally {
            lock.readLock().unlock();
        }
        lock.writeLock().lock();
        try {
            append(now);
            if (learning) {
                learn();
            }
        } finally {
            lock.writeLock().unlock();
        }
    }

    /** Somebody whose view of the shop is older than the book adds nothing, and somebody who came second finds it done. */
    private void append(BookStore.State now) {
        if (now.handover() < upTo.handover() || now.sale() < upTo.sale()) {
            return;
        }
        if (!now.brought().equals(upTo.brought())) {
            // What was long before stands before all of it: read anew.
            past = new Past(new ClosedBook(), new History(), Names.NONE);
            upTo = BookStore.State.NOTHING;
            learned = 0;
            store.broughtIn(past.book()::add);
        }
        if (now.handover() > upTo.handover()) {
            store.closedAfter(upTo.handover(), past.book()::add);
        }
        if (now.sale() > upTo.sale()) {
            store.soldAfter(upTo.sale()).forEach(past.book()::add);
        }
        if (!now.naming().equals(upTo.naming())) {
            Names names = store.names();
            boolean same = past.book().meansTheSame(past.names(), names);
            past = new Past(past.book(), same ? past.history() : new History(), names);
            learned = same ? learned : 0;
        }
        upTo = now;
    }

    /** One step a job; whoever begins from nothing goes through all of it again, since the first were weighed by nothing. */
    private void learn() {
        boolean fromNothing = learned == 0;
        while (learned < past.book().size()) {
            past.book().past(learned++, past.names()).ifPresent(past.history()::learn);
        }
        for (int sweep = 0; fromNothing && sweep < SWEEPS; sweep++) {
            past = new Past(past.book(), past.history().again(past.book().all(past.names())), past.names());
        }
    }
}
