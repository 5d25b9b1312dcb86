package wrenchnotes.server.pattern;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.history.Comeback;
import wrenchnotes.core.recurring.FaultOn;
import wrenchnotes.core.recurring.Recurring;
import wrenchnotes.server.RunningShop;
import wrenchnotes.server.diagnosis.Book;
import wrenchnotes.server.diagnosis.FindingStore;
import wrenchnotes.server.ground.Snapshot;

/** The closed book against the SQL that it stands in for, on random histories of few units, so that many come back. */
@Tag("shop")
class ClosedBookTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.withDemo();

    private static final int STAYS = 120;

    private static final String JOBS = """
            SELECT COUNT(*)
            FROM job
            WHERE handed_over_at >= :from
              AND (:revision IS NULL OR revision_id = :revision
                   OR EXISTS (SELECT 1 FROM fitted WHERE job_id = job.id AND revision_id = :revision)
                   OR EXISTS (SELECT 1 FROM finding WHERE job_id = job.id AND struck_at IS NULL AND revision_id = :revision))
            """;

    private static final String FAULTS = """
            SELECT finding.revision_id, finding.fault_id, finding.remedy, COUNT(*) AS done,
                   COUNT(DISTINCT job.id) AS jobs,
                   SUM(EXISTS (SELECT 1
                               FROM finding AS later JOIN job AS stay ON stay.id = later.job_id
                               WHERE later.unit_id = finding.unit_id AND later.component_id = finding.component_id
                                 AND later.job_id <> finding.job_id AND later.struck_at IS NULL
                                 AND later.kind IN ('FAULT', 'OURS')
                                 AND (stay.checked_in_at, stay.id) > (job.checked_in_at, job.id))) AS comebacks
            FROM finding JOIN job ON job.id = finding.job_id
            WHERE finding.struck_at IS NULL AND finding.kind = 'FAULT' AND finding.failed = 0 AND job.handed_over_at >= :from
              AND (:revision IS NULL OR finding.revision_id = :revision)
            GROUP BY finding.revision_id, finding.fault_id, finding.remedy
            """;

    private final JdbcClient jdbc = SHOP.bean(JdbcClient.class);
    private final TransactionTemplate writing = new TransactionTemplate(SHOP.bean(PlatformTransactionManager.class));
    private final PatternService patterns = SHOP.bean(PatternService.class);
    private final Snapshot snapshot = SHOP.bean(Snapshot.class);
    private final Random random = new Random(13);

    @Test
    void countsAsTheSqlDoesWhateverHappened() {
        Book book = SHOP.bean(Book.class);
        int comebacks = 0;
        for (int history = 0; history < 6; history++) {
            int round = history;
            // In one go, as the shop writes: the book is being read meanwhile.
            writing.executeWithoutResult(status -> more(round));
            for (int ask = 0; ask < 8; ask++) {
                long from = ask == 0 ? 1 : random.nextLong(2_000_000_000_000L);
                Long revision = random.nextInt(3) == 0 ? Long.valueOf(1 + random.nextInt(4)) : null;
                Recurring counted = counted(from, revision);
                assertThat(counted.jobs()).isEqualTo(jobs(from, revision));
                List<Counted> told = told(counted);
                assertThat(told).containsExactlyInAnyOrderElementsOf(faults(from, revision));
                comebacks += told.stream().mapToInt(Counted::comebacks).sum();
            }
        }
        assertThat(comebacks).isGreaterThan(100);
        int kept = snapshot.read(() -> {
            book.forget();
            return book.read((closed, names) -> closed.size());
        });
        assertThat(kept)
                .isEqualTo(jdbc.sql("SELECT COUNT(*) FROM job WHERE handed_over_at IS NOT NULL")
                        .query(Integer.class)
                        .single());
        assertThat(told(counted(1, null))).containsExactlyInAnyOrderElementsOf(faults(1, null));
    }

    private record Counted(FaultOn on, Remedy remedy, int done, int comebacks) {}

    private Recurring counted(long from, Long revision) {
        PatternAsked asked = new PatternAsked(null, null, null, revision, null, null, null, null, null, null);
        PatternAsked.Span span =
                new PatternAsked.Span(List.of(from), Instant.ofEpochMilli(Long.MAX_VALUE), Instant.EPOCH, null);
        return snapshot.read(() -> patterns.counted(asked.narrowed(), span));
    }

    private static List<Counted> told(Recurring counted) {
        return counted.faults().stream()
                .flatMap(fault -> fault.remedies().stream()
                        .filter(remedy -> remedy.done() > 0)
                        .map(remedy -> new Counted(fault.on(), remedy.remedy(), remedy.done(), remedy.cameBack())))
                .toList();
    }

    /** Stays of eight units, handed over in any order or not at all, with findings of which some are struck. */
    private void more(int history) {
        List<Map<String, Object>> faults = jdbc.sql("""
                        SELECT fault.id AS fault, component_id FROM fault ORDER BY fault.id LIMIT 6
                        """).query().listOfRows();
        long moment = jdbc.sql("SELECT MAX(handed_over_moment) FROM job")
                .query(Long.class)
                .single();
        List<String> kinds = List.of("FAULT", "FAULT", "FAULT", "FAULT", "UPKEEP", "OURS", "SEEN");
        for (int n = 0; n < STAYS; n++) {
            long in = 1_400_000_000_000L + random.nextInt(40) * 10_000_000_000L;
            boolean left = random.nextInt(6) > 0;
            long unit = 900_000 + history * 8 + random.nextInt(8);
            jdbc.sql("INSERT OR IGNORE INTO unit (id, tag, revision_id, made_at) VALUES (:unit, :unit, 1, 0)")
                    .param("unit", unit)
                    .update();
            long job = jdbc.sql("SELECT MAX(id) + 1 FROM job").query(Long.class).single();
            jdbc.sql("""
                            INSERT INTO job (id, unit_id, revision_id, ownership, owner_id, checked_in_at, checked_in_by,
                                             handed_over_at, handed_over_moment)
                            VALUES (:id, :unit, :revision, :ownership, (SELECT MIN(id) FROM owner), :in, 1, :out, :moment)
                            """)
                    .param("id", job)
                    .param("unit", unit)
                    .param("revision", 1 + random.nextInt(4))
                    .param("ownership", Ownership.values()[random.nextInt(2)].name())
                    .param("in", in)
                    .param("out", left ? in + random.nextInt(1_000_000_000) : null)
                    .param("moment", left ? ++moment : null)
                    .update();
            for (int finding = random.nextInt(4); finding > 0; finding--) {
                Map<String, Object> fault = faults.get(random.nextInt(faults.size()));
                jdbc.sql("""
                                INSERT INTO finding (job_id, unit_id, revision_id, component_id, fault_id, remedy, kind, at, by,
                                                     moment, struck_at, struck_by, struck_why)
                                VALUES (:job, :unit, :revision, :component, :fault, :remedy, :kind, :at, 1, 1, :struck, :by, :why)
                                """)
                        .param("job", job)
                        .param("unit", unit)
                        .param("revision", 1 + random.nextInt(4))
                        .param("component", fault.get("component_id"))
                        .param("fault", fault.get("fault"))
                        .param("remedy", Remedy.values()[random.nextInt(4)].name())
                        .param("kind", kinds.get(random.nextInt(kinds.size())))
                        .param("at", in)
                        .param("struck", finding == 3 ? in : null)
                        .param("by", finding == 3 ? 1 : null)
                        .param("why", finding == 3 ? "not so" : null)
                        .update();
            }
        }
    }

    private int jobs(long from, Long revision) {
        return jdbc.sql(JOBS)
                .param("from", from)
                .param("revision", revision)
                .query(Integer.class)
                .single();
    }

    private List<Counted> faults(long from, Long revision) {
        return jdbc.sql(FAULTS)
                .param("from", from)
                .param("revision", revision)
                .query((row, n) -> new Counted(
                        new FaultOn(row.getLong("revision_id"), row.getLong("fault_id")),
                        Remedy.valueOf(row.getString("remedy")),
                        row.getInt("done"),
                        row.getInt("comebacks")))
                .list();
    }

    /** The sheet names the stay that a finding is a comeback of by a statement of its own: it must be by the same definition. */
    @Test
    void theSheetNamesTheStayThatTheDefinitionDoes() {
        writing.executeWithoutResult(status -> more(9));
        List<Comeback.AtFault> all = jdbc.sql("""
                        SELECT finding.unit_id, component_id, checked_in_at, job.id
                        FROM finding JOIN job ON job.id = finding.job_id
                        WHERE struck_at IS NULL AND finding.unit_id >= 900000 AND finding.kind = 'FAULT'
                        """)
                .query((row, n) -> new Comeback.AtFault(
                        row.getLong("unit_id"),
                        row.getLong("component_id"),
                        row.getLong("checked_in_at"),
                        row.getLong("id")))
                .list();
        FindingStore findings = SHOP.bean(FindingStore.class);
        int comebacks = 0;
        for (Comeback.AtFault one : all) {
            Optional<Long> expected = all.stream()
                    .filter(other -> Comeback.is(other, one))
                    .max(Comparator.comparingLong(Comeback.AtFault::checkedIn).thenComparingLong(Comeback.AtFault::job))
                    .map(Comeback.AtFault::job);
            comebacks += expected.isPresent() ? 1 : 0;
            assertThat(findings.ofJob(one.job()))
                    .filteredOn(row ->
                            row.stands() && row.kind().fault() && row.fault().componentId() == one.component())
                    .isNotEmpty()
                    .allSatisfy(row -> assertThat(row.fault().earlierJob()).isEqualTo(expected));
        }
        assertThat(comebacks).isGreaterThan(30);
    }
}
