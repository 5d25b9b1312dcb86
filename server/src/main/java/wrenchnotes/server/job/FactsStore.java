package wrenchnotes.server.job;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.RowCallbackHandler;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.Account;
import wrenchnotes.core.bench.Closing;
import wrenchnotes.core.bench.Tally;
import wrenchnotes.core.check.Check;
import wrenchnotes.core.check.MainsWork;
import wrenchnotes.core.check.Stage;
import wrenchnotes.core.check.Verdict;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.advice.WorkHazard;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.job.JobFacts;
import wrenchnotes.core.outcome.Outcome;
import wrenchnotes.core.outcome.OutcomeGiven;
import wrenchnotes.core.teardown.Connector;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.LoosePiece;
import wrenchnotes.server.ground.Sql;
import wrenchnotes.server.shop.TheShop;
import wrenchnotes.server.teardown.form.NotesForm;

/** Loads what the standing of jobs follows from: a handful of queries for one job or for all that are open. */
@Component
public class FactsStore {

    private static final String THESE = "job_id IN (SELECT value FROM json_each(:jobs))";

    private static final String UNSETTLED = Arrays.stream(Account.values())
            .filter(account -> !account.settled())
            .map(account -> "'" + account + "'")
            .collect(Collectors.joining(", "));

    /**
     * A step is open while it went in more often than out; a way in that was taken back never happened. SQLite takes the other
     * columns from the row that has the maximum.
     */
    public static final String STEPS = """
            SELECT entry.job_id,
                   SUM(CASE entry.direction WHEN 'IN' THEN 1 ELSE -1 END) AS open,
                   MAX(CASE WHEN entry.direction = 'IN' AND taken_back.id IS NULL THEN entry.moment END) AS last_in,
                   entry.at AS last_in_at
            FROM step_entry AS entry
            LEFT JOIN step_entry AS taken_back ON taken_back.job_id = entry.job_id AND taken_back.undoes = entry.id
            WHERE entry.%s
            GROUP BY entry.job_id
            """.formatted(THESE);

    public static final String TALLIES = """
            SELECT job_id, kind, account, SUM(n) AS n
            FROM (SELECT job_id, iif(lot, 'LOT', kind) AS kind, to_account AS account, count AS n FROM ledger_entry WHERE %1$s
                  UNION ALL
                  SELECT job_id, iif(lot, 'LOT', kind), from_account, -count FROM ledger_entry WHERE %1$s)
            WHERE account IN (%2$s)
            GROUP BY job_id, kind, account
            HAVING SUM(n) <> 0
            """.formatted(THESE, UNSETTLED);

    /** The last closing of each job, by the same rule. */
    public static final String CLOSINGS = """
            SELECT job_id, at, for_now, MAX(moment) AS moment
            FROM closing
            WHERE %s
            GROUP BY job_id
            """.formatted(THESE);

    public static final String PLANS = """
            SELECT job.id AS job_id, overview
            FROM job JOIN teardown ON teardown.id = job.teardown_id
            WHERE job.id IN (SELECT value FROM json_each(:jobs)) AND overview <> '{}'
            """;

    /** After it was closed for good, or on a run after something was back already; trial fits are counted apart. */
    public static final String REWORKS = """
            SELECT job_id, COUNT(*) AS n
            FROM (SELECT job_id, rework FROM run WHERE %1$s
                  UNION ALL
                  SELECT job_id, reason FROM opened_again WHERE %1$s)
            WHERE rework <> 'TRIAL_FIT'
            GROUP BY job_id
            """.formatted(THESE);

    public static final String HOLDS =
            "SELECT job_id, kind, why, component_id, step, from_at, until_at, ended_at FROM hold WHERE %s ORDER BY id"
                    .formatted(THESE);

    public static final String CHECKS = """
            SELECT job_id, stage, verdict, planned, what, covers_on, powered, load, times, remark, as_remark,
                   moment, at
            FROM check_entry
            WHERE %s AND struck_at IS NULL
            ORDER BY moment, id
            """.formatted(THESE);

    /** The last given outcome of each job, by the same rule. */
    public static final String OUTCOMES =
            "SELECT job_id, outcome, remark, at, MAX(moment) AS moment FROM outcome_entry WHERE %s GROUP BY job_id"
                    .formatted(THESE);

    /** What stands, in words. */
    public static final String FINDINGS = """
            SELECT job_id, component.name || ': ' || fault.wrong AS words, remedy, moment, at
            FROM finding
            JOIN component ON component.id = finding.component_id
            JOIN fault ON fault.id = finding.fault_id
            WHERE %s AND struck_at IS NULL
            """.formatted(THESE);

    /** What was replaced on the mains side, and what was measured after. */
    public static final String REPLACED_MAINS = """
            SELECT job_id, mains, moment, at
            FROM ledger_entry AS entry
            WHERE mains IS NOT NULL AND %s
              AND NOT EXISTS (SELECT 1 FROM ledger_entry AS back WHERE back.job_id = entry.job_id AND back.undoes = entry.id)
            """.formatted(THESE);

    /** What is in the unit, or was used on it, and must not leave the shop. */
    public static final String TEST_PARTS = """
            SELECT job_id, part.name
            FROM part_movement JOIN part ON part.id = part_id AND part.temporary = 1
            WHERE %s
            GROUP BY job_id, part.id
            HAVING SUM(CASE WHEN to_account IN ('UNIT', 'JOB') THEN part_movement.count ELSE 0 END)
                 > SUM(CASE WHEN from_account IN ('UNIT', 'JOB') THEN part_movement.count ELSE 0 END)
            """.formatted(THESE);

    public static final String ELECTRICAL = """
            SELECT job_id, said, moment, at, person.name AS by
            FROM entry JOIN person ON person.id = entry.by
            WHERE kind = 'ELECTRICAL' AND %s
            ORDER BY entry.id
            """.formatted(THESE);

    private final JdbcClient jdbc;
    private final TheShop shop;

    FactsStore(JdbcClient jdbc, TheShop shop) {
        this.jdbc = jdbc;
        this.shop = shop;
    }

    public JobFacts of(Job job) {
        return of(List.of(job)).get(job.id());
    }

    /** The facts of each of these jobs, by id. */
    public Map<Long, JobFacts> of(Collection<Job> jobs) {
        Gathered gathered = new Gathered();
        String ids = jobs.stream().map(job -> Long.toString(job.id())).collect(Collectors.joining(",", "[", "]"));
        each(STEPS, ids, row -> {
            long job = row.getLong("job_id");
            gathered.openSteps.put(job, row.getInt("open"));
            if (Sql.id(row, "last_in").isPresent()) {
                gathered.lastIn.put(job, Sql.moment(row, "last_in", "last_in_at"));
            }
        });
        each(
                TALLIES,
                ids,
                row -> gathered.tallies.merge(
                        row.getLong("job_id"),
                        tally(row.getString("kind"), Account.valueOf(row.getString("account")), row.getInt("n")),
                        Tally::plus));
        each(
                CLOSINGS,
                ids,
                row -> gathered.closings.put(
                        row.getLong("job_id"),
                        new Closing(Sql.moment(row), Optional.ofNullable(row.getString("for_now")))));
        each(
                PLANS,
                ids,
                row -> gathered.plans.put(row.getLong("job_id"), NotesForm.overview(row.getString("overview"))));
        each(REWORKS, ids, row -> gathered.reworks.put(row.getLong("job_id"), row.getInt("n")));
        each(HOLDS, ids, row -> gathered.holds
                .computeIfAbsent(row.getLong("job_id"), job -> new ArrayList<>())
                .add(HoldStore.held(row)));
        each(CHECKS, ids, row -> gathered.checks
                .computeIfAbsent(row.getLong("job_id"), job -> new ArrayList<>())
                .add(check(row)));
        each(
                OUTCOMES,
                ids,
                row -> gathered.outcomes.put(
                        row.getLong("job_id"),
                        new OutcomeGiven(
                                Outcome.valueOf(row.getString("outcome")), row.getString("remark"), Sql.moment(row))));
        each(FINDINGS, ids, row -> {
            gathered.findings.merge(row.getLong("job_id"), 1, Integer::sum);
            if (WorkHazard.isMainsWork(Remedy.valueOf(row.getString("remedy")), row.getString("words"))) {
                gathered.worked(row.getLong("job_id"), new MainsWork.Done(row.getString("words"), Sql.moment(row)));
            }
        });
        each(
                REPLACED_MAINS,
                ids,
                row -> gathered.worked(
                        row.getLong("job_id"), new MainsWork.Done(row.getString("mains"), Sql.moment(row))));
        each(TEST_PARTS, ids, row -> gathered.testParts
                .computeIfAbsent(row.getLong("job_id"), job -> new ArrayList<>())
                .add(row.getString("name")));
        each(ELECTRICAL, ids, row -> gathered.measured
                .computeIfAbsent(row.getLong("job_id"), job -> new ArrayList<>())
                .add(new MainsWork.Made(
                        EntryStore.electrical(row.getString("said")), Sql.moment(row), row.getString("by"))));
        return jobs.stream().collect(Collectors.toMap(Job::id, job -> gathered.facts(job, asksForElectrical())));
    }

    /** Whether the shop has it measured after such work. */
    public boolean asksForElectrical() {
        return shop.now().electrical().asked();
    }

    private void each(String sql, String ids, RowCallbackHandler row) {
        jdbc.sql(sql).param("jobs", ids).query(row);
    }

    /** A check, from a row with the columns of its table. */
    public static Check check(ResultSet row) throws SQLException {
        return new Check(
                Stage.valueOf(row.getString("stage")),
                Verdict.valueOf(row.getString("verdict")),
                Optional.ofNullable(row.getString("planned")),
                row.getString("what"),
                row.getBoolean("covers_on"),
                row.getBoolean("powered"),
                row.getString("load"),
                row.getInt("times"),
                row.getString("remark"),
                Optional.ofNullable(row.getString("as_remark")),
                Sql.moment(row));
    }

    private static Tally tally(String kind, Account account, int n) {
        if (kind.equals("LOT") && account == Account.TRAY) {
            return Tally.uncounted(n);
        }
        return Tally.of(
                switch (kind) {
                    case "FASTENER" -> FastenerGroup.class;
                    case "CONNECTOR" -> Connector.class;
                    default -> LoosePiece.class;
                },
                account,
                n);
    }
}
