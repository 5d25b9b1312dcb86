package wrenchnotes.server.diagnosis;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.diagnosis.Change;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.FindingKind;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.history.ClosedJob;
import wrenchnotes.core.diagnosis.history.ComponentWords;
import wrenchnotes.core.diagnosis.history.Names;
import wrenchnotes.core.diagnosis.history.SoldUnit;
import wrenchnotes.core.diagnosis.history.Vocabulary;
import wrenchnotes.core.diagnosis.history.Where;
import wrenchnotes.core.outcome.Outcome;
import wrenchnotes.core.unit.Kind;
import wrenchnotes.server.ground.Stored;

/** What the closed book is made of. Only jobs that were handed over count: what is still open may turn out otherwise. */
@Component
public class BookStore {

    /**
     * As far as what is on record: the book stands while this stays the same.
     *
     * @param handover the moment of the last handover; 0 before the first
     * @param sale the last word on what a unit fetched; 0 before the first
     * @param brought lists of past jobs that are taken in
     * @param naming says something else whenever a thing was named, renamed or merged
     */
    record State(long handover, long sale, String brought, String naming) {

        static final State NOTHING = new State(0, 0, "", "");
    }

    /** Names have a version that counts up with each change; words are only added and merged, faults only added. */
    private static final String STATE = """
            SELECT (SELECT COALESCE(MAX(handed_over_moment), 0) FROM job WHERE handed_over_moment IS NOT NULL) AS handover,
                   (SELECT COALESCE(MAX(id), 0) FROM sale) AS sale,
                   (SELECT COALESCE(GROUP_CONCAT(id, ' '), '') FROM brought WHERE state = 'DONE') AS brought,
                   (SELECT COALESCE(SUM(version), 0) FROM component) || ' '
                   || (SELECT COALESCE(SUM(version), 0) FROM model) || ' '
                   || (SELECT COALESCE(SUM(version), 0) FROM revision) || ' '
                   || (SELECT COALESCE(MAX(id), 0) FROM fault) || ' '
                   || (SELECT COALESCE(MAX(id), 0) FROM symptom) || ' '
                   || (SELECT COALESCE(SUM(id * 1000003 + merged_into), 0)
                       FROM symptom
                       WHERE merged_into IS NOT NULL) || ' '
                   || (SELECT COALESCE(GROUP_CONCAT(said || ' ' || means, ','), '') FROM wrong_word) AS naming
            """;

    private static final String JOBS = """
            SELECT id, unit_id, revision_id, ownership, checked_in_at, handed_over_at, bench_millis, untested, owner_id
            FROM job
            WHERE handed_over_moment > :after
            ORDER BY handed_over_moment, id
            """;

    private static final String FINDINGS = """
            SELECT job_id, revision_id, fault_id, component_id, remedy, failed, kind, id
            FROM finding
            WHERE struck_at IS NULL AND %s
            ORDER BY id
            """;

    /** What a remedy brought is no symptom of what it mended. */
    private static final String CHANGES = """
            SELECT finding_id, symptom_id, change
            FROM finding_symptom JOIN finding ON finding.id = finding_id
            WHERE change <> 'CAME' AND struck_at IS NULL AND %s
            """;

    private static final String PARTS = """
            SELECT job_id,
                   SUM(CASE WHEN to_account IN ('UNIT', 'JOB') THEN value_minor ELSE 0 END)
                   - SUM(CASE WHEN from_account IN ('UNIT', 'JOB') THEN value_minor ELSE 0 END)
            FROM part_movement
            WHERE job_id IS NOT NULL AND %s
            GROUP BY job_id
            """;

    private static final String INSIDE = "SELECT job_id, revision_id FROM fitted WHERE %s";

    private static final String WORDS = "SELECT job_id, symptom_id, present FROM job_symptom WHERE %s";

    /** The last word on a job comes last. */
    private static final String OUTCOMES = "SELECT job_id, outcome FROM outcome_entry WHERE %s ORDER BY moment, id";

    private static final String CLOSED_SINCE = "job_id IN (SELECT id FROM job WHERE handed_over_moment > :after)";

    private final JdbcClient jdbc;
    private final WhosePartsStore whoseParts;

    BookStore(JdbcClient jdbc, WhosePartsStore whoseParts) {
        this.jdbc = jdbc;
        this.whoseParts = whoseParts;
    }

    State state() {
        return jdbc.sql(STATE)
                .query((row, n) -> new State(
                        row.getLong("handover"),
                        row.getLong("sale"),
                        row.getString("brought"),
                        row.getString("naming")))
                .single();
    }

    /** Jobs closed after a moment, in the order in which they were closed. Columns go by number: there are half a million rows. */
    void closedAfter(long moment, Consumer<ClosedJob> told) {
        Map<Long, List<ClosedJob.FoundFault>> found = new HashMap<>();
        Map<Long, Long> whose = whoseParts.of(moment);
        Map<Long, Long> parts = new HashMap<>();
        of(PARTS, moment).query(row -> {
            parts.put(row.getLong(1), row.getLong(2));
        });
        Map<Long, List<ClosedJob.SaidWord>> changed = new HashMap<>();
        of(CHANGES, moment).query(row -> {
            changed.computeIfAbsent(row.getLong(1), id -> new ArrayList<>(2))
                    .add(new ClosedJob.SaidWord(row.getLong(2), Change.valueOf(row.getString(3)) == Change.STAYED));
        });
        of(FINDINGS, moment).query(row -> {
            found.computeIfAbsent(row.getLong(1), id -> new ArrayList<>(2))
                    .add(new ClosedJob.FoundFault(
                            row.getLong(2),
                            row.getLong(3),
                            row.getLong(4),
                            Remedy.valueOf(row.getString(5)),
                            row.getBoolean(6),
                            FindingKind.valueOf(row.getString(7)),
                            whose.getOrDefault(row.getLong(8), ClosedJob.NOBODY),
                            changed.getOrDefault(row.getLong(8), List.of())));
        });
        Map<Long, List<ClosedJob.SaidWord>> said = new HashMap<>();
        of(WORDS, moment).query(row -> {
            said.computeIfAbsent(row.getLong(1), id -> new ArrayList<>(2))
                    .add(new ClosedJob.SaidWord(row.getLong(2), row.getBoolean(3)));
        });
        Map<Long, List<Long>> inside = new HashMap<>();
        of(INSIDE, moment).query(row -> {
            inside.computeIfAbsent(row.getLong(1), id -> new ArrayList<>(1)).add(row.getLong(2));
        });
        Map<Long, Outcome> outcomes = new HashMap<>();
        of(OUTCOMES, moment).query(row -> {
            outcomes.put(row.getLong(1), Outcome.valueOf(row.getString(2)));
        });
        jdbc.sql(JOBS).param("after", moment).query(row -> {
            long id = row.getLong(1);
            told.accept(new ClosedJob(
                    id,
                    row.getLong(2),
                    row.getLong(3),
                    Ownership.valueOf(row.getString(4)),
                    row.getLong(9),
                    row.getLong(5),
                    row.getLong(6),
                    Optional.ofNullable(outcomes.get(id)),
                    row.getBoolean(8),
                    row.getLong(7),
                    parts.getOrDefault(id, 0L),
                    inside.getOrDefault(id, List.of()),
                    found.getOrDefault(id, List.of()),
                    said.getOrDefault(id, List.of())));
        });
    }

    /** Jobs of lists that are taken in, in the order of their days. Nobody knows which unit it was, nor how long was worked on it. */
    void broughtIn(Consumer<ClosedJob> told) {
        jdbc.sql("""
                        SELECT past_job.id, revision_id, past_job.at, cost_minor, outcome, symptoms, component_id, fault_id, remedy
                        FROM past_job JOIN brought ON brought.id = brought_id
                        WHERE state = 'DONE'
                        ORDER BY past_job.at, past_job.id
                        """).query(row -> {
            List<ClosedJob.FoundFault> found = row.getString(9) == null
                    ? List.of()
                    : List.of(new ClosedJob.FoundFault(
                            row.getLong(2),
                            row.getLong(8),
                            row.getLong(7),
                            Remedy.valueOf(row.getString(9)),
                            false,
                            FindingKind.FAULT,
                            List.of()));
            List<ClosedJob.SaidWord> said = new ArrayList<>();
            Stored.tree(row.getString(6))
                    .values()
                    .forEach(word -> said.add(new ClosedJob.SaidWord(word.asLong(), true)));
            told.accept(new ClosedJob(
                    -row.getLong(1),
                    ClosedJob.NO_UNIT,
                    row.getLong(2),
                    Ownership.CUSTOMER,
                    ClosedJob.NOBODY,
                    row.getLong(3),
                    row.getLong(3),
                    Optional.ofNullable(row.getString(5)).map(Outcome::valueOf),
                    false,
                    0,
                    row.getLong(4),
                    List.of(),
                    found,
                    said));
        });
    }

    /** For the whole of the past it is quicker to read everything, open jobs too, than to ask which. */
    private JdbcClient.StatementSpec of(String what, long after) {
        return after == 0
                ? jdbc.sql(what.formatted("TRUE"))
                : jdbc.sql(what.formatted(CLOSED_SINCE)).param("after", after);
    }

    /** What was said after a word on a sale, in the order in which it was said. */
    List<SoldUnit> soldAfter(long sale) {
        return jdbc.sql("""
                        SELECT job_id, revision_id, worked, minor, sale.at
                        FROM sale JOIN job ON job.id = job_id
                        WHERE sale.id > :after
                        ORDER BY sale.id
                        """)
                .param("after", sale)
                .query((row, n) ->
                        new SoldUnit(row.getLong(1), row.getLong(2), row.getBoolean(3), row.getLong(4), row.getLong(5)))
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
        List<ComponentWords.Called> components = jdbc.sql("SELECT id, model_id, name, aliases FROM component")
                .query((row, n) -> new ComponentWords.Called(
                        row.getLong("id"),
                        row.getLong("model_id"),
                        row.getString("name"),
                        Stored.texts(row.getString("aliases"))))
                .list();
        List<Names.SaidFault> faults = jdbc.sql("SELECT id, component_id, wrong FROM fault")
                .query((row, n) ->
                        new Names.SaidFault(row.getLong("id"), row.getLong("component_id"), row.getString("wrong")))
                .list();
        Map<Long, String> words = new HashMap<>();
        List<String> spoken = new ArrayList<>();
        Map<String, String> areas = new HashMap<>();
        jdbc.sql("""
                        SELECT said.id, word.name, word.area, said.merged_into IS NULL AS spoken
                        FROM symptom AS said JOIN symptom AS word ON word.id = COALESCE(said.merged_into, said.id)
                        ORDER BY said.id
                        """).query(row -> {
            words.put(row.getLong("id"), row.getString("name"));
            if (row.getBoolean("spoken")) {
                spoken.add(row.getString("name"));
                areas.put(row.getString("name"), row.getString("area"));
            }
        });
        Map<String, String> wrongs = new HashMap<>();
        jdbc.sql("SELECT said, means FROM wrong_word").query(row -> {
            wrongs.put(row.getString("said"), row.getString("means"));
        });
        return Names.of(revisions, components, faults, words, new Vocabulary(spoken, areas), wrongs);
    }

    /** A fault that a model's own words name; what was only ever upkeep or a remark is none. */
    record KnownFault(long componentId, long faultId, FaultName name) {}

    List<KnownFault> faultsOf(long model) {
        return jdbc.sql("""
                        SELECT component.id AS component_id, fault.id AS fault_id, component.name AS component, wrong
                        FROM fault JOIN component ON component.id = component_id
                        WHERE model_id = :model
                          AND (NOT EXISTS (SELECT 1 FROM finding WHERE fault_id = fault.id AND struck_at IS NULL)
                                   AND NOT EXISTS (SELECT 1 FROM past_job WHERE fault_id = fault.id)
                               OR EXISTS (SELECT 1 FROM past_job JOIN brought ON brought.id = brought_id
                                          WHERE fault_id = fault.id AND state = 'DONE')
                               OR EXISTS (SELECT 1 FROM finding
                                          WHERE fault_id = fault.id AND struck_at IS NULL AND finding.kind IN ('FAULT', 'OURS')))
                        """)
                .param("model", model)
                .query((row, n) -> new KnownFault(
                        row.getLong("component_id"),
                        row.getLong("fault_id"),
                        new FaultName(row.getString("component"), row.getString("wrong"))))
                .list();
    }
}
