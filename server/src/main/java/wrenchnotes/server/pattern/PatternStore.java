package wrenchnotes.server.pattern;

import java.time.Instant;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.diagnosis.Remedy;

/** Counts for the patterns. Only jobs that were handed over count: what is still open may turn out otherwise. */
@Component
public class PatternStore {

    /** Jobs of each revision. */
    public static final String JOBS = """
            SELECT revision_id, ownership, COUNT(*) AS jobs
            FROM job
            WHERE handed_over_at >= :from AND (:revision IS NULL OR revision_id = :revision)
            GROUP BY revision_id, ownership
            """;

    /**
     * Faults by revision, owner and remedy. A comeback is a later job of the same unit with a fault of the same
     * component. {@code first} marks one finding of each fault in each job, so that a job counts once however many
     * remedies were tried on the fault.
     */
    public static final String FAULTS = """
            SELECT finding.revision_id, finding.fault_id, job.ownership, finding.remedy,
                   COUNT(*) AS findings,
                   SUM(NOT EXISTS (SELECT 1
                                   FROM finding AS twin
                                   WHERE twin.unit_id = finding.unit_id AND twin.component_id = finding.component_id
                                     AND twin.job_id = finding.job_id AND twin.struck_at IS NULL
                                     AND twin.fault_id = finding.fault_id AND twin.id < finding.id)) AS jobs,
                   SUM(EXISTS (SELECT 1
                               FROM finding AS later JOIN job AS stay ON stay.id = later.job_id
                               WHERE later.unit_id = finding.unit_id AND later.component_id = finding.component_id
                                 AND later.job_id <> finding.job_id AND later.struck_at IS NULL
                                 AND (stay.checked_in_at, stay.id) > (job.checked_in_at, job.id))) AS comebacks
            FROM finding JOIN job ON job.id = finding.job_id
            WHERE finding.struck_at IS NULL AND job.handed_over_at >= :from
              AND (:revision IS NULL OR finding.revision_id = :revision)
            GROUP BY finding.revision_id, finding.fault_id, job.ownership, finding.remedy
            """;

    private final JdbcClient jdbc;

    PatternStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    record JobCount(long revision, Ownership ownership, int jobs) {}

    record FaultCount(
            long revision, long fault, Ownership ownership, Remedy remedy, int findings, int jobs, int comebacks) {}

    record FaultName(long fault, String component, String wrong, long modelId, String model) {}

    record RevisionName(long revision, String name) {}

    /** @param revision null for all */
    List<JobCount> jobs(Instant from, Long revision) {
        return jdbc.sql(JOBS)
                .param("from", from.toEpochMilli())
                .param("revision", revision)
                .query((row, n) -> new JobCount(
                        row.getLong("revision_id"), Ownership.valueOf(row.getString("ownership")), row.getInt("jobs")))
                .list();
    }

    List<FaultCount> faults(Instant from, Long revision) {
        return jdbc.sql(FAULTS)
                .param("from", from.toEpochMilli())
                .param("revision", revision)
                .query((row, n) -> new FaultCount(
                        row.getLong("revision_id"),
                        row.getLong("fault_id"),
                        Ownership.valueOf(row.getString("ownership")),
                        Remedy.valueOf(row.getString("remedy")),
                        row.getInt("findings"),
                        row.getInt("jobs"),
                        row.getInt("comebacks")))
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
