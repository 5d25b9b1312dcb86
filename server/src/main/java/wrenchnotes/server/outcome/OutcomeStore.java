package wrenchnotes.server.outcome;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.outcome.Outcome;
import wrenchnotes.core.outcome.OutcomeGiven;
import wrenchnotes.server.ground.By;
import wrenchnotes.server.ground.Sql;

/** Outcomes as they were given; the last one stands, earlier ones stay on record. */
@Component
public class OutcomeStore {

    public record OutcomeRow(long id, OutcomeGiven given, String by) {}

    private final JdbcClient jdbc;

    OutcomeStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Newest first. */
    public List<OutcomeRow> ofJob(long job) {
        return jdbc.sql("""
                        SELECT outcome_entry.id, outcome, remark, at, person.name AS by
                        FROM outcome_entry JOIN person ON person.id = outcome_entry.by
                        WHERE job_id = :job
                        ORDER BY outcome_entry.id DESC
                        """)
                .param("job", job)
                .query((row, n) -> new OutcomeRow(
                        row.getLong("id"),
                        new OutcomeGiven(
                                Outcome.valueOf(row.getString("outcome")),
                                row.getString("remark"),
                                Sql.instant(row, "at")),
                        row.getString("by")))
                .list();
    }

    long add(By by, long job, OutcomeGiven given) {
        return Sql.inserted(jdbc.sql("""
                                INSERT INTO outcome_entry (job_id, outcome, remark, at, by)
                                VALUES (:job, :outcome, :remark, :at, :by)
                                """)
                .param("job", job)
                .param("outcome", given.outcome().name())
                .param("remark", given.remark())
                .param("at", given.at().toEpochMilli())
                .param("by", by.person()));
    }
}
