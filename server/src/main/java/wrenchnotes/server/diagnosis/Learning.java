package wrenchnotes.server.diagnosis;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.History;
import wrenchnotes.core.diagnosis.LikeJob;
import wrenchnotes.core.diagnosis.Rates;
import wrenchnotes.core.diagnosis.Where;
import wrenchnotes.server.ground.Snapshot;

/**
 * What the closed jobs teach, kept in memory and brought up to date before each question: closed jobs do not change, so only those closed
 * since are read. After words were merged everything is learned anew. docs/decisions/0011-odds.md
 */
@Component
public class Learning {

    private static final Logger LOG = LoggerFactory.getLogger(Learning.class);

    private final PastStore past;
    private final Snapshot snapshot;
    private History history = new History();
    private PastStore.State learned = new PastStore.State(0, 0);

    Learning(PastStore past, Snapshot snapshot) {
        this.past = past;
        this.snapshot = snapshot;
    }

    /** What is known of units like one. */
    record Learned(Rates rates, List<LikeJob> work, double success, int ofRevision, int ofModel) {}

    /** The first question of the day need not wait for all of the past. */
    @EventListener(ApplicationReadyEvent.class)
    void beforeAnybodyAsks() {
        Thread reading = new Thread(
                () -> {
                    try {
                        snapshot.read(() -> upToDate());
                    } catch (DataAccessException | TransactionException e) {
                        // The shop was stopped meanwhile, or the first question meets the same and says so.
                        LOG.debug("Not read ahead: {}", e.getMessage());
                    }
                },
                "learning");
        reading.setDaemon(true);
        reading.start();
    }

    /** Runs in the caller's transaction. */
    synchronized Learned of(Where where, Set<FaultName> known, Map<Long, Set<String>> components, List<String> words) {
        History now = upToDate();
        return new Learned(
                now.rates(where, known, components, words),
                now.work(where),
                now.success(where),
                now.jobs(Where.Level.REVISION, where),
                now.jobs(Where.Level.MODEL, where));
    }

    private synchronized History upToDate() {
        PastStore.State state = past.state();
        if (state.equals(learned)) {
            return history;
        }
        if (state.merges() != learned.merges()) {
            history = new History();
            learned = new PastStore.State(0, state.merges());
        }
        past.since(learned.upTo()).forEach(closed -> closed.job().ifPresent(history::learn));
        learned = state;
        return history;
    }
}
