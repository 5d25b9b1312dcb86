package wrenchnotes.server.teardown;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** How long the steps of a revision took in this shop. */
@Component
public class StepTimesStore {

    /**
     * From one step in to the next in the same job, or from the beginning of the run, newest first, pauses left out. A gap
     * of more than an hour is another day and says nothing; neither does a step that was taken back.
     */
    public static final String TIMES = """
            SELECT step, minutes
            FROM (SELECT entry.step, entry.direction, entry.undoes, entry.id, entry.job_id,
                         (entry.at - MAX(
                             COALESCE(LAG(entry.at) OVER in_turn, 0),
                             COALESCE((SELECT MAX(started_at) FROM run
                                       WHERE run.job_id = entry.job_id AND started_at <= entry.at), 0)
                         ) - (
                             SELECT COALESCE(SUM(MIN(COALESCE(to_at, entry.at), entry.at) - from_at), 0)
                             FROM pause
                             WHERE pause.job_id = entry.job_id AND from_at < entry.at
                               AND from_at >= COALESCE((SELECT MAX(earlier.at) FROM step_entry AS earlier
                                                        WHERE earlier.job_id = entry.job_id AND earlier.id < entry.id), 0)
                         )) / 60000.0 AS minutes
                  FROM step_entry AS entry
                  JOIN job ON job.id = entry.job_id
                  WHERE job.id IN (SELECT id FROM job WHERE revision_id = :revision ORDER BY id DESC LIMIT 200)
                  WINDOW in_turn AS (PARTITION BY entry.job_id ORDER BY entry.id)) AS taken
            WHERE direction = 'IN' AND undoes IS NULL AND minutes BETWEEN 0.1 AND 60
              AND NOT EXISTS (SELECT 1
                              FROM step_entry AS back
                              WHERE back.job_id = taken.job_id AND back.undoes = taken.id)
            ORDER BY id DESC
            """;

    private final JdbcClient jdbc;

    StepTimesStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Minutes by step id, over the last two hundred jobs. */
    Map<String, List<Double>> ofRevision(long revision) {
        Map<String, List<Double>> times = new HashMap<>();
        jdbc.sql(TIMES).param("revision", revision).query(row -> {
            times.computeIfAbsent(row.getString("step"), step -> new ArrayList<>())
                    .add(row.getDouble("minutes"));
        });
        return times;
    }
}
