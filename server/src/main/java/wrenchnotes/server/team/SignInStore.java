package wrenchnotes.server.team;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.server.ground.Sql;

/** On which browsers somebody is signed in, by the hash of what each of them was given. */
@Component
class SignInStore {

    private static final Duration KEPT = Duration.ofDays(90);

    private final JdbcClient jdbc;
    private final PersonStore people;

    SignInStore(JdbcClient jdbc, PersonStore people) {
        this.jdbc = jdbc;
        this.people = people;
    }

    /** One that is not over. */
    record Open(long id, long person, String name, Instant at, String address) {}

    /** Begins one, and forgets those of the same person that have been over for long. */
    long begin(long person, String tokenHash, String address, Instant at, Instant before) {
        jdbc.sql("UPDATE sign_in SET ended_at = :at WHERE person_id = :person AND ended_at IS NULL AND at < :before")
                .param("at", at.toEpochMilli())
                .param("person", person)
                .param("before", before.toEpochMilli())
                .update();
        jdbc.sql("DELETE FROM sign_in WHERE person_id = :person AND ended_at < :gone")
                .param("person", person)
                .param("gone", at.minus(KEPT).toEpochMilli())
                .update();
        return Sql.inserted(jdbc.sql(
                        "INSERT INTO sign_in (person_id, token_hash, address, at) VALUES (:person, :hash, :address, :at)")
                .param("person", person)
                .param("hash", tokenHash)
                .param("address", address)
                .param("at", at.toEpochMilli()));
    }

    /** Whose it is, unless it is over. */
    Optional<SignIns.Account> account(String tokenHash, Duration lasts) {
        return jdbc.sql("SELECT id, person_id, at FROM sign_in WHERE token_hash = :hash AND ended_at IS NULL")
                .param("hash", tokenHash)
                .query((row, n) -> new SignIns.Account(
                        people.person(row.getLong("person_id")),
                        row.getLong("id"),
                        Sql.instant(row, "at").plus(lasts)))
                .optional();
    }

    /** Whether somebody came in from there before. */
    boolean knows(long person, String address) {
        return jdbc.sql("SELECT EXISTS (SELECT 1 FROM sign_in WHERE person_id = :person AND address = :address)")
                .param("person", person)
                .param("address", address)
                .query(Boolean.class)
                .single();
    }

    private static final String OPEN = """
            SELECT sign_in.id, person_id, person.name, sign_in.at, address
            FROM person JOIN sign_in ON person_id = person.id
            WHERE ended_at IS NULL AND sign_in.at >= :since
            """;

    private static Open open(ResultSet row) throws SQLException {
        return new Open(
                row.getLong("id"),
                row.getLong("person_id"),
                row.getString("name"),
                Sql.instant(row, "at"),
                row.getString("address"));
    }

    /** Those of everybody, newest first. */
    List<Open> all(Instant since) {
        return jdbc.sql(OPEN + "ORDER BY sign_in.at DESC, sign_in.id DESC")
                .param("since", since.toEpochMilli())
                .query((row, n) -> open(row))
                .list();
    }

    /** Those of one, by id. */
    List<Long> of(long person) {
        return jdbc.sql("SELECT id FROM sign_in WHERE person_id = :person AND ended_at IS NULL")
                .param("person", person)
                .query(Long.class)
                .list();
    }

    void end(String tokenHash, Instant at) {
        jdbc.sql("UPDATE sign_in SET ended_at = :at WHERE token_hash = :hash AND ended_at IS NULL")
                .param("at", at.toEpochMilli())
                .param("hash", tokenHash)
                .update();
    }

    void end(List<Long> ids, Instant at) {
        ids.forEach(id -> jdbc.sql("UPDATE sign_in SET ended_at = :at WHERE id = :id AND ended_at IS NULL")
                .param("at", at.toEpochMilli())
                .param("id", id)
                .update());
    }
}
