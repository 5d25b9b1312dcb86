package wrenchnotes.server.ground.upgrade;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import org.flywaydb.core.api.MigrationVersion;
import org.flywaydb.core.api.migration.Context;
import org.flywaydb.core.api.migration.JavaMigration;
import org.springframework.core.io.ClassPathResource;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;
import org.springframework.jdbc.datasource.init.ScriptUtils;

/**
 * The store put right: no lists of words in constraints, moments beside times, notes pinned, lines that name owners by id,
 * guards on what is written once. Tables that others refer to cannot be dropped inside a transaction while foreign keys are on,
 * not even with deferred ones: so they are off, the whole is one transaction of its own, and it is undone unless every key
 * still finds its row.
 */
public final class V9TheStore implements JavaMigration {

    private static final List<String> REBUILT = List.of(
            "person",
            "model",
            "job",
            "job_mark",
            "hold",
            "step_entry",
            "ledger_entry",
            "closing",
            "run",
            "finding",
            "check_entry",
            "outcome_entry",
            "proposal",
            "triage",
            "finding_symptom",
            "component_look",
            "overruling",
            "measurement",
            "reading",
            "answered");

    @Override
    public MigrationVersion getVersion() {
        return MigrationVersion.fromVersion("9");
    }

    @Override
    public String getDescription() {
        return "the store";
    }

    /** Raised by whoever edits it: never, once it has landed. */
    @Override
    public Integer getChecksum() {
        return 9;
    }

    @Override
    public boolean canExecuteInTransaction() {
        return false;
    }

    @Override
    public void migrate(Context context) throws SQLException {
        Connection connection = context.getConnection();
        run(connection, "PRAGMA foreign_keys = OFF");
        try {
            run(connection, "BEGIN IMMEDIATE");
            try {
                rebuild(connection);
                run(connection, "COMMIT");
            } catch (SQLException | RuntimeException e) {
                run(connection, "ROLLBACK");
                throw e;
            }
        } finally {
            run(connection, "PRAGMA foreign_keys = ON");
        }
    }

    private static void rebuild(Connection connection) throws SQLException {
        run(connection, "CREATE INDEX journal_for_moments ON journal (job_id, subject, subject_id)");
        script(connection, "V9-tables.sql");
        for (String table : REBUILT) {
            run(connection, "DROP TABLE " + table);
            run(connection, "ALTER TABLE " + table + "_next RENAME TO " + table);
        }
        run(connection, "DROP INDEX journal_for_moments");
        script(connection, "V9-indexes.sql");
        JdbcClient jdbc = JdbcClient.create(new SingleConnectionDataSource(connection, true));
        new V9Lines(jdbc).nameOwnersById();
        new V9Pins(jdbc).pinLockedJobs();
        for (String guard : V9Guards.all()) {
            run(connection, guard);
        }
        try (Statement statement = connection.createStatement();
                ResultSet broken = statement.executeQuery("PRAGMA foreign_key_check")) {
            if (broken.next()) {
                throw new SQLException("A row of " + broken.getString("table") + " would lose what it refers to in "
                        + broken.getString("parent") + ": nothing was changed");
            }
        }
    }

    private static void script(Connection connection, String name) {
        ScriptUtils.executeSqlScript(connection, new ClassPathResource("db/rebuild/" + name));
    }

    private static void run(Connection connection, String sql) throws SQLException {
        try (Statement statement = connection.createStatement()) {
            statement.execute(sql);
        }
    }
}
