package wrenchnotes.server.check;

import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.check.Check;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Sql;
import wrenchnotes.server.job.FactsStore;

/** Checks as they were entered. */
@Component
public class CheckStore {

    /** @param struckWhy why it was struck; empty if it stands */
    public record CheckRow(long id, long jobId, Check check, String by, Optional<String> struckWhy) {}

    private static final String CHECK = """
            SELECT check_entry.id, job_id, stage, verdict, planned, what, covers_on, powered, load, times, remark, as_remark, moment, at,
                   person.name AS by, struck_why
            FROM check_entry JOIN person ON person.id = check_entry.by
            """;

    private final JdbcClient jdbc;

    CheckStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    public List<CheckRow> ofJob(long job) {
        return jdbc.sql(CHECK + "WHERE job_id = :job ORDER BY check_entry.id")
                .param("job", job)
                .query((row, n) -> check(row))
                .list();
    }

    /** Why something was not tested, of the last four hundred times, most often first. */
    List<String> whyNot() {
        return jdbc.sql("""
                        SELECT remark
                        FROM (SELECT remark FROM check_entry INDEXED BY check_not_tested
                              WHERE verdict = 'NOT_TESTED' AND remark <> '' AND struck_at IS NULL
                              ORDER BY id DESC LIMIT 400)
                        GROUP BY lower(remark)
                        ORDER BY COUNT(*) DESC, remark
                        LIMIT 4
                        """).query(String.class).list();
    }

    CheckRow check(long id) {
        return jdbc.sql(CHECK + "WHERE check_entry.id = :id")
                .param("id", id)
                .query((row, n) -> check(row))
                .optional()
                .orElseThrow(() -> new NotFound("There is no check " + id));
    }

    private static CheckRow check(java.sql.ResultSet row) throws java.sql.SQLException {
        return new CheckRow(
                row.getLong("id"),
                row.getLong("job_id"),
                FactsStore.check(row),
                row.getString("by"),
                Optional.ofNullable(row.getString("struck_why")));
    }

    long add(By by, long job, Check check, Optional<Long> corrects) {
        return Sql.inserted(jdbc.sql("""
                                INSERT INTO check_entry (job_id, stage, verdict, planned, what, covers_on, powered, load, times, remark,
                                                         moment, at, by, corrects)
                                VALUES (:job, :stage, :verdict, :planned, :what, :coversOn, :powered, :load, :times, :remark,
                                        :moment, :at, :by, :corrects)
                                """)
                .param("job", job)
                .param("stage", check.stage().name())
                .param("verdict", check.verdict().name())
                .param("planned", check.planned().orElse(null))
                .param("what", check.what())
                .param("powered", check.powered() ? 1 : 0)
                .param("coversOn", check.coversOn() ? 1 : 0)
                .param("load", check.load())
                .param("times", check.times())
                .param("remark", check.remark())
                .param("moment", check.at().number())
                .param("at", check.at().at().toEpochMilli())
                .param("by", by.person())
                .param("corrects", corrects.orElse(null)));
    }

    void takeAsRemark(By by, long id, String why) {
        jdbc.sql("UPDATE check_entry SET as_remark = :why, as_remark_at = :at, as_remark_by = :by WHERE id = :id")
                .param("why", why)
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .param("id", id)
                .update();
    }

    void strike(By by, long id, String why) {
        jdbc.sql("UPDATE check_entry SET struck_at = :at, struck_by = :by, struck_why = :why WHERE id = :id")
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .param("why", why)
                .param("id", id)
                .update();
    }
}
