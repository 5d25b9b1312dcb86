package wrenchnotes.server.teardown;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Tag;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Sql;

/** Notes that were written by taking a unit apart, until somebody who decides about notes has looked them over. */
@Component
public class DraftStore {

    private final JdbcClient jdbc;

    DraftStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    record Draft(long id, long revisionId, long jobId, String tag, String by, Instant at) {}

    /** Drafts are few and jobs many: the joins stay in this order. */
    private static final String DRAFT = """
            SELECT draft.id, draft.revision_id, draft.job_id, unit.tag, person.name AS by, draft.at
            FROM draft
            CROSS JOIN job ON job.id = draft.job_id
            CROSS JOIN unit ON unit.id = job.unit_id
            JOIN person ON person.id = draft.by
            """;

    /** Those that nobody has looked over, oldest first. */
    List<Draft> waiting() {
        return jdbc.sql(DRAFT + "WHERE looked_at IS NULL ORDER BY draft.id")
                .query((row, n) -> draft(row))
                .list();
    }

    Draft draft(long id) {
        return jdbc.sql(DRAFT + "WHERE draft.id = :id")
                .param("id", id)
                .query((row, n) -> draft(row))
                .optional()
                .orElseThrow(() -> new NotFound("There is no draft " + id));
    }

    private static Draft draft(ResultSet row) throws SQLException {
        return new Draft(
                row.getLong("id"),
                row.getLong("revision_id"),
                row.getLong("job_id"),
                Tag.of(row.getInt("tag")).text(),
                row.getString("by"),
                Sql.instant(row, "at"));
    }

    /** A job that was offered already is not offered again. */
    void offer(By by, long revision, long job) {
        jdbc.sql("""
                        INSERT INTO draft (revision_id, job_id, at, by) VALUES (:revision, :job, :at, :by)
                        ON CONFLICT (job_id) DO NOTHING
                        """)
                .param("revision", revision)
                .param("job", job)
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .update();
    }

    void looked(By by, long id) {
        jdbc.sql("UPDATE draft SET looked_at = :at, looked_by = :by WHERE id = :id AND looked_at IS NULL")
                .param("id", id)
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .update();
    }
}
