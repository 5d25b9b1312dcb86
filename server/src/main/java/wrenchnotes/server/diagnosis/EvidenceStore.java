package wrenchnotes.server.diagnosis;

import java.time.Instant;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.diagnosis.Overruling;
import wrenchnotes.core.diagnosis.odds.CrossedTries;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Sql;

/** What was seen of a unit's components, how crossed tries went, and where a person overruled the odds. */
@Component
public class EvidenceStore {

    public record LookRow(
            long id,
            long componentId,
            String component,
            boolean good,
            Means means,
            String words,
            Instant at,
            String by) {}

    public record TriesRow(long id, CrossedTries grid, Instant at, String by) {}

    public record OverruledRow(FaultName fault, Overruling word, String why, Instant at, String by) {}

    private final JdbcClient jdbc;

    EvidenceStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Those that stand, oldest first. */
    List<LookRow> looks(long job) {
        return jdbc.sql("""
                        SELECT component_look.id, component_id, component.name AS component, good, means, words, at,
                               person.name AS by
                        FROM component_look
                        JOIN component ON component.id = component_id
                        JOIN person ON person.id = component_look.by
                        WHERE job_id = :job AND struck_at IS NULL
                        ORDER BY component_look.id
                        """)
                .param("job", job)
                .query((row, n) -> new LookRow(
                        row.getLong("id"),
                        row.getLong("component_id"),
                        row.getString("component"),
                        row.getBoolean("good"),
                        Means.valueOf(row.getString("means")),
                        row.getString("words"),
                        Sql.instant(row, "at"),
                        row.getString("by")))
                .list();
    }

    /** Those that stand. */
    List<TriesRow> tries(long job) {
        return jdbc.sql("""
                        SELECT crossed_tries.id, grid, at, person.name AS by
                        FROM crossed_tries JOIN person ON person.id = crossed_tries.by
                        WHERE job_id = :job AND struck_at IS NULL
                        ORDER BY crossed_tries.id
                        """)
                .param("job", job)
                .query((row, n) -> new TriesRow(
                        row.getLong("id"),
                        TriesForm.grid(row.getString("grid")),
                        Sql.instant(row, "at"),
                        row.getString("by")))
                .list();
    }

    long addTries(By by, long job, CrossedTries grid) {
        return Sql.inserted(jdbc.sql("INSERT INTO crossed_tries (job_id, grid, at, by) VALUES (:job, :grid, :at, :by)")
                .param("job", job)
                .param("grid", TriesForm.text(grid))
                .param("at", by.at().toEpochMilli())
                .param("by", by.person()));
    }

    /** An entry that stands: of which job, and the name of whoever made it. */
    record Standing(long job, String by) {}

    Standing standing(Kept what, long id) {
        return jdbc.sql("SELECT job_id, person.name FROM " + what.table + " AS kept JOIN person ON person.id = kept.by"
                        + " WHERE kept.id = :id AND struck_at IS NULL")
                .param("id", id)
                .query((row, n) -> new Standing(row.getLong("job_id"), row.getString("name")))
                .optional()
                .orElseThrow(() -> new NotFound("There is no such entry " + id + ", or it was struck"));
    }

    boolean stands(Kept what, long id) {
        return jdbc.sql("SELECT COUNT(*) FROM " + what.table + " WHERE id = :id AND struck_at IS NULL")
                        .param("id", id)
                        .query(Integer.class)
                        .single()
                > 0;
    }

    void strike(By by, Kept what, long id) {
        jdbc.sql("UPDATE " + what.table + " SET struck_at = :at, struck_by = :by WHERE id = :id")
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .param("id", id)
                .update();
    }

    /** What can be struck. */
    enum Kept {
        LOOK("component_look"),
        TRIES("crossed_tries");

        private final String table;

        Kept(String table) {
            this.table = table;
        }
    }

    /** The last word on each fault, unless it was taken back. */
    List<OverruledRow> overruled(long job) {
        return jdbc.sql("""
                        SELECT component, wrong, word, why, at, person.name AS by, MAX(overruling.id)
                        FROM overruling JOIN person ON person.id = overruling.by
                        WHERE job_id = :job
                        GROUP BY component, wrong
                        HAVING word <> 'AS_COMPUTED'
                        """)
                .param("job", job)
                .query((row, n) -> new OverruledRow(
                        new FaultName(row.getString("component"), row.getString("wrong")),
                        Overruling.valueOf(row.getString("word")),
                        row.getString("why"),
                        Sql.instant(row, "at"),
                        row.getString("by")))
                .list();
    }

    void overrule(By by, long job, FaultName fault, Overruling word, String why) {
        jdbc.sql("""
                        INSERT INTO overruling (job_id, component, wrong, word, why, at, by)
                        VALUES (:job, :component, :wrong, :word, :why, :at, :by)
                        """)
                .param("job", job)
                .param("component", fault.component())
                .param("wrong", fault.wrong())
                .param("word", word.name())
                .param("why", why)
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .update();
    }

    /** @param right of {@code count} closed jobs with a last word, how many turned out as the person said */
    public record OverruledBefore(int count, int right) {}

    /** Whether people who overruled the odds were right: what they put first was found, what they ruled out was not. */
    OverruledBefore overruledBefore() {
        return jdbc.sql("""
                        SELECT COUNT(*) AS count,
                               COALESCE(SUM((word = 'THIS_FIRST')
                                   = EXISTS (SELECT 1
                                             FROM finding
                                             JOIN fault ON fault.id = fault_id
                                             JOIN component ON component.id = finding.component_id
                                             WHERE finding.job_id = last.job_id AND struck_at IS NULL AND failed = 0
                                               AND component.name = last.component AND fault.wrong = last.wrong)), 0) AS right
                        FROM (SELECT overruling.job_id, component, wrong, word, MAX(overruling.id)
                              FROM overruling JOIN job ON job.id = overruling.job_id
                              WHERE handed_over_at IS NOT NULL
                              GROUP BY overruling.job_id, component, wrong
                              HAVING word <> 'AS_COMPUTED') AS last
                        """)
                .query((row, n) -> new OverruledBefore(row.getInt("count"), row.getInt("right")))
                .single();
    }
}
