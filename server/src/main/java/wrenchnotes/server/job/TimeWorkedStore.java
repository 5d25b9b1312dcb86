package wrenchnotes.server.job;

import java.util.stream.LongStream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.diagnosis.history.BenchTime;

/** How long was worked on a job, by everything that was entered at its bench. */
@Component
public class TimeWorkedStore {

    private static final String ENTERED = """
            SELECT started_at AS at, 0 AS pause FROM run WHERE job_id = :job
            UNION ALL SELECT at, 0 FROM step_entry WHERE job_id = :job
            UNION ALL SELECT at, 0 FROM closing WHERE job_id = :job
            UNION ALL SELECT at, 0 FROM finding WHERE job_id = :job
            UNION ALL SELECT at, 0 FROM check_entry WHERE job_id = :job
            UNION ALL SELECT from_at, 1 FROM pause WHERE job_id = :job
            UNION ALL SELECT COALESCE(to_at, from_at), 0 FROM pause WHERE job_id = :job
            """;

    private final JdbcClient jdbc;

    TimeWorkedStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** In milliseconds. */
    public long millis(long job) {
        LongStream.Builder entries = LongStream.builder();
        jdbc.sql(ENTERED).param("job", job).query(row -> {
            entries.add(BenchTime.entry(row.getLong("at"), row.getBoolean("pause")));
        });
        return BenchTime.millis(entries.build().toArray());
    }
}
