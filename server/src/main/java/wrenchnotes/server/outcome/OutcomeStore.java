package wrenchnotes.server.outcome;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.diagnosis.Change;
import wrenchnotes.core.outcome.Outcome;
import wrenchnotes.core.outcome.OutcomeGiven;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Sql;

/** Outcomes as they were given; the last one stands, earlier ones stay on record. */
@Component
public class OutcomeStore {

    public record OutcomeRow(long id, OutcomeGiven given, String by) {}

    private static final String OUTCOME = """
            SELECT outcome_entry.id, outcome, remark, moment, at, person.name AS by
            FROM outcome_entry JOIN person ON person.id = outcome_entry.by
            """;

    private final JdbcClient jdbc;

    OutcomeStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Newest first. */
    /** Symptoms that stayed or came, by what was said last of each. */
    List<String> stillThere(long job) {
        return jdbc
                .sql("""
                        SELECT symptom.name, change, MAX(finding.id)
                        FROM finding
                        JOIN finding_symptom ON finding_symptom.finding_id = finding.id
                        JOIN symptom ON symptom.id = finding_symptom.symptom_id
                        WHERE job_id = :job AND struck_at IS NULL
                        GROUP BY symptom.id
                        ORDER BY symptom.name
                        """)
                .param("job", job)
                .query((row, n) -> Map.entry(row.getString("name"), Change.valueOf(row.getString("change"))))
                .list()
                .stream()
                .filter(one -> one.getValue() != Change.WENT)
                .map(Map.Entry::getKey)
                .toList();
    }

    public List<OutcomeRow> ofJob(long job) {
        return jdbc.sql(OUTCOME + "WHERE job_id = :job ORDER BY moment DESC, outcome_entry.id DESC")
                .param("job", job)
                .query((row, n) -> outcome(row))
                .list();
    }

    /** @throws NotFound if there is none */
    OutcomeRow outcome(long id) {
        return jdbc.sql(OUTCOME + "WHERE outcome_entry.id = :id")
                .param("id", id)
                .query((row, n) -> outcome(row))
                .optional()
                .orElseThrow(() -> new NotFound("There is no outcome " + id));
    }

    private static OutcomeRow outcome(ResultSet row) throws SQLException {
        return new OutcomeRow(
                row.getLong("id"),
                new OutcomeGiven(Outcome.valueOf(row.getString("outcome")), row.getString("remark"), Sql.moment(row)),
                row.getString("by"));
    }

    long add(By by, long job, OutcomeGiven given) {
        return Sql.inserted(jdbc.sql("""
                                INSERT INTO outcome_entry (job_id, outcome, remark, moment, at, by)
                                VALUES (:job, :outcome, :remark, :moment, :at, :by)
                                """)
                .param("job", job)
                .param("outcome", given.outcome().name())
                .param("remark", given.remark())
                .param("moment", given.at().number())
                .param("at", given.at().at().toEpochMilli())
                .param("by", by.person()));
    }
}
