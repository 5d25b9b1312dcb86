package wrenchnotes.server.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.history.ClosedJob;
import wrenchnotes.core.diagnosis.history.LikeSale;
import wrenchnotes.core.diagnosis.history.PastJob;
import wrenchnotes.core.diagnosis.history.Where;
import wrenchnotes.core.outcome.Outcome;
import wrenchnotes.core.unit.Kind;
import wrenchnotes.server.RunningShop;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.job.TimeWorkedStore;

/** What learning, estimates and prices read in the closed book, against statements on the tables that it is read from. */
@Tag("shop")
class PastTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.withDemo();

    private static final String FAULTS = """
            SELECT component.name AS component, wrong
            FROM finding
            JOIN fault ON fault.id = fault_id
            JOIN component ON component.id = finding.component_id
            WHERE job_id = :job AND struck_at IS NULL AND finding.kind = 'FAULT' AND failed = 0
            """;

    private static final String WORDS = """
            SELECT word.name
            FROM job_symptom
            JOIN symptom AS said ON said.id = symptom_id
            JOIN symptom AS word ON word.id = COALESCE(said.merged_into, said.id)
            WHERE job_id = :job
            GROUP BY word.id
            HAVING MAX(present) = :present
            """;

    private final JdbcClient jdbc = SHOP.bean(JdbcClient.class);
    private final Snapshot snapshot = SHOP.bean(Snapshot.class);
    private final Book book = SHOP.bean(Book.class);

    private <T> T ask(Function<Book.Past, T> question) {
        return snapshot.read(() -> book.ask(question));
    }

    /** In one transaction that leaves nothing behind: the book must find out by itself that things are called otherwise, and back. */
    private void changed(String sql, Runnable then) {
        new TransactionTemplate(SHOP.bean(PlatformTransactionManager.class)).executeWithoutResult(status -> {
            jdbc.sql(sql).update();
            then.run();
            status.setRollbackOnly();
        });
    }

    private List<PastJob> told() {
        return ask(past -> {
            List<PastJob> jobs = new ArrayList<>();
            for (int at = 0; at < past.book().size(); at++) {
                past.book().past(at, past.names()).ifPresent(jobs::add);
            }
            return jobs;
        });
    }

    private List<PastJob> onRecord() {
        return jdbc
                .sql("""
                        SELECT job.id, job.revision_id, model_id, kind,
                               (SELECT outcome FROM outcome_entry
                                WHERE job_id = job.id ORDER BY moment DESC, id DESC LIMIT 1) AS outcome
                        FROM job
                        JOIN revision ON revision.id = job.revision_id
                        JOIN model ON model.id = model_id
                        WHERE handed_over_at IS NOT NULL
                        ORDER BY handed_over_moment
                        """)
                .query((row, n) -> {
                    long job = row.getLong("id");
                    Optional<Outcome> outcome =
                            Optional.ofNullable(row.getString("outcome")).map(Outcome::valueOf);
                    return new PastJob(
                            new Where(
                                    row.getLong("revision_id"),
                                    row.getLong("model_id"),
                                    Kind.valueOf(row.getString("kind"))),
                            new HashSet<>(jdbc.sql(FAULTS)
                                    .param("job", job)
                                    .query((fault, at) ->
                                            new FaultName(fault.getString("component"), fault.getString("wrong")))
                                    .list()),
                            words(job, 1),
                            words(job, 0),
                            outcome.filter(Outcome.NO_FAULT_FOUND::equals).map(no -> new PastJob.Work(1, 0)));
                })
                .list()
                .stream()
                // Here work stands for "no fault was found": who gave up before looking teaches nothing.
                .filter(job -> !job.faults().isEmpty() || job.work().isPresent())
                .map(PastTest::without)
                .toList();
    }

    private Set<String> words(long job, int present) {
        return new HashSet<>(jdbc.sql(WORDS)
                .param("job", job)
                .param("present", present)
                .query(String.class)
                .list());
    }

    private static PastJob without(PastJob job) {
        return new PastJob(job.where(), job.faults(), job.present(), job.absent(), Optional.empty());
    }

    @Test
    void jobsAreToldAsTheyAreOnRecordWhateverThingsAreCalledNow() {
        assertThat(told())
                .hasSizeGreaterThan(100)
                .extracting(PastTest::without)
                .isEqualTo(snapshot.read(this::onRecord));
        String fault = told().get(0).faults().iterator().next().component();
        changed(
                "UPDATE component SET name = 'zz ' || name, version = version + 1 WHERE name = '%s' COLLATE NOCASE"
                        .formatted(fault),
                () -> assertThat(told()).extracting(PastTest::without).isEqualTo(snapshot.read(this::onRecord)));
        changed("UPDATE symptom SET merged_into = 1 WHERE id BETWEEN 2 AND 6", () -> {
            assertThat(told()).extracting(PastTest::without).isEqualTo(snapshot.read(this::onRecord));
            List<String> spoken = ask(past -> past.names().spoken());
            assertThat(spoken).hasSizeGreaterThan(3).doesNotContainNull();
        });
        assertThat(told()).extracting(PastTest::without).isEqualTo(snapshot.read(this::onRecord));
    }

    /** What is learned follows the names: after a merge the odds speak of the one word, and of its faults as before. */
    @Test
    void learningForgetsWhatANameMeantBefore() {
        Where where = told().get(told().size() - 1).where();
        String said = told().get(told().size() - 1).present().iterator().next();
        changed(
                "UPDATE symptom SET merged_into = (SELECT MIN(id) FROM symptom WHERE name <> '%1$s') WHERE name = '%1$s'"
                        .formatted(said),
                () -> assertThat(ask(past -> past.history()
                                        .rates(where, Set.of(), past.names().components(), List.of(said)))
                                .shows()
                                .get(said)
                                .values())
                        .as("nobody says it any more: only what ships, shrunk by jobs that did not tell of it")
                        .allSatisfy(shows -> assertThat(shows).isLessThan(0.5)));
        int learned = ask(past -> past.history().jobs(Where.Level.ALL, where));
        assertThat(learned).isEqualTo(told().size());
    }

    /** By hand: gaps of 4 and 11 minutes, 5 until a pause begins, 4 paused, 6 after it, 70 without an entry: 26 were worked. */
    @Test
    void timeAtTheBenchLeavesOutPausesAndNights() {
        long job = jdbc.sql("SELECT MIN(id) FROM job WHERE handed_over_at IS NOT NULL")
                .query(Long.class)
                .single();
        long before = benchMillis(job);
        String closing = "(%d, 1, %d, 1)";
        long midnight = 1_000_000_000_000L;
        String closings = Stream.of(0, 4, 15, 30, 100)
                .map(minute -> closing.formatted(job, midnight + minute * 60_000))
                .collect(Collectors.joining(", "));
        changed("INSERT INTO closing (job_id, moment, at, by) VALUES " + closings, () -> {
            jdbc.sql("INSERT INTO pause (job_id, from_at, to_at, by) VALUES (?, ?, ?, 1)")
                    .param(job)
                    .param(midnight + 20 * 60_000)
                    .param(midnight + 24 * 60_000)
                    .update();
            assertThat(benchMillis(job) - before).isEqualTo(26 * 60_000);
        });
    }

    @Test
    void aClosedJobKeepsTheTimeWorkedOnIt() {
        List<ClosedJob> closed = new ArrayList<>();
        SHOP.bean(BookStore.class).closedAfter(0, closed::add);
        assertThat(closed)
                .allSatisfy(job -> assertThat(job.benchMillis()).isEqualTo(benchMillis(job.id())))
                .anySatisfy(job -> assertThat(job.benchMillis()).isPositive());
    }

    private long benchMillis(long job) {
        return SHOP.bean(TimeWorkedStore.class).of(job).worked().toMillis();
    }

    @Test
    void pricesAreEachUnitsLastOfItsKindAndSeeASaleAtOnce() {
        Where where = jdbc.sql("""
                        SELECT job.revision_id, model_id, kind
                        FROM sale JOIN job ON job.id = job_id JOIN revision ON revision.id = job.revision_id
                        JOIN model ON model.id = model_id
                        ORDER BY sale.id LIMIT 1
                        """)
                .query((row, n) -> new Where(
                        row.getLong("revision_id"), row.getLong("model_id"), Kind.valueOf(row.getString("kind"))))
                .single();
        assertThat(sales(where)).isNotEmpty().isEqualTo(salesOnRecord(where));
        jdbc.sql(
                        "INSERT INTO sale (job_id, minor, worked, at, by) SELECT job_id, 7777, 1, at, by FROM sale ORDER BY id LIMIT 1")
                .update();
        assertThat(sales(where)).isEqualTo(salesOnRecord(where));
        assertThat(sales(where).get(0)).isEqualTo(new LikeSale(Where.Level.REVISION, true, 7777));
    }

    private List<LikeSale> sales(Where where) {
        return ask(past -> past.book().sales(where, past.names()));
    }

    private List<LikeSale> salesOnRecord(Where where) {
        return jdbc.sql("""
                        SELECT minor, worked, job.revision_id, model_id, MAX(sale.id)
                        FROM sale
                        JOIN job ON job.id = job_id
                        JOIN revision ON revision.id = job.revision_id
                        JOIN model ON model.id = model_id
                        WHERE model.kind = :kind
                        GROUP BY job_id
                        ORDER BY MAX(sale.id) DESC
                        LIMIT 200
                        """)
                .param("kind", where.kind().name())
                .query((row, n) -> new LikeSale(
                        row.getLong("revision_id") == where.revision()
                                ? Where.Level.REVISION
                                : row.getLong("model_id") == where.model() ? Where.Level.MODEL : Where.Level.KIND,
                        row.getBoolean("worked"),
                        row.getLong("minor")))
                .list();
    }
}
