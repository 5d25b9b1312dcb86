package wrenchnotes.server.team;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Sql;
import wrenchnotes.server.ground.Stored;

/** What lets scripts in, by the hash of what each of them was given. */
@Component
class TokenStore {

    private static final Duration NOTED_EVERY = Duration.ofHours(1);

    private static final String COLUMNS = """
            SELECT api_token.id, api_token.name, scopes, api_token.made_at, made_by, person.name AS maker, used_at
            FROM api_token JOIN person ON person.id = made_by
            WHERE ended_at IS NULL
            """;

    private final JdbcClient jdbc;

    TokenStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param used when it was last used, to the hour */
    record Row(long id, String name, List<Scope> scopes, Instant at, long by, String maker, Optional<Instant> used) {}

    private static Row row(ResultSet row) throws SQLException {
        return new Row(
                row.getLong("id"),
                row.getString("name"),
                Scope.read(Stored.tree(row.getString("scopes"))),
                Sql.instant(row, "made_at"),
                row.getLong("made_by"),
                row.getString("maker"),
                Sql.when(row, "used_at"));
    }

    /** Newest first. */
    List<Row> all() {
        return jdbc.sql(COLUMNS + "ORDER BY api_token.id DESC")
                .query((row, n) -> row(row))
                .list();
    }

    /** @throws NotFound if there is none of that id, or it is revoked */
    Row token(long id) {
        return jdbc.sql(COLUMNS + "AND api_token.id = :id")
                .param("id", id)
                .query((row, n) -> row(row))
                .optional()
                .orElseThrow(() -> new NotFound("There is no token " + id));
    }

    Optional<Row> byHash(String hash) {
        return jdbc.sql(COLUMNS + "AND token_hash = :hash")
                .param("hash", hash)
                .query((row, n) -> row(row))
                .optional();
    }

    long make(String name, String hash, List<Scope> scopes, long by, Instant at) {
        return Sql.inserted(jdbc.sql("""
                        INSERT INTO api_token (name, token_hash, scopes, made_at, made_by)
                        VALUES (:name, :hash, :scopes, :at, :by)
                        """)
                .param("name", name)
                .param("hash", hash)
                .param("scopes", Scope.written(scopes))
                .param("at", at.toEpochMilli())
                .param("by", by));
    }

    /** Whether it is time to note again that it is used. */
    static boolean toBeNoted(Row token, Instant now) {
        return token.used().map(used -> used.plus(NOTED_EVERY).isBefore(now)).orElse(true);
    }

    void used(long id, Instant at) {
        jdbc.sql("UPDATE api_token SET used_at = :at WHERE id = :id")
                .param("at", at.toEpochMilli())
                .param("id", id)
                .update();
    }

    void end(long id, Instant at) {
        jdbc.sql("UPDATE api_token SET ended_at = :at WHERE id = :id AND ended_at IS NULL")
                .param("at", at.toEpochMilli())
                .param("id", id)
                .update();
    }

    /** All that somebody made. */
    void endOf(long person, Instant at) {
        jdbc.sql("UPDATE api_token SET ended_at = :at WHERE made_by = :person AND ended_at IS NULL")
                .param("at", at.toEpochMilli())
                .param("person", person)
                .update();
    }
}
