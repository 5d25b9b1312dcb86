package wrenchnotes.server.job;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.job.Hold;
import wrenchnotes.core.job.HoldAnswer;
import wrenchnotes.core.job.HoldKind;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Tag;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Sql;

/** Why jobs wait, and until when. */
@Component
public class HoldStore {

    public record HoldRow(
            long id,
            long jobId,
            HoldKind kind,
            String why,
            Hold.Covers covers,
            Instant from,
            Optional<Instant> until,
            Optional<Instant> ended,
            Optional<HoldAnswer> answer,
            boolean caution,
            String by) {

        public Hold hold() {
            return new Hold(kind, why, covers, from, until, ended);
        }
    }

    private static final String HOLD = """
            SELECT hold.id, job_id, kind, why, component_id, step, from_at, until_at, ended_at, answer, caution, person.name AS by
            FROM hold JOIN person ON person.id = set_by
            """;

    private final JdbcClient jdbc;
    private final Clock clock;

    HoldStore(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    public List<HoldRow> ofJob(long job) {
        return jdbc.sql(HOLD + "WHERE job_id = :job ORDER BY hold.id DESC")
                .param("job", job)
                .query((row, n) -> hold(row))
                .list();
    }

    /**
     * A hold of a unit that is still here.
     *
     * @param until when it rings; holds that end with an event never do
     */
    public record Timer(
            long id,
            long jobId,
            String tag,
            HoldKind kind,
            String why,
            Instant from,
            Optional<Instant> until,
            boolean caution) {}

    /** Holds that last, and those that were over by the clock since a moment; soonest over first. */
    List<Timer> timers(Instant since) {
        return jdbc.sql("""
                        SELECT hold.id, hold.job_id, unit.tag, kind, why, from_at, until_at, caution
                        FROM hold
                        JOIN job ON job.id = hold.job_id
                        JOIN unit ON unit.id = job.unit_id
                        WHERE ended_at IS NULL AND handed_over_at IS NULL
                          AND (until_at IS NULL OR until_at >= :since)
                        ORDER BY until_at IS NULL, until_at
                        """)
                .param("since", since.toEpochMilli())
                .query((row, n) -> new Timer(
                        row.getLong("id"),
                        row.getLong("job_id"),
                        Tag.of(row.getInt("tag")).text(),
                        HoldKind.valueOf(row.getString("kind")),
                        row.getString("why"),
                        Sql.instant(row, "from_at"),
                        Sql.when(row, "until_at"),
                        row.getBoolean("caution")))
                .list();
    }

    /** How long holds of this kind lasted that are over. */
    List<Duration> lasted(HoldKind kind, Optional<Long> revision) {
        return jdbc.sql("""
                        SELECT COALESCE(ended_at, until_at) - from_at AS lasted
                        FROM hold JOIN job ON job.id = hold.job_id
                        WHERE kind = :kind AND (:revision IS NULL OR revision_id = :revision)
                          AND COALESCE(ended_at, until_at) < :now AND caution = 0
                        ORDER BY hold.id DESC
                        LIMIT 200
                        """)
                .param("kind", kind.name())
                .param("revision", revision.orElse(null))
                .param("now", clock.instant().toEpochMilli())
                .query((row, n) -> Duration.ofMillis(row.getLong("lasted")))
                .list();
    }

    HoldRow hold(long id) {
        return jdbc.sql(HOLD + "WHERE hold.id = :id")
                .param("id", id)
                .query((row, n) -> hold(row))
                .optional()
                .orElseThrow(() -> new NotFound("There is no hold " + id));
    }

    long add(By by, long job, Hold hold) {
        return add(by, job, hold, false);
    }

    long addCaution(By by, long job, Hold hold) {
        return add(by, job, hold, true);
    }

    private long add(By by, long job, Hold hold, boolean caution) {
        return Sql.inserted(jdbc.sql("""
                                INSERT INTO hold (job_id, kind, why, component_id, step, from_at, until_at, caution, set_by)
                                VALUES (:job, :kind, :why, :component, :step, :from, :until, :caution, :by)
                                """)
                .param("caution", caution ? 1 : 0)
                .param("job", job)
                .param("kind", hold.kind().name())
                .param("why", hold.why())
                .param("component", hold.covers().component().orElse(null))
                .param("step", hold.covers().step().orElse(null))
                .param("from", hold.from().toEpochMilli())
                .param("until", Sql.millis(hold.until().orElse(null)))
                .param("by", by.person()));
    }

    void until(long id, Instant until) {
        jdbc.sql("UPDATE hold SET until_at = :until WHERE id = :id")
                .param("until", until.toEpochMilli())
                .param("id", id)
                .update();
    }

    void end(By by, long id, Optional<HoldAnswer> answer, String why) {
        jdbc.sql("UPDATE hold SET ended_at = :at, ended_by = :by, answer = :answer, end_why = :why WHERE id = :id")
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .param("answer", answer.map(Enum::name).orElse(null))
                .param("why", why)
                .param("id", id)
                .update();
    }

    /** What of it the rules ask, from a row with the columns of the table. */
    static Hold held(ResultSet row) throws SQLException {
        return new Hold(
                HoldKind.valueOf(row.getString("kind")),
                row.getString("why"),
                new Hold.Covers(Sql.id(row, "component_id"), Optional.ofNullable(row.getString("step"))),
                Sql.instant(row, "from_at"),
                Sql.when(row, "until_at"),
                Sql.when(row, "ended_at"));
    }

    private static HoldRow hold(ResultSet row) throws SQLException {
        Hold hold = held(row);
        return new HoldRow(
                row.getLong("id"),
                row.getLong("job_id"),
                hold.kind(),
                hold.why(),
                hold.covers(),
                hold.from(),
                hold.until(),
                hold.ended(),
                Optional.ofNullable(row.getString("answer")).map(HoldAnswer::valueOf),
                row.getBoolean("caution"),
                row.getString("by"));
    }
}
