package wrenchnotes.server.ground.upgrade;

import java.sql.SQLException;
import java.sql.Statement;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.LongStream;
import org.flywaydb.core.api.MigrationVersion;
import org.flywaydb.core.api.migration.Context;
import org.flywaydb.core.api.migration.JavaMigration;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;
import wrenchnotes.core.diagnosis.history.BenchTime;

/** A closed job keeps how long was worked on it: nothing is entered at its bench any more, and the closed book reads it at each start. */
public final class V11TimeWorked implements JavaMigration {

    private static final String ENTERED = """
            SELECT job_id, started_at AS at, 0 AS pause FROM run
            UNION ALL SELECT job_id, at, 0 FROM step_entry
            UNION ALL SELECT job_id, at, 0 FROM closing
            UNION ALL SELECT job_id, at, 0 FROM finding
            UNION ALL SELECT job_id, at, 0 FROM check_entry
            UNION ALL SELECT job_id, from_at, 1 FROM pause
            UNION ALL SELECT job_id, COALESCE(to_at, from_at), 0 FROM pause
            """;

    @Override
    public MigrationVersion getVersion() {
        return MigrationVersion.fromVersion("11");
    }

    @Override
    public String getDescription() {
        return "time worked";
    }

    /** Raised by whoever edits it: never, once it has landed. */
    @Override
    public Integer getChecksum() {
        return 11;
    }

    @Override
    public boolean canExecuteInTransaction() {
        return true;
    }

    @Override
    public void migrate(Context context) throws SQLException {
        try (Statement statement = context.getConnection().createStatement()) {
            statement.execute("ALTER TABLE job ADD COLUMN bench_millis INTEGER");
        }
        JdbcClient jdbc = JdbcClient.create(new SingleConnectionDataSource(context.getConnection(), true));
        Map<Long, LongStream.Builder> entries = new HashMap<>();
        jdbc.sql(ENTERED).query(row -> {
            entries.computeIfAbsent(row.getLong("job_id"), id -> LongStream.builder())
                    .add(BenchTime.entry(row.getLong("at"), row.getBoolean("pause")));
        });
        jdbc.sql("UPDATE job SET bench_millis = 0 WHERE handed_over_at IS NOT NULL")
                .update();
        entries.forEach((job, its) -> jdbc.sql(
                        "UPDATE job SET bench_millis = :millis WHERE id = :job AND handed_over_at IS NOT NULL")
                .param(
                        "millis",
                        BenchTime.of(its.build().toArray(), Map.of()).worked().toMillis())
                .param("job", job)
                .update());
    }
}
