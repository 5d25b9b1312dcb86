package wrenchnotes.server.job;

import java.util.HashMap;
import java.util.Map;
import java.util.stream.LongStream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.diagnosis.history.BenchTime;
import wrenchnotes.core.unit.By;

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

    public BenchTime of(long job) {
        LongStream.Builder entries = LongStream.builder();
        jdbc.sql(ENTERED).param("job", job).query(row -> {
            entries.add(BenchTime.entry(row.getLong("at"), row.getBoolean("pause")));
        });
        Map<Long, Integer> said = new HashMap<>();
        jdbc.sql("SELECT from_at, minutes FROM gap_said WHERE job_id = :job ORDER BY id")
                .param("job", job)
                .query(row -> {
                    said.put(row.getLong("from_at"), row.getInt("minutes"));
                });
        return BenchTime.of(entries.build().toArray(), said);
    }

    void say(By by, long job, BenchTime.Gap gap) {
        jdbc.sql("INSERT INTO gap_said (job_id, from_at, minutes, at, by) VALUES (:job, :from, :minutes, :at, :by)")
                .param("job", job)
                .param("from", gap.from().toEpochMilli())
                .param("minutes", gap.minutes().orElseThrow())
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .update();
    }
}
