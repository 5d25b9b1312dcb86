package wrenchnotes.server.diagnosis;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import wrenchnotes.core.diagnosis.Cause;
import wrenchnotes.core.diagnosis.Change;
import wrenchnotes.core.diagnosis.FindingKind;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.diagnosis.OldGoes;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.drawer.CameFrom;
import wrenchnotes.core.drawer.Recipe;
import wrenchnotes.core.drawer.Stock;
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
     * Some of a part that went in.
     *
     * @param partId empty if it is of no drawer
     * @param mark what is said of it for good: "second-hand"; empty of a new part like any other
     * @param costMinor its share of what this part cost the job
     * @param donor what it was taken out of, if that is known
     */
    public record PartIn(
            Optional<Long> partId,
            String name,
            int count,
            CameFrom cameFrom,
            String mark,
            long costMinor,
            Optional<Recipe> recipe,
            Optional<FindingApi.OfDonor> donor) {

        String words() {
            return count + " × " + name + (mark.isEmpty() ? "" : ", " + mark);
        }
    }

    /**
     * What was done about it.
     *
     * @param costMinor what the parts cost
     * @param oldGoes where what was replaced went
     * @param failed whether the remedy changed nothing
     * @param changes which symptoms went, stayed or came with the remedy
     */
    public record RemedyDone(
            Remedy remedy,
            List<PartIn> parts,
            long costMinor,
            Optional<OldGoes> oldGoes,
            boolean failed,
            List<Change.After> changes) {}

    /** @param moment the number of its write; @param struckWhy why it was struck; empty if it stands; @param undoneBy what was heard later and shows that it was wrong */
    public record FindingRow(
            long id,
            long jobId,
            long moment,
            FindingKind kind,
            FaultFound fault,
            RemedyDone done,
            String remark,
            Instant at,
            String by,
            Optional<String> struckWhy,
            Optional<String> undoneBy) {

        /** As the job's story tells it. */
        public String words() {
            return said() + (kind.fault() ? "" : ", " + kind.words());
        }

        /** As it is said to the unit's owner, whom its kind does not concern. */
        public String said() {
            return fault.component + ", " + fault.wrong + ": "
                    + done.remedy.words()
                    + (done.parts.isEmpty()
                            ? ""
                            : done.parts.stream().map(PartIn::words).collect(Collectors.joining(", ", " (", ")")));
        }

        public boolean stands() {
            return struckWhy.isEmpty();
        }
    }

    record NewFinding(
            long component,
            long fault,
            Remedy remedy,
            FindingKind kind,
            Optional<OldGoes> oldGoes,
            String remark,
            Optional<Means> proof,
            Optional<Cause> cause,
            boolean causeConfirmed,
            Optional<Long> corrects) {}

    private static final String FINDING = """
            SELECT finding.id, finding.job_id, finding.component_id, component.name AS component, fault.wrong, remedy,
                   finding.kind, old_goes, finding.moment, remark, finding.at, person.name AS by, struck_why,
                   proof, cause, cause_confirmed, failed,
                   (SELECT json_group_array(json_object('symptom', COALESCE(word.name, said.name), 'change', change))
                    FROM finding_symptom
                    JOIN symptom AS said ON said.id = symptom_id
                    LEFT JOIN symptom AS word ON word.id = said.merged_into
                    WHERE finding_id = finding.id) AS changes,
                   (SELECT json_group_array(json_object(
                               'partId', told.part_id, 'name', COALESCE(part.name, told.words), 'count', told.count,
                               'cameFrom', came_from, 'recipe', json(recipe),
                               'donor', donor_unit_id, 'donorPart', donor_component_id,
                               'inAll', (SELECT json_array(SUM(CASE WHEN to_account = 'UNIT' THEN held.count ELSE -held.count END),
                                                           SUM(CASE WHEN to_account = 'UNIT' THEN value_minor ELSE -value_minor END))
                                         FROM part_movement AS held
                                         WHERE held.job_id = finding.job_id AND 'UNIT' IN (from_account, to_account)
                                           AND held.part_id IS told.part_id AND held.words = told.words)))
                    FROM part_told AS told LEFT JOIN part ON part.id = told.part_id
                    WHERE told.finding_id = finding.id) AS parts,
                   (SELECT said ->> 'words'
                    FROM entry
                    WHERE entry.job_id = finding.job_id AND entry.kind = 'LATER_WORD' AND said ->> 'undoes' = finding.id
                      AND NOT EXISTS (SELECT 1 FROM entry AS back WHERE back.takes_back = entry.id)
                    LIMIT 1) AS undone_by,
                   (SELECT earlier.job_id
                    FROM finding AS earlier JOIN job AS stay ON stay.id = earlier.job_id
                    WHERE earlier.unit_id = finding.unit_id AND earlier.component_id = finding.component_id
                      AND earlier.struck_at IS NULL AND earlier.kind = 'FAULT' AND finding.kind IN ('FAULT', 'OURS')
                      AND (stay.checked_in_at, stay.id) < (SELECT checked_in_at, id FROM job WHERE id = finding.job_id)
                    ORDER BY stay.checked_in_at DESC, stay.id DESC
                    LIMIT 1) AS earlier_job
            FROM finding
            JOIN component ON component.id = finding.component_id
            JOIN fault ON fault.id = fault_id
            JOIN person ON person.id = finding.by
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
        boolean stands = row.getString("struck_why") == null;
        List<PartIn> parts = new ArrayList<>();
        json.readTree(row.getString("parts")).forEach(part -> parts.add(part(part, stands)));
        return new FindingRow(
                row.getLong("id"),
                row.getLong("job_id"),
                row.getLong("moment"),
                FindingKind.valueOf(row.getString("kind")),
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
                        parts,
                        parts.stream().mapToLong(PartIn::costMinor).sum(),
                        Optional.ofNullable(row.getString("old_goes")).map(OldGoes::valueOf),
                        row.getBoolean("failed"),
                        json.readValue(row.getString("changes"), CHANGES)),
                row.getString("remark"),
                Sql.instant(row, "at"),
                row.getString("by"),
                Optional.ofNullable(row.getString("struck_why")),
                Optional.ofNullable(row.getString("undone_by")));
    }

    /** What a struck one had is back where it came from: it costs nothing. */
    private PartIn part(JsonNode part, boolean stands) {
        CameFrom from = CameFrom.valueOf(part.get("cameFrom").asString());
        String name = part.get("name").asString();
        int count = part.get("count").asInt();
        Stock inAll = new Stock(
                name, part.get("inAll").get(0).asInt(), part.get("inAll").get(1).asLong());
        return new PartIn(
                Optional.of(part.get("partId")).filter(id -> !id.isNull()).map(JsonNode::asLong),
                name,
                count,
                from,
                from.mark(),
                stands && inAll.count() > 0 ? inAll.costOf(Math.min(count, inAll.count())) : 0,
                Optional.of(part.get("recipe"))
                        .filter(recipe -> !recipe.isNull())
                        .map(recipe -> json.treeToValue(recipe, Recipe.class)),
                part.get("donor").isNull()
                        ? Optional.empty()
                        : Optional.of(new FindingApi.OfDonor(
                                part.get("donor").asLong(),
                                part.get("donorPart").asLong())));
    }

    long add(By by, Job job, NewFinding finding) {
        return Sql.inserted(jdbc.sql("""
                                INSERT INTO finding (job_id, unit_id, revision_id, component_id, fault_id, remedy,
                                                     kind, old_goes, remark, proof, cause, cause_confirmed, moment, at, by,
                                                     corrects)
                                VALUES (:job, :unit, :revision, :component, :fault, :remedy,
                                        :kind, :oldGoes, :remark, :proof, :cause, :confirmed, :moment, :at, :by, :corrects)
                                """)
                .param("job", job.id())
                .param("unit", job.unitId())
                .param("revision", job.revisionId())
                .param("component", finding.component())
                .param("fault", finding.fault())
                .param("remedy", finding.remedy().name())
                .param("kind", finding.kind().name())
                .param("oldGoes", finding.oldGoes().map(Enum::name).orElse(null))
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
