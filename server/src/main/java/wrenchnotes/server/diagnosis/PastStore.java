package wrenchnotes.server.diagnosis;

import java.time.Instant;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.PastJob;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.Where;
import wrenchnotes.core.outcome.Outcome;
import wrenchnotes.core.unit.Kind;
import wrenchnotes.server.ground.Sql;

/** Closed jobs as the odds learn from them. Once a unit has left, its job does not change any more. */
@Component
public class PastStore {

    /**
     * As far as when jobs were closed, and by which words: what was learned stands while this stays the same.
     *
     * @param upTo the moment of the last handover
     */
    record State(long upTo, long merges) {}

    /** @param job empty if it was given up before anybody looked: that teaches nothing of what was wrong */
    record Closed(long id, long handedOver, Optional<PastJob> job) {}

    private static final String JOBS = """
            SELECT job.id, handed_over_moment, job.revision_id, model_id, model.kind,
                   (SELECT outcome FROM outcome_entry WHERE job_id = job.id ORDER BY moment DESC, id DESC LIMIT 1) AS outcome,
                   (SELECT COALESCE(SUM(cost_minor), 0)
                    FROM finding
                    WHERE job_id = job.id AND struck_at IS NULL) AS parts
            FROM job
            JOIN revision ON revision.id = job.revision_id
            JOIN model ON model.id = model_id
            WHERE handed_over_moment > :from
            ORDER BY handed_over_moment, job.id
            """;

    /** A remedy that changed nothing had the wrong fault. */
    private static final String FAULTS = """
            SELECT finding.job_id, component.name AS component, wrong
            FROM finding
            JOIN fault ON fault.id = fault_id
            JOIN component ON component.id = finding.component_id
            JOIN job ON job.id = finding.job_id
            WHERE handed_over_moment > :from AND struck_at IS NULL AND failed = 0
            """;

    private static final String SYMPTOMS = """
            SELECT job_id, word.name, MAX(present) AS present
            FROM job_symptom
            JOIN job ON job.id = job_id
            JOIN symptom AS said ON said.id = symptom_id
            JOIN symptom AS word ON word.id = COALESCE(said.merged_into, said.id)
            WHERE handed_over_moment > :from
            GROUP BY job_id, word.id
            """;

    /** From one entry of the bench to the next; a gap of more than an hour is another day, and a pause is a pause. */
    private static final String MINUTES = """
            SELECT job_id, SUM(CASE WHEN paused OR gap > 3600000 THEN 0 ELSE gap END) / 60000.0 AS minutes
            FROM (SELECT job_id, at - LAG(at) OVER in_turn AS gap, LAG(pause) OVER in_turn AS paused
                  FROM (SELECT job_id, started_at AS at, 0 AS pause FROM run
                        UNION ALL SELECT job_id, at, 0 FROM step_entry
                        UNION ALL SELECT job_id, at, 0 FROM closing
                        UNION ALL SELECT job_id, at, 0 FROM finding
                        UNION ALL SELECT job_id, at, 0 FROM check_entry
                        UNION ALL SELECT job_id, from_at, 1 FROM pause)
                  WHERE job_id IN (SELECT id FROM job WHERE handed_over_moment > :from)
                  WINDOW in_turn AS (PARTITION BY job_id ORDER BY at, pause))
            GROUP BY job_id
            """;

    private final JdbcClient jdbc;

    PastStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    State state() {
        return jdbc.sql("""
                        SELECT (SELECT COALESCE(MAX(handed_over_moment), 0) FROM job
                                WHERE handed_over_moment IS NOT NULL) AS up_to,
                               (SELECT COALESCE(SUM(id * 1000003 + merged_into), 0)
                                FROM symptom
                                WHERE merged_into IS NOT NULL) AS merges
                        """)
                .query((row, n) -> new State(row.getLong("up_to"), row.getLong("merges")))
                .single();
    }

    /** Jobs closed after a moment, in the order they were closed. */
    List<Closed> since(long moment) {
        Map<Long, Set<FaultName>> faults = new HashMap<>();
        jdbc.sql(FAULTS).param("from", moment).query(row -> {
            faults.computeIfAbsent(row.getLong("job_id"), id -> new HashSet<>())
                    .add(new FaultName(row.getString("component"), row.getString("wrong")));
        });
        Map<Long, Set<String>> present = new HashMap<>();
        Map<Long, Set<String>> absent = new HashMap<>();
        jdbc.sql(SYMPTOMS).param("from", moment).query(row -> {
            (row.getBoolean("present") ? present : absent)
                    .computeIfAbsent(row.getLong("job_id"), id -> new HashSet<>())
                    .add(row.getString("name"));
        });
        Map<Long, Double> minutes = new HashMap<>();
        jdbc.sql(MINUTES).param("from", moment).query(row -> {
            minutes.put(row.getLong("job_id"), row.getDouble("minutes"));
        });
        return jdbc.sql(JOBS)
                .param("from", moment)
                .query((row, n) -> {
                    long id = row.getLong("id");
                    Optional<Outcome> outcome =
                            Optional.ofNullable(row.getString("outcome")).map(Outcome::valueOf);
                    double spent = minutes.getOrDefault(id, 0.0);
                    long parts = row.getLong("parts");
                    Set<FaultName> found = faults.getOrDefault(id, Set.of());
                    boolean lookedAt = !found.isEmpty()
                            || outcome.filter(Outcome.NO_FAULT_FOUND::equals).isPresent();
                    PastJob job = new PastJob(
                            new Where(
                                    row.getLong("revision_id"),
                                    row.getLong("model_id"),
                                    Kind.valueOf(row.getString("kind"))),
                            found,
                            present.getOrDefault(id, Set.of()),
                            absent.getOrDefault(id, Set.of()),
                            outcome.flatMap(Outcome::mended),
                            spent > 0 ? Optional.of(new PastJob.Work(spent, parts)) : Optional.empty());
                    return new Closed(
                            id, row.getLong("handed_over_moment"), lookedAt ? Optional.of(job) : Optional.empty());
                })
                .list();
    }

    Map<Long, Set<String>> componentsByModel() {
        Map<Long, Set<String>> components = new HashMap<>();
        jdbc.sql("SELECT model_id, name FROM component").query(row -> {
            components
                    .computeIfAbsent(row.getLong("model_id"), id -> new HashSet<>())
                    .add(row.getString("name").toLowerCase(java.util.Locale.ROOT));
        });
        return components;
    }

    /** A fault that a model's own words name. */
    record KnownFault(long componentId, long faultId, FaultName name) {}

    List<KnownFault> faultsOf(long model) {
        return jdbc.sql("""
                        SELECT component.id AS component_id, fault.id AS fault_id, component.name AS component, wrong
                        FROM fault JOIN component ON component.id = component_id
                        WHERE model_id = :model
                        """)
                .param("model", model)
                .query((row, n) -> new KnownFault(
                        row.getLong("component_id"),
                        row.getLong("fault_id"),
                        new FaultName(row.getString("component"), row.getString("wrong"))))
                .list();
    }

    /** Every word that stands for itself. */
    List<String> words() {
        return jdbc.sql("SELECT name FROM symptom WHERE merged_into IS NULL ORDER BY id")
                .query(String.class)
                .list();
    }

    /** A fault that was found on an earlier stay of a unit, and what was done about it. */
    public record Earlier(long jobId, FaultName fault, Remedy remedy, Instant at) {}

    List<Earlier> earlier(long unit, long exceptJob) {
        return jdbc.sql("""
                        SELECT finding.job_id, component.name AS component, wrong, remedy, handed_over_at
                        FROM finding
                        JOIN fault ON fault.id = fault_id
                        JOIN component ON component.id = finding.component_id
                        JOIN job ON job.id = finding.job_id
                        WHERE finding.unit_id = :unit AND finding.job_id <> :except AND struck_at IS NULL
                          AND handed_over_at IS NOT NULL
                        ORDER BY handed_over_at DESC
                        """)
                .param("unit", unit)
                .param("except", exceptJob)
                .query((row, n) -> new Earlier(
                        row.getLong("job_id"),
                        new FaultName(row.getString("component"), row.getString("wrong")),
                        Remedy.valueOf(row.getString("remedy")),
                        Sql.instant(row, "handed_over_at")))
                .list();
    }
}
