package wrenchnotes.server.money;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.diagnosis.Where.Level;
import wrenchnotes.core.money.Triage;
import wrenchnotes.core.money.Worth;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Kind;
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

    private static final int LATEST = 200;

    /** Sales of all kinds among which the latest of one kind are looked for. */
    private static final int LOOKED_AT = 4_000;

    private final JdbcClient jdbc;

    MoneyStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** The latest sales of units of the same kind, each with the narrowest thing it has in common. */
    List<Worth.Sale> sales(long revision, long model, Kind kind) {
        return jdbc.sql("""
                        SELECT minor, worked, job.revision_id, model_id, MAX(sale.id)
                        FROM sale
                        JOIN job ON job.id = job_id
                        JOIN revision ON revision.id = job.revision_id
                        JOIN model ON model.id = model_id
                        WHERE model.kind = :kind AND sale.id > (SELECT MAX(id) FROM sale) - :looked
                        GROUP BY job_id
                        ORDER BY MAX(sale.id) DESC
                        LIMIT :latest
                        """)
                .param("kind", kind.name())
                .param("looked", LOOKED_AT)
                .param("latest", LATEST)
                .query((row, n) -> new Worth.Sale(
                        row.getLong("revision_id") == revision
                                ? Level.REVISION
                                : row.getLong("model_id") == model ? Level.MODEL : Level.KIND,
                        row.getBoolean("worked"),
                        row.getLong("minor")))
                .list();
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
                            SELECT part.id, part.name, drawer, part.count, COUNT(*) AS used
                            FROM finding JOIN part ON part.id = part_id
                            WHERE fault_id = :fault AND part_id IS NOT NULL AND struck_at IS NULL
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
