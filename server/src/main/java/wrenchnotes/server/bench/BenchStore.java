package wrenchnotes.server.bench;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.Account;
import wrenchnotes.core.bench.Basis;
import wrenchnotes.core.bench.Ledger;
import wrenchnotes.core.bench.Move;
import wrenchnotes.core.teardown.Connector;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.Thing;
import wrenchnotes.core.unit.Moment;
import wrenchnotes.server.ground.By;
import wrenchnotes.server.ground.Sql;
import wrenchnotes.server.ground.Stored;

/** Entries of the bench: steps and ledger. Nothing here is ever changed; an entry is undone by its opposite. */
@Component
public class BenchStore {

    enum Direction {
        IN,
        OUT
    }

    /** @param undoes the entry that this one takes back */
    record StepEntry(long id, String step, Direction direction, Optional<Long> undoes, Moment moment) {}

    record LedgerEntry(long id, Optional<Long> stepEntry, Move move, Optional<Long> undoes, Moment moment) {}

    /** @param undoes the entry that this one takes back */
    record NewMove(Move move, Optional<Long> undoes) {
        static NewMove plain(Move move) {
            return new NewMove(move, Optional.empty());
        }
    }

    private final JdbcClient jdbc;

    BenchStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    List<StepEntry> steps(long job) {
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

    StepEntry addStep(By by, long job, String step, Direction direction, Optional<Long> undoes) {
        long id = Sql.inserted(jdbc.sql("""
                                INSERT INTO step_entry (job_id, step, direction, undoes, moment, at, by)
                                VALUES (:job, :step, :direction, :undoes, :moment, :at, :by)
                                """)
                .param("job", job)
                .param("step", step)
                .param("direction", direction.name())
                .param("undoes", undoes.orElse(null))
                .param("moment", by.moment().number())
                .param("at", by.at().toEpochMilli())
                .param("by", by.person()));
        return new StepEntry(id, step, direction, undoes, by.moment());
    }

    /**
     * All moves of one press, at least one, in one statement. Within a statement of the only writer SQLite gives ascending ids,
     * each one more than the last.
     */
    List<LedgerEntry> addMoves(By by, long job, Optional<Long> stepEntry, Ledger things, List<NewMove> moves) {
        List<List<Object>> rows = moves.stream()
                .map(one -> Arrays.<Object>asList(
                        one.move().thing(),
                        kind(things.thing(one.move().thing())),
                        one.move().from().name(),
                        one.move().to().name(),
                        one.move().count(),
                        one.move().reason(),
                        one.move().basis().name(),
                        one.undoes().orElse(null)))
                .toList();
        long last = Sql.inserted(jdbc.sql("""
                                INSERT INTO ledger_entry (job_id, step_entry_id, thing, kind, from_account, to_account,
                                                          count, reason, basis, undoes, moment, at, by)
                                SELECT :job, :stepEntry, value ->> 0, value ->> 1, value ->> 2, value ->> 3,
                                       value ->> 4, value ->> 5, value ->> 6, value ->> 7, :moment, :at, :by
                                FROM json_each(:rows)
                                """)
                .param("job", job)
                .param("stepEntry", stepEntry.orElse(null))
                .param("rows", Stored.text(rows))
                .param("moment", by.moment().number())
                .param("at", by.at().toEpochMilli())
                .param("by", by.person()));
        long first = last - moves.size() + 1;
        return IntStream.range(0, moves.size())
                .mapToObj(at -> new LedgerEntry(
                        first + at,
                        stepEntry,
                        moves.get(at).move(),
                        moves.get(at).undoes(),
                        by.moment()))
                .toList();
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
