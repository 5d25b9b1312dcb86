package wrenchnotes.server.pattern;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.Rework;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.server.ground.Sql;

/** What happened in a month, as far as the closed book does not say it. */
@Component
class MonthStore {

    /** From a moment to before another. */
    record Within(Instant from, Instant end) {}

    /** @param worked minutes at the bench @param partsMinor what the parts cost @param soldMinor what units fetched @param paidMinor for them */
    record WorkOf(Ownership ownership, int jobs, int worked, long partsMinor, long soldMinor, long paidMinor) {}

    /** @param words "drawer belt, slack" */
    record Back(String words, int jobs) {}

    /** @param step of the notes of a revision; empty if the whole unit was opened again after it was closed @param minutes lost, if that is known */
    record OpenedAgain(long revision, Optional<String> step, Rework reason, Optional<Integer> minutes) {}

    private final JdbcClient jdbc;

    MonthStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    private JdbcClient.StatementSpec within(String sql, Within month) {
        return jdbc.sql(sql)
                .param("from", month.from().toEpochMilli())
                .param("end", month.end().toEpochMilli());
    }

    int takenIn(Within month) {
        return within("SELECT COUNT(*) FROM job WHERE checked_in_at >= :from AND checked_in_at < :end", month)
                .query(Integer.class)
                .single();
    }

    /** Of jobs that were handed over. */
    List<WorkOf> work(Within month) {
        return within("""
                        SELECT ownership, COUNT(*) AS jobs, SUM(bench_millis) / 60000 AS worked,
                               SUM((SELECT COALESCE(SUM(CASE WHEN to_account IN ('UNIT', 'JOB') THEN value_minor ELSE 0 END), 0)
                                           - COALESCE(SUM(CASE WHEN from_account IN ('UNIT', 'JOB') THEN value_minor ELSE 0 END), 0)
                                    FROM part_movement WHERE job_id = job.id)) AS parts,
                               COALESCE(SUM((SELECT minor FROM sale WHERE job_id = job.id ORDER BY id DESC LIMIT 1)), 0) AS sold,
                               COALESCE(SUM(paid_minor), 0) AS paid
                        FROM job
                        WHERE handed_over_at >= :from AND handed_over_at < :end
                        GROUP BY ownership
                        ORDER BY ownership
                        """, month)
                .query((row, n) -> new WorkOf(
                        Ownership.valueOf(row.getString("ownership")),
                        row.getInt("jobs"),
                        row.getInt("worked"),
                        row.getLong("parts"),
                        row.getLong("sold"),
                        row.getLong("paid")))
                .list();
    }

    /** Jobs that came in with what had been mended on an earlier stay, by what it was. */
    List<Back> back(Within month) {
        return within("""
                        SELECT component.name || ', ' || wrong AS words, COUNT(DISTINCT job.id) AS jobs
                        FROM job
                        CROSS JOIN finding ON finding.job_id = job.id
                        JOIN fault ON fault.id = fault_id
                        JOIN component ON component.id = finding.component_id
                        WHERE job.checked_in_at >= :from AND job.checked_in_at < :end
                          AND finding.struck_at IS NULL AND finding.kind IN ('FAULT', 'OURS')
                          AND EXISTS (SELECT 1
                                      FROM finding AS earlier JOIN job AS stay ON stay.id = earlier.job_id
                                      WHERE earlier.unit_id = job.unit_id AND earlier.component_id = finding.component_id
                                        AND earlier.struck_at IS NULL AND earlier.kind = 'FAULT' AND stay.id <> job.id
                                        AND (stay.checked_in_at, stay.id) < (job.checked_in_at, job.id))
                        GROUP BY words
                        ORDER BY jobs DESC, words
                        """, month)
                .query((row, n) -> new Back(row.getString("words"), row.getInt("jobs")))
                .list();
    }

    /** What broke under our hands: by what it was. */
    List<Back> broke(Within month) {
        return within("""
                        SELECT words, SUM(jobs) AS jobs
                        FROM (SELECT component.name || ', ' || wrong AS words, COUNT(*) AS jobs
                              FROM finding JOIN fault ON fault.id = fault_id JOIN component ON component.id = finding.component_id
                              WHERE finding.kind = 'OURS' AND struck_at IS NULL AND finding.at >= :from AND finding.at < :end
                              GROUP BY words
                              UNION ALL
                              SELECT thing || CASE reason WHEN '' THEN '' ELSE ', ' || reason END, SUM(count)
                              FROM ledger_entry
                              WHERE to_account = 'BROKEN' AND at >= :from AND at < :end
                                AND NOT EXISTS (SELECT 1 FROM ledger_entry AS undone WHERE undone.undoes = ledger_entry.id)
                              GROUP BY thing, reason)
                        GROUP BY words
                        ORDER BY jobs DESC, words
                        """, month)
                .query((row, n) -> new Back(row.getString("words"), row.getInt("jobs")))
                .list();
    }

    /** Steps that were opened again on the way, and units that were opened again once they were closed. */
    List<OpenedAgain> openedAgain(Within month) {
        return within("""
                        SELECT revision_id, opened_again.step, reason,
                               (SELECT MIN(back.at) FROM step_entry AS back
                                WHERE back.job_id = job.id AND back.step = opened_again.step AND back.direction = 'OUT'
                                  AND back.at >= opened_again.at) - opened_again.at AS lost
                        FROM opened_again JOIN job ON job.id = opened_again.job_id
                        WHERE opened_again.at >= :from AND opened_again.at < :end
                        UNION ALL
                        SELECT revision_id, NULL, rework, (SELECT closing.at FROM closing WHERE closing.id = closing_id) - started_at
                        FROM run JOIN job ON job.id = run.job_id
                        WHERE rework IS NOT NULL AND started_at >= :from AND started_at < :end
                        """, month)
                .query((row, n) -> new OpenedAgain(
                        row.getLong("revision_id"),
                        Optional.ofNullable(row.getString("step")),
                        Rework.valueOf(row.getString("reason")),
                        Sql.id(row, "lost").map(millis -> (int) (millis / 60_000))))
                .list();
    }
}
