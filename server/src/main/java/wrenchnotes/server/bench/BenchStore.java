package wrenchnotes.server.bench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.Account;
import wrenchnotes.core.bench.Basis;
import wrenchnotes.core.bench.Direction;
import wrenchnotes.core.bench.Ledger;
import wrenchnotes.core.bench.LedgerEntry;
import wrenchnotes.core.bench.Move;
import wrenchnotes.core.bench.StepEntry;
import wrenchnotes.core.teardown.Connector;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.Thing;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.ground.Sql;
import wrenchnotes.server.ground.Stored;

/** Entries of the bench: steps and ledger. Nothing here is ever changed; an entry is undone by its opposite. */
@Component
public class BenchStore {

    private final JdbcClient jdbc;

    BenchStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** In the order in which they were entered. */
    public List<StepEntry> steps(long job) {
        return jdbc.sql(
                        "SELECT id, step, direction, undoes, moment, at FROM step_entry WHERE job_id = :job ORDER BY id")
                .param("job", job)
                .query((row, n) -> new StepEntry(
                        row.getLong("id"),
                        row.getString("step"),
                        Direction.valueOf(row.getString("direction")),
                        Sql.id(row, "undoes"),
                        Sql.moment(row)))
                .list();
    }

    List<LedgerEntry> ledger(long job) {
        return jdbc.sql("""
                        SELECT id, step_entry_id, thing, from_account, to_account, count, reason, basis, undoes, moment, at
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
                        Sql.moment(row)))
                .list();
    }

    /** @param teardown the notes of the variant that this job goes by */
    record FittedEntry(long component, long revision, long teardown) {}

    /** From the outside in. */
    List<FittedEntry> fitted(long job) {
        return jdbc.sql(
                        "SELECT component_id, revision_id, teardown_id FROM fitted WHERE job_id = :job ORDER BY at, component_id")
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

    /** @return its number */
    long addStep(By by, long job, StepEntry entry) {
        return Sql.inserted(jdbc.sql("""
                                INSERT INTO step_entry (job_id, step, direction, undoes, moment, at, by)
                                VALUES (:job, :step, :direction, :undoes, :moment, :at, :by)
                                """)
                .param("job", job)
                .param("step", entry.step())
                .param("direction", entry.direction().name())
                .param("undoes", entry.undoes().orElse(null))
                .param("moment", by.moment().number())
                .param("at", by.at().toEpochMilli())
                .param("by", by.person()));
    }

    /** All moves of one press, in one statement. */
    void addMoves(By by, long job, Optional<Long> stepEntry, Ledger things, List<LedgerEntry> moves) {
        if (moves.isEmpty()) {
            return;
        }
        List<List<Object>> rows = new ArrayList<>();
        Ledger now = things;
        for (LedgerEntry one : moves) {
            rows.add(Arrays.<Object>asList(
                    one.move().thing(),
                    kind(things.thing(one.move().thing())),
                    one.move().from().name(),
                    one.move().to().name(),
                    one.move().count(),
                    one.move().reason(),
                    one.move().basis().name(),
                    one.undoes().orElse(null),
                    things.mainsWork(one.move()).orElse(null),
                    now.isLot(one.move()) ? 1 : 0));
            now = now.undone(one.move().opposite());
        }
        jdbc.sql("""
                        INSERT INTO ledger_entry (job_id, step_entry_id, thing, kind, from_account, to_account,
                                                  count, reason, basis, undoes, mains, lot, moment, at, by)
                        SELECT :job, :stepEntry, value ->> 0, value ->> 1, value ->> 2, value ->> 3,
                               value ->> 4, value ->> 5, value ->> 6, value ->> 7, value ->> 8, value ->> 9, :moment, :at, :by
                        FROM json_each(:rows)
                        """)
                .param("job", job)
                .param("stepEntry", stepEntry.orElse(null))
                .param("rows", Stored.text(rows))
                .param("moment", by.moment().number())
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
        return Sql.inserted(jdbc.sql("""
                                INSERT INTO closing (job_id, for_now, moment, at, by)
                                VALUES (:job, :forNow, :moment, :at, :by)
                                """)
                .param("job", job)
                .param("forNow", forNow.orElse(null))
                .param("moment", by.moment().number())
                .param("at", by.at().toEpochMilli())
                .param("by", by.person()));
    }
}
