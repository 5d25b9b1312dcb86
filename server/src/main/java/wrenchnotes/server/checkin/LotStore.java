package wrenchnotes.server.checkin;

import java.time.Instant;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Sql;

/** Crates of units that came from one source on one day, to be sold. */
@Component
public class LotStore {

    /**
     * @param units how many were checked in from it
     * @param undecided of those still here, how many nobody has decided what to do with
     */
    public record Lot(long id, String source, Instant cameAt, int units, int undecided) {}

    private static final String LOT = """
            SELECT lot.id, source, came_at,
                   (SELECT COUNT(*) FROM job WHERE lot_id = lot.id) AS units,
                   (SELECT COUNT(*)
                    FROM job
                    WHERE lot_id = lot.id AND handed_over_at IS NULL
                      AND NOT EXISTS (SELECT 1 FROM triage WHERE triage.job_id = job.id)) AS undecided
            FROM lot
            """;

    private final JdbcClient jdbc;

    LotStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** The latest, newest first. */
    List<Lot> lots() {
        return jdbc.sql(LOT + "ORDER BY came_at DESC, lot.id DESC LIMIT 30")
                .query((row, n) -> lot(row))
                .list();
    }

    public Lot lot(long id) {
        return jdbc.sql(LOT + "WHERE lot.id = :id")
                .param("id", id)
                .query((row, n) -> lot(row))
                .optional()
                .orElseThrow(() -> new NotFound("There is no lot " + id));
    }

    private static Lot lot(java.sql.ResultSet row) throws java.sql.SQLException {
        return new Lot(
                row.getLong("id"),
                row.getString("source"),
                Sql.instant(row, "came_at"),
                row.getInt("units"),
                row.getInt("undecided"));
    }

    boolean has(long id) {
        return jdbc.sql("SELECT EXISTS (SELECT 1 FROM lot WHERE id = :id)")
                .param("id", id)
                .query(Boolean.class)
                .single();
    }

    /** Jobs of a lot in the order they were checked in. */
    public List<Long> jobs(long lot) {
        return jdbc.sql("SELECT id FROM job WHERE lot_id = :lot ORDER BY id")
                .param("lot", lot)
                .query(Long.class)
                .list();
    }

    public long add(By by, String source, Instant cameAt) {
        return Sql.inserted(jdbc.sql("INSERT INTO lot (source, came_at, made_by) VALUES (:source, :came, :by)")
                .param("source", source)
                .param("came", cameAt.toEpochMilli())
                .param("by", by.person()));
    }
}
