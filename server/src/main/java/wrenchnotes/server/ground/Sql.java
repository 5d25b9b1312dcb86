package wrenchnotes.server.ground;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import wrenchnotes.core.unit.Moment;

/** How values of the shop stand in columns: times as UTC epoch milliseconds, missing ones as NULL. */
public final class Sql {

    /** What a revision is called beside its model: nothing if the model has no other. */
    public static final String REVISION_SHOWN = """
            CASE WHEN EXISTS (SELECT 1 FROM revision AS sister
                              WHERE sister.model_id = revision.model_id AND sister.id <> revision.id)
                 THEN revision.name ELSE '' END
            """;

    private Sql() {}

    public static Instant instant(ResultSet row, String column) throws SQLException {
        return Instant.ofEpochMilli(row.getLong(column));
    }

    /** The moment of an entry: columns {@code moment} and {@code at}. */
    public static Moment moment(ResultSet row) throws SQLException {
        return moment(row, "moment", "at");
    }

    public static Moment moment(ResultSet row, String number, String at) throws SQLException {
        return new Moment(row.getLong(number), instant(row, at));
    }

    public static Optional<Instant> when(ResultSet row, String column) throws SQLException {
        long millis = row.getLong(column);
        return row.wasNull() ? Optional.empty() : Optional.of(Instant.ofEpochMilli(millis));
    }

    public static Optional<Long> id(ResultSet row, String column) throws SQLException {
        long id = row.getLong(column);
        return row.wasNull() ? Optional.empty() : Optional.of(id);
    }

    public static Long millis(Instant instant) {
        return instant == null ? null : instant.toEpochMilli();
    }

    /** Runs an INSERT and gives the id of its row. */
    public static long inserted(JdbcClient.StatementSpec insert) {
        GeneratedKeyHolder key = new GeneratedKeyHolder();
        insert.update(key);
        return key.getKey().longValue();
    }
}
