package wrenchnotes.server.team;

import io.github.bucket4j.Bucket;
import java.time.Clock;
import java.time.Duration;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.support.TransactionTemplate;
import wrenchnotes.server.ground.DoorKind;
import wrenchnotes.server.ground.SignedIn;

/** Writes down what happens at the shop's door, for a lead to read. A shop that cannot write still lets its people in. */
@Component
class DoorStore {

    private static final Logger LOG = LoggerFactory.getLogger(DoorStore.class);
    /** So many a minute are written down: whoever knocks without end must not fill the disk. */
    private static final int A_MINUTE = 120;

    private final Bucket lines = Bucket.builder()
            .addLimit(limit -> limit.capacity(A_MINUTE).refillGreedy(A_MINUTE, Duration.ofMinutes(1)))
            .build();

    private final JdbcClient jdbc;
    private final TransactionTemplate writing;
    private final Clock clock;

    DoorStore(JdbcClient jdbc, PlatformTransactionManager transactions, Clock clock) {
        this.jdbc = jdbc;
        this.writing = new TransactionTemplate(transactions);
        this.clock = clock;
    }

    /**
     * @param who as whom, if that is known; a name that is nobody's is not kept, since it may be a password in the wrong field
     * @param words what it was about; may be empty
     */
    void wrote(DoorKind kind, Optional<SignedIn> who, String address, String words) {
        if (!lines.tryConsume(1)) {
            return;
        }
        try {
            writing.executeWithoutResult(status -> jdbc.sql("""
                            INSERT INTO door_line (at, kind, person_id, address, words)
                            VALUES (:at, :kind, :person, :address, :words)
                            """)
                    .param("at", clock.instant().toEpochMilli())
                    .param("kind", kind.name())
                    .param("person", who.map(SignedIn::id).orElse(null))
                    .param("address", address)
                    .param("words", words)
                    .update());
        } catch (DataAccessException | TransactionException e) {
            LOG.warn("What happened at the door could not be written down: {} from {}", kind, address);
        }
    }
}
