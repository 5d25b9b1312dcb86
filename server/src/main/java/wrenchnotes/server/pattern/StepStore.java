package wrenchnotes.server.pattern;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.Rework;
import wrenchnotes.core.recurring.StepWorth.StepHistory;
import wrenchnotes.server.teardown.StepTimesStore;

/** What happened to the steps of a revision, over its last two hundred jobs. */
@Component
class StepStore {

    private static final String LAST = "(SELECT id FROM job WHERE revision_id = :revision ORDER BY id DESC LIMIT 200)";

    private final JdbcClient jdbc;

    StepStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    StepHistory of(long revision) {
        Map<String, List<Double>> minutes = new HashMap<>();
        jdbc.sql(StepTimesStore.TIMES).param("revision", revision).query(row -> {
            minutes.computeIfAbsent(row.getString("step"), step -> new ArrayList<>())
                    .add(row.getDouble("minutes"));
        });
        Map<String, List<String>> again = new HashMap<>();
        jdbc.sql("SELECT step, reason FROM opened_again WHERE job_id IN " + LAST)
                .param("revision", revision)
                .query(row -> {
                    Rework reason = Rework.valueOf(row.getString("reason"));
                    if (reason.counts()) {
                        again.computeIfAbsent(row.getString("step"), step -> new ArrayList<>())
                                .add(reason.words());
                    }
                });
        return new StepHistory(minutes, counts(revision, """
                        SELECT step AS name, COUNT(DISTINCT job_id) AS jobs FROM step_entry
                        WHERE direction = 'IN' AND undoes IS NULL AND job_id IN %s
                        GROUP BY step
                        """), counts(revision, """
                        SELECT thing AS name, COUNT(DISTINCT job_id) AS jobs FROM ledger_entry
                        WHERE (to_account IN ('MISSING_ON_ARRIVAL', 'LOST') OR to_account = 'LEFT_OUT' AND from_account = 'TRAY')
                          AND job_id IN %s
                          AND NOT EXISTS (SELECT 1 FROM ledger_entry AS undone
                                          WHERE undone.job_id = ledger_entry.job_id AND undone.undoes = ledger_entry.id)
                        GROUP BY thing
                        """), again);
    }

    private Map<String, Integer> counts(long revision, String sql) {
        Map<String, Integer> counts = new HashMap<>();
        jdbc.sql(sql.formatted(LAST)).param("revision", revision).query(row -> {
            counts.put(row.getString("name"), row.getInt("jobs"));
        });
        return counts;
    }
}
