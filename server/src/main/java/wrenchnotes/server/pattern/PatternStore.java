package wrenchnotes.server.pattern;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.pattern.ClosedJob;
import wrenchnotes.core.pattern.Comeback;

/** What the patterns are counted of. Only jobs that were handed over count: what is still open may turn out otherwise. */
@Component
public class PatternStore {

    private static final String JOBS = """
            SELECT id, unit_id, revision_id, ownership, checked_in_at, handed_over_at, handed_over_moment
            FROM job
            WHERE handed_over_moment > :after
            ORDER BY handed_over_moment, id
            """;

    private static final String FINDINGS = """
            SELECT job_id, finding.revision_id, fault_id, component_id, remedy
            FROM job JOIN finding ON finding.job_id = job.id
            WHERE handed_over_moment > :after AND struck_at IS NULL
            ORDER BY finding.id
            """;

    private final JdbcClient jdbc;

    PatternStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    record FaultName(long fault, String component, String wrong, long modelId, String model) {}

    record RevisionName(long revision, String name) {}

    /** The moment of the last handover; 0 before the first. */
    long lastHandover() {
        return jdbc.sql("SELECT COALESCE(MAX(handed_over_moment), 0) FROM job WHERE handed_over_moment IS NOT NULL")
                .query(Long.class)
                .single();
    }

    /** Jobs closed after a moment, in the order in which they were closed. */
    List<ClosedJob> closedAfter(long moment) {
        Map<Long, List<ClosedJob.FoundFault>> found = new HashMap<>();
        jdbc.sql(FINDINGS).param("after", moment).query(row -> {
            found.computeIfAbsent(row.getLong("job_id"), id -> new ArrayList<>(2))
                    .add(new ClosedJob.FoundFault(
                            row.getLong("revision_id"),
                            row.getLong("fault_id"),
                            row.getLong("component_id"),
                            Remedy.valueOf(row.getString("remedy"))));
        });
        return jdbc.sql(JOBS)
                .param("after", moment)
                .query((row, n) -> new ClosedJob(
                        row.getLong("id"),
                        row.getLong("unit_id"),
                        row.getLong("revision_id"),
                        Ownership.valueOf(row.getString("ownership")),
                        row.getLong("checked_in_at"),
                        row.getLong("handed_over_at"),
                        found.getOrDefault(row.getLong("id"), List.of())))
                .list();
    }

    /** What was found in units that are here now. */
    List<Comeback.AtFault> openFaults() {
        return jdbc.sql("""
                        SELECT job.unit_id, component_id, checked_in_at, job.id
                        FROM job JOIN finding ON finding.job_id = job.id
                        WHERE handed_over_at IS NULL AND struck_at IS NULL
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
        return jdbc.sql("SELECT id, name FROM revision")
                .query((row, n) -> new RevisionName(row.getLong("id"), row.getString("name")))
                .list();
    }
}
