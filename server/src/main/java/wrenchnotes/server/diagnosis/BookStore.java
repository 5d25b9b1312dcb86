package wrenchnotes.server.diagnosis;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.LongStream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.history.BenchTime;
import wrenchnotes.core.diagnosis.history.ClosedJob;
import wrenchnotes.core.diagnosis.history.Names;
import wrenchnotes.core.diagnosis.history.SoldUnit;
import wrenchnotes.core.diagnosis.history.Where;
import wrenchnotes.core.outcome.Outcome;
import wrenchnotes.core.unit.Kind;

/** What the closed book is made of. Only jobs that were handed over count: what is still open may turn out otherwise. */
@Component
public class BookStore {

    /**
     * As far as what is on record: the book stands while this stays the same.
     *
     * @param handover the moment of the last handover; 0 before the first
     * @param sale the last word on what a unit fetched; 0 before the first
     * @param naming says something else whenever a thing was named, renamed or merged
     */
    record State(long handover, long sale, String naming) {

        static final State NOTHING = new State(0, 0, "");
    }

    /** Names have a version that counts up with each change; words are only added and merged, faults only added. */
    private static final String STATE = """
            SELECT (SELECT COALESCE(MAX(handed_over_moment), 0) FROM job WHERE handed_over_moment IS NOT NULL) AS handover,
                   (SELECT COALESCE(MAX(id), 0) FROM sale) AS sale,
                   (SELECT COALESCE(SUM(version), 0) FROM component) || ' '
                   || (SELECT COALESCE(SUM(version), 0) FROM model) || ' '
                   || (SELECT COALESCE(SUM(version), 0) FROM revision) || ' '
                   || (SELECT COALESCE(MAX(id), 0) FROM fault) || ' '
                   || (SELECT COALESCE(MAX(id), 0) FROM symptom) || ' '
                   || (SELECT COALESCE(SUM(id * 1000003 + merged_into), 0)
                       FROM symptom
                       WHERE merged_into IS NOT NULL) AS naming
            """;

    private static final String JOBS = """
            SELECT id, unit_id, revision_id, ownership, checked_in_at, handed_over_at
            FROM job
            WHERE handed_over_moment > :after
            ORDER BY handed_over_moment, id
            """;

    private static final String FINDINGS = """
            SELECT job_id, finding.revision_id, fault_id, component_id, remedy, failed, COALESCE(cost_minor, 0) AS cost
            FROM job JOIN finding ON finding.job_id = job.id
            WHERE handed_over_moment > :after AND struck_at IS NULL
            ORDER BY finding.id
            """;

    private static final String WORDS = """
            SELECT job_id, symptom_id, present
            FROM job JOIN job_symptom ON job_id = job.id
            WHERE handed_over_moment > :after
            """;

    /** The last word on a job comes last. */
    private static final String OUTCOMES = """
            SELECT job_id, outcome
            FROM job JOIN outcome_entry ON job_id = job.id
            WHERE handed_over_moment > :after
            ORDER BY moment, outcome_entry.id
            """;

    /** Everything that was entered at a bench; in the place of %1$s, of which jobs. */
    private static final String BENCH = """
            SELECT job_id, started_at AS at, 0 AS pause FROM run %1$s
            UNION ALL SELECT job_id, at, 0 FROM step_entry %1$s
            UNION ALL SELECT job_id, at, 0 FROM closing %1$s
            UNION ALL SELECT job_id, at, 0 FROM finding %1$s
            UNION ALL SELECT job_id, at, 0 FROM check_entry %1$s
            UNION ALL SELECT job_id, from_at, 1 FROM pause %1$s
            UNION ALL SELECT job_id, COALESCE(to_at, from_at), 0 FROM pause %1$s
            """;

    private static final String CLOSED_SINCE = "WHERE job_id IN (SELECT id FROM job WHERE handed_over_moment > :after)";

    private final JdbcClient jdbc;

    BookStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    State state() {
        return jdbc.sql(STATE)
                .query((row, n) -> new State(row.getLong("handover"), row.getLong("sale"), row.getString("naming")))
                .single();
    }

    /** Jobs closed after a moment, in the order in which they were closed. */
    List<ClosedJob> closedAfter(long moment) {
        Map<Long, List<ClosedJob.FoundFault>> found = new HashMap<>();
        Map<Long, Long> parts = new HashMap<>();
        jdbc.sql(FINDINGS).param("after", moment).query(row -> {
            parts.merge(row.getLong("job_id"), row.getLong("cost"), Long::sum);
            found.computeIfAbsent(row.getLong("job_id"), id -> new ArrayList<>(2))
                    .add(new ClosedJob.FoundFault(
                            row.getLong("revision_id"),
                            row.getLong("fault_id"),
                            row.getLong("component_id"),
                            Remedy.valueOf(row.getString("remedy")),
                            row.getBoolean("failed")));
        });
        Map<Long, List<ClosedJob.SaidWord>> said = new HashMap<>();
        jdbc.sql(WORDS).param("after", moment).query(row -> {
            said.computeIfAbsent(row.getLong("job_id"), id -> new ArrayList<>(2))
                    .add(new ClosedJob.SaidWord(row.getLong("symptom_id"), row.getBoolean("present")));
        });
        Map<Long, Outcome> outcomes = new HashMap<>();
        jdbc.sql(OUTCOMES).param("after", moment).query(row -> {
            outcomes.put(row.getLong("job_id"), Outcome.valueOf(row.getString("outcome")));
        });
        Map<Long, LongStream.Builder> bench = bench(moment);
        return jdbc.sql(JOBS)
                .param("after", moment)
                .query((row, n) -> {
                    long id = row.getLong("id");
                    return new ClosedJob(
                            id,
                            row.getLong("unit_id"),
                            row.getLong("revision_id"),
                            Ownership.valueOf(row.getString("ownership")),
                            row.getLong("checked_in_at"),
                            row.getLong("handed_over_at"),
                            Optional.ofNullable(outcomes.get(id)),
                            bench.containsKey(id)
                                    ? BenchTime.millis(bench.get(id).build().toArray())
                                    : 0,
                            parts.getOrDefault(id, 0L),
                            found.getOrDefault(id, List.of()),
                            said.getOrDefault(id, List.of()));
                })
                .list();
    }

    private Map<Long, LongStream.Builder> bench(long after) {
        Map<Long, LongStream.Builder> entries = new HashMap<>();
        // For the whole of the past it is quicker to read everything than to ask which.
        JdbcClient.StatementSpec sql = after == 0
                ? jdbc.sql(BENCH.formatted(""))
                : jdbc.sql(BENCH.formatted(CLOSED_SINCE)).param("after", after);
        sql.query(rows -> {
            long job = 0;
            LongStream.Builder its = null;
            while (rows.next()) {
                if (its == null || job != rows.getLong(1)) {
                    job = rows.getLong(1);
                    its = entries.computeIfAbsent(job, id -> LongStream.builder());
                }
                its.add(BenchTime.entry(rows.getLong(2), rows.getBoolean(3)));
            }
            return entries;
        });
        return entries;
    }

    /** What was said after a word on a sale, in the order in which it was said. */
    List<SoldUnit> soldAfter(long sale) {
        return jdbc.sql("""
                        SELECT job_id, revision_id, worked, minor
                        FROM sale JOIN job ON job.id = job_id
                        WHERE sale.id > :after
                        ORDER BY sale.id
                        """)
                .param("after", sale)
                .query((row, n) -> new SoldUnit(
                        row.getLong("job_id"),
                        row.getLong("revision_id"),
                        row.getBoolean("worked"),
                        row.getLong("minor")))
                .list();
    }

    /** What everything is called today. */
    Names names() {
        Map<Long, Where> revisions = new HashMap<>();
        jdbc.sql("SELECT revision.id, model_id, kind FROM revision JOIN model ON model.id = model_id")
                .query(row -> {
                    long id = row.getLong("id");
                    revisions.put(id, new Where(id, row.getLong("model_id"), Kind.valueOf(row.getString("kind"))));
                });
        Map<Long, FaultName> faults = new HashMap<>();
        jdbc.sql(
                        "SELECT fault.id, component.name AS component, wrong FROM fault JOIN component ON component.id = component_id")
                .query(row -> {
                    faults.put(row.getLong("id"), new FaultName(row.getString("component"), row.getString("wrong")));
                });
        Map<Long, String> words = new HashMap<>();
        List<String> spoken = new ArrayList<>();
        jdbc.sql("""
                        SELECT said.id, word.name, said.merged_into IS NULL AS spoken
                        FROM symptom AS said JOIN symptom AS word ON word.id = COALESCE(said.merged_into, said.id)
                        ORDER BY said.id
                        """).query(row -> {
            words.put(row.getLong("id"), row.getString("name"));
            if (row.getBoolean("spoken")) {
                spoken.add(row.getString("name"));
            }
        });
        Map<Long, Set<String>> components = new HashMap<>();
        jdbc.sql("SELECT model_id, name FROM component").query(row -> {
            components
                    .computeIfAbsent(row.getLong("model_id"), id -> new HashSet<>())
                    .add(row.getString("name").toLowerCase(Locale.ROOT));
        });
        return new Names(revisions, faults, words, spoken, components);
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
}
