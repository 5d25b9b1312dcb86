package wrenchnotes.server.bench;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.ground.Sql;

/** On which bench each unit lies. */
@Component
class AtBenchStore {

    private final JdbcClient jdbc;

    AtBenchStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param by whoever began there, or took it over */
    public record LyingAt(long jobId, String bench, Instant since, String by) {}

    List<LyingAt> underWay() {
        return jdbc.sql("""
                        SELECT at_bench.job_id, bench, at_bench.at, person.name AS by
                        FROM run
                        CROSS JOIN at_bench ON at_bench.job_id = run.job_id
                        CROSS JOIN person ON person.id = at_bench.by
                        WHERE closing_id IS NULL
                        ORDER BY bench, at_bench.job_id
                        """)
                .query((row, n) -> new LyingAt(
                        row.getLong("job_id"), row.getString("bench"), Sql.instant(row, "at"), row.getString("by")))
                .list();
    }

    Optional<String> of(long job) {
        return jdbc.sql("SELECT bench FROM at_bench WHERE job_id = :job")
                .param("job", job)
                .query(String.class)
                .optional();
    }

    void put(By by, long job, String bench) {
        jdbc.sql("""
                        INSERT INTO at_bench (job_id, bench, at, by) VALUES (:job, :bench, :at, :by)
                        ON CONFLICT (job_id) DO UPDATE SET bench = :bench, at = :at, by = :by
                        """)
                .param("job", job)
                .param("bench", bench)
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .update();
    }
}
