package wrenchnotes.server.team;

import java.time.Instant;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** On which browsers somebody is signed in, by the hash of what each of them was given. */
@Component
class SignInStore {

    private final JdbcClient jdbc;

    SignInStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Begins one, and forgets those of the same person that are from before then. */
    void begin(long person, String tokenHash, Instant at, Instant before) {
        jdbc.sql("DELETE FROM sign_in WHERE person_id = :person AND at < :before")
                .param("person", person)
                .param("before", before.toEpochMilli())
                .update();
        jdbc.sql("INSERT INTO sign_in (person_id, token_hash, at) VALUES (:person, :hash, :at)")
                .param("person", person)
                .param("hash", tokenHash)
                .param("at", at.toEpochMilli())
                .update();
    }

    /** Whose it is, unless it began before then or has ended. */
    Optional<String> name(String tokenHash, Instant since) {
        return jdbc.sql("""
                        SELECT person.name FROM sign_in JOIN person ON person.id = sign_in.person_id
                        WHERE token_hash = :hash AND at >= :since
                        """)
                .param("hash", tokenHash)
                .param("since", since.toEpochMilli())
                .query(String.class)
                .optional();
    }

    void end(String tokenHash) {
        jdbc.sql("DELETE FROM sign_in WHERE token_hash = :hash")
                .param("hash", tokenHash)
                .update();
    }
}
