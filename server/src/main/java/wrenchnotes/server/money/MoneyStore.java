package wrenchnotes.server.money;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.money.Triage;
import wrenchnotes.core.money.Worth;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.ground.Sql;
import wrenchnotes.server.ground.Stored;

/** Sales, what was paid, what was decided, and which parts remedies usually take. */
@Component
public class MoneyStore {

    /** What was decided; the figures as they stood then are kept beside it in the table. */
    public record TriageRow(Triage way, String why, Instant at, String by) {}

    public record SaleRow(long minor, boolean worked, Instant at, String by) {}

    /** @param used in how many findings of this fault */
    record UsualPart(long partId, String name, String drawer, int count, int used) {}

    private final JdbcClient jdbc;

    MoneyStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    Optional<SaleRow> sale(long job) {
        return jdbc.sql("""
                        SELECT minor, worked, at, person.name AS by
                        FROM sale JOIN person ON person.id = sale.by
                        WHERE job_id = :job
                        ORDER BY sale.id DESC
                        LIMIT 1
                        """)
                .param("job", job)
                .query((row, n) -> new SaleRow(
                        row.getLong("minor"), row.getBoolean("worked"), Sql.instant(row, "at"), row.getString("by")))
                .optional();
    }

    void addSale(By by, long job, long minor, boolean worked) {
        jdbc.sql("INSERT INTO sale (job_id, minor, worked, at, by) VALUES (:job, :minor, :worked, :at, :by)")
                .param("job", job)
                .param("minor", minor)
                .param("worked", worked ? 1 : 0)
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .update();
    }

    Optional<Long> paid(long job) {
        return jdbc
                .sql("SELECT paid_minor FROM job WHERE id = :job AND paid_minor IS NOT NULL")
                .param("job", job)
                .query(Long.class)
                .list()
                .stream()
                .findFirst();
    }

    Optional<TriageRow> triage(long job) {
        return jdbc.sql("""
                        SELECT way, why, at, person.name AS by
                        FROM triage JOIN person ON person.id = triage.by
                        WHERE job_id = :job
                        ORDER BY triage.id DESC
                        LIMIT 1
                        """)
                .param("job", job)
                .query((row, n) -> new TriageRow(
                        Triage.valueOf(row.getString("way")),
                        row.getString("why"),
                        Sql.instant(row, "at"),
                        row.getString("by")))
                .optional();
    }

    void addTriage(By by, long job, Triage way, String why, Worth figures) {
        jdbc.sql("INSERT INTO triage (job_id, way, why, figures, at, by) VALUES (:job, :way, :why, :figures, :at, :by)")
                .param("job", job)
                .param("way", way.name())
                .param("why", why)
                .param("figures", Stored.document(figures))
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .update();
    }

    /** The part that remedies of each fault took most often. */
    List<Map.Entry<Long, UsualPart>> usualParts(List<Long> faults) {
        List<Map.Entry<Long, UsualPart>> parts = new ArrayList<>();
        for (Long fault : faults) {
            jdbc.sql("""
                            SELECT part.id, part.name, drawer, COUNT(*) AS used,
                                   (SELECT COALESCE(SUM(CASE WHEN to_account = 'DRAWER' THEN count ELSE -count END), 0)
                                    FROM part_movement
                                    WHERE part_id = part.id AND 'DRAWER' IN (from_account, to_account)) AS count
                            FROM finding
                            JOIN part_told ON finding_id = finding.id AND back_at IS NULL
                            JOIN part ON part.id = part_id
                            WHERE fault_id = :fault AND struck_at IS NULL
                            GROUP BY part.id
                            ORDER BY COUNT(*) DESC
                            LIMIT 1
                            """)
                    .param("fault", fault)
                    .query((row, n) -> new UsualPart(
                            row.getLong("id"),
                            row.getString("name"),
                            row.getString("drawer"),
                            row.getInt("count"),
                            row.getInt("used")))
                    .optional()
                    .ifPresent(part -> parts.add(Map.entry(fault, part)));
        }
        return parts;
    }
}
