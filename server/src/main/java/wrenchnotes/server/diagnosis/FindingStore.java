package wrenchnotes.server.diagnosis;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;
import wrenchnotes.core.diagnosis.Cause;
import wrenchnotes.core.diagnosis.Change;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Sql;

/** Findings; a corrected one is struck and stays. */
@Component
public class FindingStore {

    /**
     * What was wrong.
     *
     * @param proof what proved it; empty if nobody said
     * @param earlierJob the last earlier stay of this unit in which this component was a fault: this one is a comeback
     */
    public record FaultFound(
            long componentId,
            String component,
            String wrong,
            Optional<Means> proof,
            Optional<Cause> cause,
            boolean causeConfirmed,
            Optional<Long> earlierJob) {}

    /**
     * What was done about it.
     *
     * @param failed whether the remedy changed nothing
     * @param changes which symptoms went, stayed or came with the remedy
     */
    public record RemedyDone(
            Remedy remedy,
            Optional<Long> partId,
            Optional<String> part,
            int partCount,
            long costMinor,
            boolean failed,
            List<Change.After> changes) {}

    /** @param struckWhy why it was struck; empty if it stands */
    public record FindingRow(
            long id,
            long jobId,
            FaultFound fault,
            RemedyDone done,
            String remark,
            Instant at,
            String by,
            Optional<String> struckWhy) {

        public String words() {
            return fault.component + ", " + fault.wrong + ": "
                    + done.remedy.words()
                    + done.part
                            .map(name -> " (" + done.partCount + " × " + name + ")")
                            .orElse("");
        }

        public boolean stands() {
            return struckWhy.isEmpty();
        }
    }

    record NewFinding(
            long component,
            long fault,
            Remedy remedy,
            Optional<Long> part,
            int partCount,
            long costMinor,
            String remark,
            Optional<Means> proof,
            Optional<Cause> cause,
            boolean causeConfirmed,
            Optional<Long> corrects) {}

    private static final String FINDING = """
            SELECT finding.id, finding.job_id, finding.component_id, component.name AS component, fault.wrong, remedy,
                   part_id, part.name AS part, part_count, cost_minor, remark, finding.at, person.name AS by, struck_why,
                   proof, cause, cause_confirmed, failed,
                   (SELECT json_group_array(json_object('symptom', COALESCE(word.name, said.name), 'change', change))
                    FROM finding_symptom
                    JOIN symptom AS said ON said.id = symptom_id
                    LEFT JOIN symptom AS word ON word.id = said.merged_into
                    WHERE finding_id = finding.id) AS changes,
                   (SELECT earlier.job_id
                    FROM finding AS earlier JOIN job AS stay ON stay.id = earlier.job_id
                    WHERE earlier.unit_id = finding.unit_id AND earlier.component_id = finding.component_id
                      AND earlier.struck_at IS NULL
                      AND (stay.checked_in_at, stay.id) < (SELECT checked_in_at, id FROM job WHERE id = finding.job_id)
                    ORDER BY stay.checked_in_at DESC, stay.id DESC
                    LIMIT 1) AS earlier_job
            FROM finding
            JOIN component ON component.id = finding.component_id
            JOIN fault ON fault.id = fault_id
            JOIN person ON person.id = finding.by
            LEFT JOIN part ON part.id = part_id
            """;

    private static final TypeReference<List<Change.After>> CHANGES = new TypeReference<>() {};

    private final JdbcClient jdbc;
    private final JsonMapper json;

    FindingStore(JdbcClient jdbc, JsonMapper json) {
        this.jdbc = jdbc;
        this.json = json;
    }

    public List<FindingRow> ofJob(long job) {
        return jdbc.sql(FINDING + "WHERE finding.job_id = :job ORDER BY finding.id")
                .param("job", job)
                .query((row, n) -> finding(row))
                .list();
    }

    FindingRow finding(long id) {
        return jdbc.sql(FINDING + "WHERE finding.id = :id")
                .param("id", id)
                .query((row, n) -> finding(row))
                .optional()
                .orElseThrow(() -> new NotFound("There is no finding " + id));
    }

    private FindingRow finding(java.sql.ResultSet row) throws java.sql.SQLException {
        return new FindingRow(
                row.getLong("id"),
                row.getLong("job_id"),
                new FaultFound(
                        row.getLong("component_id"),
                        row.getString("component"),
                        row.getString("wrong"),
                        Optional.ofNullable(row.getString("proof")).map(Means::valueOf),
                        Optional.ofNullable(row.getString("cause")).map(Cause::valueOf),
                        row.getBoolean("cause_confirmed"),
                        Sql.id(row, "earlier_job")),
                new RemedyDone(
                        Remedy.valueOf(row.getString("remedy")),
                        Sql.id(row, "part_id"),
                        Optional.ofNullable(row.getString("part")),
                        row.getInt("part_count"),
                        row.getLong("cost_minor"),
                        row.getBoolean("failed"),
                        json.readValue(row.getString("changes"), CHANGES)),
                row.getString("remark"),
                Sql.instant(row, "at"),
                row.getString("by"),
                Optional.ofNullable(row.getString("struck_why")));
    }

    long add(By by, Job job, NewFinding finding) {
        return Sql.inserted(jdbc.sql("""
                                INSERT INTO finding (job_id, unit_id, revision_id, component_id, fault_id, remedy,
                                                     part_id, part_count, cost_minor, remark, proof, cause, cause_confirmed, moment, at, by,
                                                     corrects)
                                VALUES (:job, :unit, :revision, :component, :fault, :remedy,
                                        :part, :partCount, :cost, :remark, :proof, :cause, :confirmed, :moment, :at, :by, :corrects)
                                """)
                .param("job", job.id())
                .param("unit", job.unitId())
                .param("revision", job.revisionId())
                .param("component", finding.component())
                .param("fault", finding.fault())
                .param("remedy", finding.remedy().name())
                .param("part", finding.part().orElse(null))
                .param("partCount", finding.partCount())
                .param("cost", finding.costMinor())
                .param("remark", finding.remark())
                .param("proof", finding.proof().map(Enum::name).orElse(null))
                .param("cause", finding.cause().map(Enum::name).orElse(null))
                .param("confirmed", finding.causeConfirmed() ? 1 : 0)
                .param("moment", by.moment().number())
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .param("corrects", finding.corrects().orElse(null)));
    }

    /** @param symptoms ids of the symptoms of the changes, in their order */
    void after(long id, boolean failed, List<Change.After> changes, List<Long> symptoms) {
        jdbc.sql("UPDATE finding SET failed = :failed WHERE id = :id")
                .param("failed", failed ? 1 : 0)
                .param("id", id)
                .update();
        jdbc.sql("DELETE FROM finding_symptom WHERE finding_id = :id")
                .param("id", id)
                .update();
        for (int at = 0; at < changes.size(); at++) {
            jdbc.sql("INSERT OR REPLACE INTO finding_symptom VALUES (:id, :symptom, :change)")
                    .param("id", id)
                    .param("symptom", symptoms.get(at))
                    .param("change", changes.get(at).change().name())
                    .update();
        }
    }

    void strike(By by, long id, String why) {
        jdbc.sql("UPDATE finding SET struck_at = :at, struck_by = :by, struck_why = :why WHERE id = :id")
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .param("why", why)
                .param("id", id)
                .update();
    }
}
