package wrenchnotes.server.post;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Sql;

/** Which letters were written, and which of them a mail server took. */
@Component
class LetterStore {

    private static final String LETTER = """
            SELECT letter.id, file, recipient, subject, order_id, letter.at, person.name AS by, sent_at, trouble
            FROM letter JOIN person ON person.id = letter.by
            """;

    private final JdbcClient jdbc;

    LetterStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * @param file its name in the outbox
     * @param sentAt when a mail server took it; empty while it lies in the outbox
     * @param trouble what came of the last try to send it; empty if nothing went wrong
     */
    public record Letter(
            long id,
            String file,
            String recipient,
            String subject,
            Optional<Long> order,
            Instant at,
            String by,
            Optional<Instant> sentAt,
            String trouble) {}

    long add(By by, String file, String recipient, String subject, Optional<Long> order) {
        return Sql.inserted(jdbc.sql("""
                        INSERT INTO letter (file, recipient, subject, order_id, at, by)
                        VALUES (:file, :recipient, :subject, :order, :at, :by)
                        """)
                .param("file", file)
                .param("recipient", recipient)
                .param("subject", subject)
                .param("order", order.orElse(null))
                .param("at", by.at().toEpochMilli())
                .param("by", by.person()));
    }

    /** The newest first. */
    List<Letter> last(int most) {
        return jdbc.sql(LETTER + "ORDER BY letter.id DESC LIMIT :most")
                .param("most", most)
                .query((row, n) -> letter(row))
                .list();
    }

    /** Those that no mail server took, the oldest first. */
    List<Letter> waiting() {
        return jdbc.sql(LETTER + "WHERE sent_at IS NULL ORDER BY letter.id LIMIT 50")
                .query((row, n) -> letter(row))
                .list();
    }

    /** @throws NotFound if there is none */
    Letter letter(long id) {
        return jdbc.sql(LETTER + "WHERE letter.id = :id")
                .param("id", id)
                .query((row, n) -> letter(row))
                .optional()
                .orElseThrow(() -> new NotFound("There is no letter " + id));
    }

    void sent(long id, Instant at) {
        jdbc.sql("UPDATE letter SET sent_at = :at, trouble = '' WHERE id = :id")
                .param("at", at.toEpochMilli())
                .param("id", id)
                .update();
    }

    void trouble(long id, String words) {
        jdbc.sql("UPDATE letter SET trouble = :words WHERE id = :id")
                .param("words", words)
                .param("id", id)
                .update();
    }

    private static Letter letter(ResultSet row) throws SQLException {
        return new Letter(
                row.getLong("id"),
                row.getString("file"),
                row.getString("recipient"),
                row.getString("subject"),
                Sql.id(row, "order_id"),
                Sql.instant(row, "at"),
                row.getString("by"),
                Sql.when(row, "sent_at"),
                row.getString("trouble"));
    }
}
