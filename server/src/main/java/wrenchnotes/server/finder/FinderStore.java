package wrenchnotes.server.finder;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.unit.Tag;
import wrenchnotes.server.ground.Sql;

/**
 * Finds by words, each sort of thing in an index of its own, which triggers keep in step with what it tells of (V20). An index is read from its end, so that
 * the newest come first and the size of the shop matters little; what is shown comes from the rooms.
 */
@Component
public class FinderStore {

    private static final int SHORT = 160;

    /**
     * Something that was found, and where it leads: to a job, a model and revision, or the drawer of a part.
     *
     * @param title "drawer belt: slack"
     * @param words more of it; may be empty
     * @param tag of the unit
     * @param here whether that unit is in the shop
     */
    public record Found(
            long id,
            String title,
            String words,
            Optional<String> tag,
            Optional<Long> jobId,
            Optional<Long> modelId,
            Optional<Long> revisionId,
            Optional<Instant> at,
            boolean here) {}

    private static final String UNIT = """
            SELECT job.id, model.maker || ' ' || model.name || ' ' || %s AS title,
                   trim(iif(unit.serial = '', '', unit.serial || ' · ') || iif(owner.id IS NULL, '', owner.name || ' · ')
                            || iif(complaint = '', '', complaint || ' · ') || iif(condition_words = '', '', condition_words || ' · ')
                            || COALESCE((SELECT group_concat(name, ', ') FROM belonging WHERE job_id = job.id), ''), ' ·') AS words,
                   unit.tag, job.id AS job_id, NULL AS model_id, NULL AS revision_id, checked_in_at AS at, handed_over_at IS NULL AS here
            """.formatted(Sql.REVISION_SHOWN);

    private static final String UNIT_JOINS = """
            JOIN unit ON unit.id = job.unit_id
            JOIN revision ON revision.id = job.revision_id
            JOIN model ON model.id = revision.model_id
            LEFT JOIN owner ON owner.id = job.owner_id
            """;

    private static final String OF_JOB = """
            unit.tag, job.id AS job_id, NULL AS model_id, NULL AS revision_id, handed_over_at IS NULL AS here
            """;

    private static final String JOB_JOINS = """
            JOIN job ON job.id = %s.job_id
            JOIN unit ON unit.id = job.unit_id
            """;

    private static final String BY_TAG =
            UNIT + "FROM job\n" + UNIT_JOINS + "WHERE unit.tag = :tag ORDER BY job.id DESC LIMIT :most";

    /** By what is found; all of them answer the same columns. */
    private static final Map<FoundKind, String> BY_WORDS = queries();

    private static Map<FoundKind, String> queries() {
        Map<FoundKind, String> queries = new LinkedHashMap<>();
        queries.put(
                FoundKind.UNIT,
                UNIT + "FROM find_job JOIN job ON job.id = find_job.rowid\n" + UNIT_JOINS + where("find_job"));
        queries.put(
                FoundKind.FINDING,
                "SELECT finding.id, component.name || ': ' || fault.wrong AS title, model.maker || ' ' || model.name || iif(finding.remark = '', '', ' · ' || finding.remark) AS words, finding.at, "
                        + OF_JOB
                        + "FROM find_finding JOIN finding ON finding.id = find_finding.rowid\n"
                        + "JOIN component ON component.id = finding.component_id JOIN fault ON fault.id = fault_id "
                        + "JOIN revision ON revision.id = finding.revision_id JOIN model ON model.id = revision.model_id\n"
                        + JOB_JOINS.formatted("finding") + where("find_finding"));
        queries.put(
                FoundKind.SAID,
                "SELECT entry.id, (SELECT words FROM find_entry_words WHERE id = entry.id) AS title, '' AS words, entry.at, "
                        + OF_JOB + "FROM find_entry JOIN entry ON entry.id = find_entry.rowid\n"
                        + JOB_JOINS.formatted("entry") + where("find_entry"));
        queries.put(
                FoundKind.CHECK,
                "SELECT check_entry.id, what || ': ' || replace(lower(verdict), '_', ' ') AS title, remark AS words, check_entry.at, "
                        + OF_JOB + "FROM find_check JOIN check_entry ON check_entry.id = find_check.rowid\n"
                        + JOB_JOINS.formatted("check_entry") + where("find_check"));
        queries.put(
                FoundKind.READING,
                "SELECT measurement.id, measurement.words AS title, place AS words, measurement.at, " + OF_JOB
                        + "FROM find_reading JOIN measurement ON measurement.id = find_reading.rowid\n"
                        + JOB_JOINS.formatted("measurement") + where("find_reading"));
        queries.put(
                FoundKind.HOLD,
                "SELECT hold.id, why AS title, COALESCE(answer, '') AS words, hold.from_at AS at, " + OF_JOB
                        + "FROM find_hold JOIN hold ON hold.id = find_hold.rowid\n" + JOB_JOINS.formatted("hold")
                        + where("find_hold"));
        queries.put(
                FoundKind.OUTCOME,
                "SELECT outcome_entry.id, (SELECT words FROM find_outcome_words WHERE id = outcome_entry.id) AS title, '' AS words, "
                        + "outcome_entry.at, " + OF_JOB
                        + "FROM find_outcome JOIN outcome_entry ON outcome_entry.id = find_outcome.rowid\n"
                        + JOB_JOINS.formatted("outcome_entry") + where("find_outcome"));
        queries.put(FoundKind.OWNER, """
                SELECT owner.id, owner.name AS title, owner.contact AS words, NULL AS tag,
                       (SELECT MAX(id) FROM job WHERE owner_id = owner.id) AS job_id, NULL AS model_id, NULL AS revision_id, NULL AS at, 0 AS here
                FROM find_owner JOIN owner ON owner.id = find_owner.rowid
                """ + where("find_owner"));
        queries.put(FoundKind.PART, """
                SELECT part.id, part.name AS title, 'drawer ' || drawer || iif(what = '', '', ' · ' || what) AS words, NULL AS tag,
                       NULL AS job_id, NULL AS model_id, NULL AS revision_id, NULL AS at, 0 AS here
                FROM find_part JOIN part ON part.id = find_part.rowid
                """ + where("find_part"));
        queries.put(FoundKind.COMPONENT, """
                SELECT component.id, component.name AS title, model.maker || ' ' || model.name || COALESCE(': ' ||
                           (SELECT group_concat(wrong, ', ') FROM fault WHERE component_id = component.id), '') AS words,
                       NULL AS tag, NULL AS job_id, model_id, NULL AS revision_id, NULL AS at, 0 AS here
                FROM find_component JOIN component ON component.id = find_component.rowid JOIN model ON model.id = model_id
                """ + where("find_component"));
        queries.put(FoundKind.STEP, """
                SELECT revision.id, model.maker || ' ' || model.name || ' ' || revision.name AS title, '' AS words, NULL AS tag,
                       NULL AS job_id, model_id, revision.id AS revision_id, NULL AS at, 0 AS here
                FROM find_step JOIN revision ON revision.id = find_step.rowid JOIN model ON model.id = model_id
                """ + where("find_step"));
        queries.put(FoundKind.MODEL, """
                SELECT model.id, maker || ' ' || name AS title, '' AS words, NULL AS tag, NULL AS job_id, model.id AS model_id,
                       NULL AS revision_id, NULL AS at, 0 AS here
                FROM find_model JOIN model ON model.id = find_model.rowid
                """ + where("find_model"));
        queries.put(FoundKind.PAST, """
                SELECT past_job.id, past_job.model || COALESCE(': ' || component.name || ' ' || fault.wrong, '') AS title, owner AS words,
                       NULL AS tag, NULL AS job_id, component.model_id, NULL AS revision_id, past_job.at, 0 AS here
                FROM find_past
                JOIN past_job ON past_job.id = find_past.rowid
                JOIN brought ON brought.id = brought_id AND state = 'DONE'
                LEFT JOIN component ON component.id = past_job.component_id
                LEFT JOIN fault ON fault.id = past_job.fault_id
                """ + where("find_past"));
        return queries;
    }

    private static String where(String index) {
        return "WHERE " + index + " MATCH :words ORDER BY " + index + ".rowid DESC LIMIT :most";
    }

    private final JdbcClient jdbc;

    FinderStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    List<Found> byTag(Tag tag, int most) {
        return jdbc.sql(BY_TAG)
                .param("tag", tag.number())
                .param("most", most)
                .query((row, n) -> found(row))
                .list();
    }

    /** Newest first. */
    List<Found> byWords(FoundKind kind, SearchWords words, int most) {
        boolean about = kind == FoundKind.FINDING || kind == FoundKind.COMPONENT || kind == FoundKind.STEP;
        return jdbc.sql(BY_WORDS.get(kind))
                .param("words", about ? words.allOfItsOwn() : words.all())
                .param("most", most)
                .query((row, n) -> found(row))
                .list();
    }

    /** A step of the newest notes of a revision, with all that it says. */
    record StepText(String title, String text) {}

    List<StepText> steps(long revision) {
        return jdbc.sql("""
                        SELECT step.value ->> '$.title' AS title,
                               (SELECT group_concat(value, ' ') FROM json_tree(step.value) WHERE type = 'text') AS text
                        FROM (SELECT steps FROM teardown WHERE revision_id = :revision ORDER BY number DESC LIMIT 1) AS notes,
                             json_each(iif(json_type(notes.steps) = 'array', notes.steps, notes.steps ->> '$.steps')) AS step
                        """)
                .param("revision", revision)
                .query((row, n) -> new StepText(row.getString("title"), row.getString("text")))
                .list();
    }

    /** Words of the indexes with no digit in them, and in how many rows each stands. */
    Map<String, Integer> vocabulary() {
        Map<String, Integer> words = new LinkedHashMap<>();
        for (String of : List.of(
                "job",
                "finding",
                "entry",
                "check",
                "reading",
                "hold",
                "outcome",
                "owner",
                "part",
                "component",
                "step",
                "model",
                "past")) {
            jdbc.sql("SELECT term, doc FROM find_" + of
                            + "_vocabulary WHERE length(term) > 3 AND term NOT GLOB '*[0-9]*'")
                    .query(row -> {
                        words.merge(row.getString("term"), row.getInt("doc"), Integer::sum);
                    });
        }
        return words;
    }

    private static Found found(ResultSet row) throws SQLException {
        return new Found(
                row.getLong("id"),
                shortened(row.getString("title")),
                shortened(row.getString("words")),
                Sql.id(row, "tag").map(tag -> Tag.of(tag.intValue()).text()),
                Sql.id(row, "job_id"),
                Sql.id(row, "model_id"),
                Sql.id(row, "revision_id"),
                Sql.when(row, "at"),
                row.getBoolean("here"));
    }

    private static String shortened(String text) {
        String whole = text == null ? "" : text.strip();
        return whole.length() <= SHORT ? whole : whole.substring(0, SHORT - 1) + "…";
    }
}
