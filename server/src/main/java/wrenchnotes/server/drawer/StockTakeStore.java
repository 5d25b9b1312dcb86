package wrenchnotes.server.drawer;

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

/** Drawers counted through. */
@Component
class StockTakeStore {

    private static final String TAKE = """
            SELECT stock_take.id, drawer, stock_take.at, person.name AS by, taken
            FROM stock_take JOIN person ON person.id = stock_take.by
            """;

    private final JdbcClient jdbc;

    StockTakeStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    record Take(long id, String drawer, Instant at, String by, Optional<Boolean> taken) {}

    /** @param booked how many the book said there were at that moment */
    record Counted(long part, int counted, int booked, Instant at) {}

    Optional<Take> open(String drawer) {
        return jdbc.sql(TAKE + "WHERE drawer = :drawer AND ended_at IS NULL")
                .param("drawer", drawer)
                .query((row, n) -> take(row))
                .optional();
    }

    Take take(long id) {
        return jdbc.sql(TAKE + "WHERE stock_take.id = :id")
                .param("id", id)
                .query((row, n) -> take(row))
                .optional()
                .orElseThrow(() -> new NotFound("There is no stock-take " + id));
    }

    private static Take take(ResultSet row) throws SQLException {
        return new Take(
                row.getLong("id"),
                row.getString("drawer"),
                Sql.instant(row, "at"),
                row.getString("by"),
                Sql.id(row, "taken").map(taken -> taken == 1));
    }

    long begin(By by, String drawer) {
        return Sql.inserted(jdbc.sql("INSERT INTO stock_take (drawer, at, by) VALUES (:drawer, :at, :by)")
                .param("drawer", drawer)
                .param("at", by.at().toEpochMilli())
                .param("by", by.person()));
    }

    void count(By by, long take, long part, int counted, int booked) {
        jdbc.sql("""
                        INSERT INTO stock_count (take_id, part_id, counted, booked, at, by)
                        VALUES (:take, :part, :counted, :booked, :at, :by)
                        """)
                .param("take", take)
                .param("part", part)
                .param("counted", counted)
                .param("booked", booked)
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .update();
    }

    /** The last count of each part. */
    List<Counted> counted(long take) {
        return jdbc.sql("""
                        SELECT part_id, counted, booked, at
                        FROM stock_count
                        WHERE id IN (SELECT MAX(id) FROM stock_count WHERE take_id = :take GROUP BY part_id)
                        ORDER BY part_id
                        """)
                .param("take", take)
                .query((row, n) -> new Counted(
                        row.getLong("part_id"), row.getInt("counted"), row.getInt("booked"), Sql.instant(row, "at")))
                .list();
    }

    void end(By by, long take, boolean taken) {
        jdbc.sql("UPDATE stock_take SET ended_at = :at, ended_by = :by, taken = :taken WHERE id = :id")
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .param("taken", taken)
                .param("id", take)
                .update();
    }
}
