package wrenchnotes.server.pattern;

import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.diagnosis.history.Comeback;
import wrenchnotes.core.unit.Tag;
import wrenchnotes.server.ground.Sql;

/** What is at fault now, and what things are called. */
@Component
public class PatternStore {

    private final JdbcClient jdbc;

    PatternStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    record FaultName(long fault, String component, String wrong, long modelId, String model) {}

    /** A thing that one can narrow by. */
    public record NarrowBy(long id, String name) {}

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

    Map<Long, FaultName> faultNames(Collection<Long> faults) {
        Map<Long, FaultName> names = new HashMap<>();
        jdbc.sql("""
                        SELECT fault.id, component.name AS component, wrong, model.id AS model_id,
                               model.maker || ' ' || model.name AS model
                        FROM fault
                        JOIN component ON component.id = component_id
                        JOIN model ON model.id = component.model_id
                        WHERE fault.id IN (SELECT value FROM json_each(:faults))
                        """).param("faults", List.copyOf(faults).toString()).query(row -> {
            names.put(
                    row.getLong("id"),
                    new FaultName(
                            row.getLong("id"),
                            row.getString("component"),
                            row.getString("wrong"),
                            row.getLong("model_id"),
                            row.getString("model")));
        });
        return names;
    }

    Map<Long, String> revisionNames() {
        return called("SELECT id, " + Sql.REVISION_SHOWN + " AS name FROM revision");
    }

    /** What the model of a revision is called. */
    String modelOf(long revision) {
        return jdbc.sql(
                        "SELECT TRIM(maker || ' ' || model.name) FROM revision JOIN model ON model.id = model_id WHERE revision.id = :id")
                .param("id", revision)
                .query(String.class)
                .single();
    }

    Map<Long, String> suppliers() {
        return called("SELECT id, name FROM supplier");
    }

    private Map<Long, String> called(String sql) {
        Map<Long, String> names = new HashMap<>();
        jdbc.sql(sql).query(row -> {
            names.put(row.getLong("id"), row.getString("name"));
        });
        return names;
    }

    List<NarrowBy> models() {
        return list("""
                SELECT id, TRIM(maker || ' ' || name) AS name FROM model
                WHERE EXISTS (SELECT 1 FROM component JOIN fault ON component_id = component.id WHERE model_id = model.id)
                ORDER BY name
                """);
    }

    List<NarrowBy> suppliersWithParts() {
        return list("""
                SELECT id, name FROM supplier
                WHERE id IN (SELECT supplier_id FROM part_movement WHERE supplier_id IS NOT NULL)
                ORDER BY name
                """);
    }

    private List<NarrowBy> list(String sql) {
        return jdbc.sql(sql)
                .query((row, n) -> new NarrowBy(row.getLong("id"), row.getString("name")))
                .list();
    }

    List<String> components() {
        return jdbc.sql("""
                        SELECT DISTINCT LOWER(name) AS name FROM component
                        WHERE EXISTS (SELECT 1 FROM fault WHERE component_id = component.id)
                        ORDER BY name
                        LIMIT 2000
                        """).query(String.class).list();
    }

    /** Empty if there is none of that number. */
    List<String> owner(long id) {
        return jdbc.sql("SELECT name FROM owner WHERE id = :id")
                .param("id", id)
                .query(String.class)
                .list();
    }

    /** A closed job of a list. */
    record JobNamed(long id, String tag, Instant handedOver) {}

    Map<Long, JobNamed> jobs(Collection<Long> ids) {
        Map<Long, JobNamed> jobs = new HashMap<>();
        jdbc.sql("""
                        SELECT job.id, tag, handed_over_at FROM job JOIN unit ON unit.id = unit_id
                        WHERE job.id IN (SELECT value FROM json_each(:ids))
                        """).param("ids", List.copyOf(ids).toString()).query(row -> {
            jobs.put(
                    row.getLong("id"),
                    new JobNamed(
                            row.getLong("id"), Tag.of(row.getInt("tag")).text(), Sql.instant(row, "handed_over_at")));
        });
        return jobs;
    }
}
