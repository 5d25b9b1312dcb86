package wrenchnotes.server.pattern;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.diagnosis.history.Comeback;
import wrenchnotes.server.ground.Sql;

/** What is at fault now, and what things are called. */
@Component
public class PatternStore {

    private final JdbcClient jdbc;

    PatternStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    record FaultName(long fault, String component, String wrong, long modelId, String model) {}

    record RevisionName(long revision, String name) {}

    /** What was found in units that are here now. */
    List<Comeback.AtFault> openFaults() {
        return jdbc.sql("""
                        SELECT job.unit_id, component_id, checked_in_at, job.id
                        FROM job JOIN finding ON finding.job_id = job.id
                        WHERE handed_over_at IS NULL AND struck_at IS NULL AND finding.kind IN ('FAULT', 'OURS')
                        """)
                .query((row, n) -> new Comeback.AtFault(
                        row.getLong("unit_id"),
                        row.getLong("component_id"),
                        row.getLong("checked_in_at"),
                        row.getLong("id")))
                .list();
    }

    List<FaultName> faultNames() {
        return jdbc.sql("""
                        SELECT fault.id, component.name AS component, wrong, model.id AS model_id,
                               model.maker || ' ' || model.name AS model
                        FROM fault
                        JOIN component ON component.id = component_id
                        JOIN model ON model.id = component.model_id
                        """)
                .query((row, n) -> new FaultName(
                        row.getLong("id"),
                        row.getString("component"),
                        row.getString("wrong"),
                        row.getLong("model_id"),
                        row.getString("model")))
                .list();
    }

    List<RevisionName> revisionNames() {
        return jdbc.sql("SELECT id, " + Sql.REVISION_SHOWN + " AS name FROM revision")
                .query((row, n) -> new RevisionName(row.getLong("id"), row.getString("name")))
                .list();
    }
}
