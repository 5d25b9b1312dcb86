package wrenchnotes.server.job;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.checkin.ContactWay;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.job.Loan;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Kind;
import wrenchnotes.core.unit.Tag;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Sql;

/** The jobs themselves. */
@Component
public class JobStore {

    private static final String LAST_AT = """
            COALESCE((SELECT at FROM journal WHERE journal.job_id = job.id ORDER BY journal.id DESC LIMIT 1), checked_in_at)
            """;

    private static final String JOB = """
            SELECT job.id, unit_id, unit.tag, unit.serial, model.id AS model_id,
                   model.maker || ' ' || model.name AS model, model.kind,
                   job.revision_id, %s AS revision, ownership,
                   owner.id AS owner_id, owner.name AS owner, owner.contact,
                   slot, complaint, condition_words, checked_in_at, person.name AS checked_in_by, job.due_at,
                   handed_over_at, teardown_id, job.version, bench_version,
                   loan.at AS lent_at, loan.not_for, loan.due_at AS loan_due, loan.back_at,
                   %s AS last_at
            FROM job
            JOIN unit ON unit.id = job.unit_id
            JOIN revision ON revision.id = job.revision_id
            JOIN model ON model.id = revision.model_id
            JOIN person ON person.id = checked_in_by
            LEFT JOIN owner ON owner.id = job.owner_id
            LEFT JOIN loan ON loan.id = (SELECT MAX(id) FROM loan WHERE loan.job_id = job.id)
            """;

    private final JdbcClient jdbc;

    JobStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @throws NotFound if there is none */
    public Job job(long id) {
        return jdbc.sql(JOB.formatted(Sql.REVISION_SHOWN, LAST_AT) + "WHERE job.id = :id")
                .param("id", id)
                .query((row, n) -> job(row))
                .optional()
                .orElseThrow(() -> new NotFound("There is no job " + id));
    }

    /** All jobs of units that are in the shop. */
    public List<Job> open() {
        return jdbc.sql(JOB.formatted(Sql.REVISION_SHOWN, "NULL") + "WHERE handed_over_at IS NULL ORDER BY job.id")
                .query((row, n) -> job(row))
                .list();
    }

    /** A stay of a unit, in short. */
    public record Stay(long jobId, Instant checkedInAt, boolean open, String complaint) {}

    /** The other stays of the same unit, the last check-in first. */
    public List<Stay> otherStays(Job job) {
        return jdbc.sql("""
                        SELECT id, checked_in_at, handed_over_at, complaint
                        FROM job
                        WHERE unit_id = :unit AND id <> :job
                        ORDER BY checked_in_at DESC, id DESC
                        """)
                .param("unit", job.unitId())
                .param("job", job.id())
                .query((row, n) -> new Stay(
                        row.getLong("id"),
                        Sql.instant(row, "checked_in_at"),
                        Sql.when(row, "handed_over_at").isEmpty(),
                        row.getString("complaint")))
                .list();
    }

    /** All stays of a unit, the last check-in first. */
    public List<Job> ofUnit(long unit) {
        return jdbc.sql(JOB.formatted(Sql.REVISION_SHOWN, "NULL")
                        + "WHERE unit_id = :unit ORDER BY checked_in_at DESC, job.id DESC")
                .param("unit", unit)
                .query((row, n) -> job(row))
                .list();
    }

    /**
     * @param benchMillis how long was worked on it: nothing is entered at its bench after this
     * @param untested whether nobody tried it closed
     */
    public void handOver(By by, long job, long benchMillis, boolean untested) {
        jdbc.sql("""
                        UPDATE job
                        SET handed_over_at = :at, handed_over_moment = :moment, bench_millis = :bench,
                            untested = :untested, version = version + 1
                        WHERE id = :job
                        """)
                .param("at", by.at().toEpochMilli())
                .param("moment", by.moment().number())
                .param("bench", benchMillis)
                .param("untested", untested ? 1 : 0)
                .param("job", job)
                .update();
    }

    public void openWith(long job, long teardown) {
        jdbc.sql("UPDATE job SET teardown_id = :teardown WHERE id = :job")
                .param("teardown", teardown)
                .param("job", job)
                .update();
    }

    public void countBenchMove(long job) {
        jdbc.sql("UPDATE job SET bench_version = bench_version + 1 WHERE id = :job")
                .param("job", job)
                .update();
    }

    private static Optional<Loan> loan(ResultSet row) throws SQLException {
        Optional<Instant> from = Sql.when(row, "lent_at");
        return from.isEmpty()
                ? Optional.empty()
                : Optional.of(new Loan(
                        from.get(), row.getString("not_for"), Sql.when(row, "loan_due"), Sql.when(row, "back_at")));
    }

    /** Its place on the rack is kept for it. */
    public long lend(By by, long job, Loan loan) {
        countChange(job);
        return Sql.inserted(jdbc.sql("""
                                INSERT INTO loan (job_id, not_for, due_at, moment, at, by)
                                VALUES (:job, :notFor, :due, :moment, :at, :by)
                                """)
                .param("job", job)
                .param("notFor", loan.notFor())
                .param("due", loan.due().map(Instant::toEpochMilli).orElse(null))
                .param("moment", by.moment().number())
                .param("at", by.at().toEpochMilli())
                .param("by", by.person()));
    }

    public void cameBack(By by, long job) {
        countChange(job);
        jdbc.sql("""
                        UPDATE loan
                        SET back_moment = :moment, back_at = :at, back_by = :by
                        WHERE job_id = :job AND back_at IS NULL
                        """)
                .param("moment", by.moment().number())
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .param("job", job)
                .update();
    }

    /** Older sights of the sheet and of the bench are out of date. */
    private void countChange(long job) {
        jdbc.sql("UPDATE job SET version = version + 1, bench_version = bench_version + 1 WHERE id = :job")
                .param("job", job)
                .update();
    }

    private static Job job(ResultSet row) throws SQLException {
        Optional<Long> owner = Sql.id(row, "owner_id");
        String name = row.getString("owner");
        String contact = row.getString("contact");
        return new Job(
                row.getLong("id"),
                new Job.UnitHere(
                        row.getLong("unit_id"),
                        Tag.of(row.getInt("tag")).text(),
                        row.getString("serial"),
                        row.getLong("model_id"),
                        row.getString("model"),
                        Kind.valueOf(row.getString("kind")),
                        row.getLong("revision_id"),
                        row.getString("revision")),
                new Job.Brought(
                        Ownership.valueOf(row.getString("ownership")),
                        owner.map(id -> new Job.Owner(id, name, ContactWay.of(contact))),
                        Optional.ofNullable(row.getString("slot")),
                        row.getString("complaint"),
                        row.getString("condition_words"),
                        Sql.instant(row, "checked_in_at"),
                        row.getString("checked_in_by"),
                        Sql.when(row, "due_at")),
                Sql.when(row, "handed_over_at"),
                Sql.id(row, "teardown_id"),
                row.getLong("version"),
                row.getLong("bench_version"),
                loan(row),
                Sql.when(row, "last_at"));
    }
}
