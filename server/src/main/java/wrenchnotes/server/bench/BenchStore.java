package wrenchnotes.server.bench;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.Account;
import wrenchnotes.core.bench.Basis;
import wrenchnotes.core.bench.Move;
import wrenchnotes.core.teardown.Connector;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.Thing;
import wrenchnotes.server.ground.By;
import wrenchnotes.server.ground.Sql;

/** Entries of the bench: steps and ledger. Nothing here is ever changed; an entry is undone by its opposite. */
@Component
public class BenchStore {

    enum Direction {
        IN,
        OUT
    }

    /** @param undoes the entry that this one takes back */
    record StepEntry(long id, String step, Direction direction, Optional<Long> undoes, Instant at) {}

    record LedgerEntry(long id, Optional<Long> stepEntry, Move move, Optional<Long> undoes, Instant at) {}

    private final JdbcClient jdbc;

    BenchStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    List<StepEntry> steps(long job) {
        return jdbc.sql("SELECT id, step, direction, undoes, at FROM step_entry WHERE job_id = :job ORDER BY id")
                .param("job", job)
                .query((row, n) -> new StepEntry(
                        row.getLong("id"),
                        row.getString("step"),
                        Direction.valueOf(row.getString("direction")),
                        Sql.id(row, "undoes"),
                        Sql.instant(row, "at")))
                .list();
    }

    List<LedgerEntry> ledger(long job) {
        return jdbc.sql("""
                        SELECT id, step_entry_id, thing, from_account, to_account, count, reason, basis, undoes, at
                        FROM ledger_entry
                        WHERE job_id = :job
                        ORDER BY id
                        """)
                .param("job", job)
                .query((row, n) -> new LedgerEntry(
                        row.getLong("id"),
                        Sql.id(row, "step_entry_id"),
                        new Move(
                                row.getString("thing"),
                                Account.valueOf(row.getString("from_account")),
                                Account.valueOf(row.getString("to_account")),
                                row.getInt("count"),
                                row.getString("reason"),
                                Basis.valueOf(row.getString("basis"))),
                        Sql.id(row, "undoes"),
                        Sql.instant(row, "at")))
                .list();
    }

    /** @param teardown the notes of the variant that this job goes by */
    record FittedEntry(long component, long revision, long teardown) {}

    /** From the outside in. */
    List<FittedEntry> fitted(long job) {
        return jdbc.sql("SELECT component_id, revision_id, teardown_id FROM fitted WHERE job_id = :job ORDER BY at")
                .param("job", job)
                .query((row, n) -> new FittedEntry(
                        row.getLong("component_id"), row.getLong("revision_id"), row.getLong("teardown_id")))
                .list();
    }

    void fit(By by, long job, FittedEntry entry) {
        jdbc.sql("""
                        INSERT INTO fitted (job_id, component_id, revision_id, teardown_id, at, by)
                        VALUES (:job, :component, :revision, :teardown, :at, :by)
                        ON CONFLICT (job_id, component_id)
                        DO UPDATE SET revision_id = :revision, teardown_id = :teardown, at = :at, by = :by
                        """)
                .param("job", job)
                .param("component", entry.component())
                .param("revision", entry.revision())
                .param("teardown", entry.teardown())
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .update();
    }

    /** Which variant it was in the other stays of this unit, or is in most units of this revision. */
    Optional<Long> usualVariant(long component, long unit, long revision) {
        return jdbc.sql("""
                        SELECT fitted.revision_id
                        FROM fitted JOIN job ON job.id = fitted.job_id
                        WHERE component_id = :component AND (unit_id = :unit OR job.revision_id = :revision)
                        GROUP BY fitted.revision_id
                        ORDER BY MAX(unit_id = :unit) DESC, COUNT(*) DESC
                        LIMIT 1
                        """)
                .param("component", component)
                .param("unit", unit)
                .param("revision", revision)
                .query(Long.class)
                .optional();
    }

    long addStep(By by, long job, String step, Direction direction, Long undoes) {
        return Sql.inserted(jdbc.sql("""
                                INSERT INTO step_entry (job_id, step, direction, undoes, at, by)
                                VALUES (:job, :step, :direction, :undoes, :at, :by)
                                """)
                .param("job", job)
                .param("step", step)
                .param("direction", direction.name())
                .param("undoes", undoes)
                .param("at", by.at().toEpochMilli())
                .param("by", by.person()));
    }

    void addMove(By by, long job, Long stepEntry, Thing thing, Move move, Long undoes) {
        jdbc.sql("""
                        INSERT INTO ledger_entry (job_id, step_entry_id, thing, kind, from_account, to_account,
                                                  count, reason, basis, undoes, at, by)
                        VALUES (:job, :stepEntry, :thing, :kind, :from, :to, :count, :reason, :basis, :undoes, :at, :by)
                        """)
                .param("job", job)
                .param("stepEntry", stepEntry)
                .param("thing", move.thing())
                .param("kind", kind(thing))
                .param("from", move.from().name())
                .param("to", move.to().name())
                .param("count", move.count())
                .param("reason", move.reason())
                .param("basis", move.basis().name())
                .param("undoes", undoes)
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .update();
    }

    private static String kind(Thing thing) {
        if (thing instanceof FastenerGroup) {
            return "FASTENER";
        }
        return thing instanceof Connector ? "CONNECTOR" : "PIECE";
    }

    /** @param forNow why it is closed for now only; empty if for good */
    long addClosing(By by, long job, Optional<String> forNow) {
        return Sql.inserted(jdbc.sql("INSERT INTO closing (job_id, for_now, at, by) VALUES (:job, :forNow, :at, :by)")
                .param("job", job)
                .param("forNow", forNow.orElse(null))
                .param("at", by.at().toEpochMilli())
                .param("by", by.person()));
    }
}
