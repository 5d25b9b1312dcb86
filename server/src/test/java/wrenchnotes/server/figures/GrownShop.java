package wrenchnotes.server.figures;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;

/**
 * A shop with many years behind it: the demo shop's finished jobs, each with its unit, journal, ledger and findings,
 * laid down again and again over ten years. What lies open stays what fits on the rack's shelves.
 */
final class GrownShop {

    private static final String FINISHED = "(SELECT id FROM job WHERE handed_over_at IS NOT NULL)";

    /** Each copy is laid a few days further back, over ten years. */
    private static final String BACK = "- (k * 17 % 3650) * 86400000";

    private record Table(String name, String columns, String values) {}

    private static final List<Table> TABLES = List.of(
            new Table(
                    "unit",
                    "id, tag, serial, revision_id, made_at",
                    "id + k * :units, tag + k * :units, iif(serial = '', '', serial || '-' || k), revision_id, made_at "
                            + BACK),
            new Table(
                    "job",
                    "id, unit_id, revision_id, ownership, owner_id, slot, complaint, condition_words, checked_in_at, "
                            + "checked_in_by, due_at, teardown_id, handed_over_at, version, bench_version",
                    "id + k * :jobs, unit_id + k * :units, revision_id, ownership, owner_id, slot, complaint, "
                            + "condition_words, checked_in_at " + BACK + ", checked_in_by, due_at " + BACK
                            + ", teardown_id, handed_over_at " + BACK + ", version, bench_version"),
            new Table("job_symptom", "job_id, symptom_id, present", "job_id + k * :jobs, symptom_id, present"),
            new Table("job_mark", "job_id, mark", "job_id + k * :jobs, mark"),
            new Table("belonging", "job_id, place, name", "job_id + k * :jobs, place, name"),
            new Table(
                    "step_entry",
                    "id, job_id, step, direction, undoes, at, by",
                    "id + k * :rows, job_id + k * :jobs, step, direction, undoes + k * :rows, at " + BACK + ", by"),
            new Table(
                    "ledger_entry",
                    "id, job_id, step_entry_id, thing, kind, from_account, to_account, count, reason, undoes, at, by",
                    "id + k * :rows, job_id + k * :jobs, step_entry_id + k * :rows, thing, kind, from_account, "
                            + "to_account, count, reason, undoes + k * :rows, at " + BACK + ", by"),
            new Table("closing", "job_id, at, by", "job_id + k * :jobs, at " + BACK + ", by"),
            new Table(
                    "finding",
                    "id, job_id, unit_id, revision_id, component_id, fault_id, remedy, part_id, part_count, cost_minor, "
                            + "remark, at, by",
                    "id + k * :rows, job_id + k * :jobs, unit_id + k * :units, revision_id, component_id, fault_id, "
                            + "remedy, part_id, part_count, cost_minor, remark, at " + BACK + ", by"),
            new Table(
                    "check_entry",
                    "job_id, stage, verdict, what, covers_on, load, times, remark, at, by",
                    "job_id + k * :jobs, stage, verdict, what, covers_on, load, times, remark, at " + BACK + ", by"),
            new Table(
                    "outcome_entry",
                    "job_id, outcome, remark, at, by",
                    "job_id + k * :jobs, outcome, remark, at " + BACK + ", by"),
            new Table(
                    "journal",
                    "at, by, job_id, subject, subject_id, words, before, after",
                    "at " + BACK + ", by, job_id + k * :jobs, subject, subject_id, words, before, after"),
            new Table(
                    "finder",
                    "rowid, tag, serial, model, owner, symptoms",
                    "rowid + k * :jobs, (SELECT printf('WN-%04d %d', tag, tag) FROM unit WHERE unit.id = "
                            + "(SELECT unit_id FROM job WHERE job.id = finder.rowid) + k * :units), "
                            + "serial, model, owner, symptoms"));

    private GrownShop() {}

    /** Grows the demo shop in the folder to about so many jobs, and says how many it has then. */
    static int grow(Path data, int jobs) throws SQLException {
        try (Connection connection = open(data);
                Statement statement = connection.createStatement()) {
            connection.setAutoCommit(false);
            int finished = single(statement, "SELECT COUNT(*) FROM " + FINISHED);
            int copies = Math.max(0, (jobs - single(statement, "SELECT COUNT(*) FROM job")) / finished);
            String units = Integer.toString(single(statement, "SELECT MAX(MAX(id), MAX(tag)) FROM unit"));
            String stays = Integer.toString(single(statement, "SELECT MAX(id) FROM job"));
            // Wider than the longest table, so that one stride serves them all.
            String rows = Integer.toString(single(statement, "SELECT MAX(id) FROM journal"));
            for (Table table : TABLES) {
                statement.execute(copy(table, copies)
                        .replace(":units", units)
                        .replace(":jobs", stays)
                        .replace(":rows", rows));
            }
            connection.commit();
            connection.setAutoCommit(true);
            statement.execute("ANALYZE");
            return single(statement, "SELECT COUNT(*) FROM job");
        }
    }

    private static String copy(Table table, int copies) {
        String job =
                switch (table.name()) {
                    case "unit" -> "EXISTS (SELECT 1 FROM job WHERE unit_id = unit.id AND id IN " + FINISHED + ")";
                    case "job" -> "id IN " + FINISHED;
                    case "finder" -> "rowid IN " + FINISHED;
                    default -> "job_id IN " + FINISHED;
                };
        return """
                WITH RECURSIVE copy (k) AS (SELECT 1 UNION ALL SELECT k + 1 FROM copy WHERE k < %d)
                INSERT INTO %s (%s)
                SELECT %s
                FROM copy CROSS JOIN (SELECT %s * FROM %s WHERE %s) AS %s
                """.formatted(
                        copies,
                        table.name(),
                        table.columns(),
                        table.values(),
                        table.name().equals("finder") ? "rowid," : "",
                        table.name(),
                        job,
                        table.name());
    }

    static Connection open(Path data) throws SQLException {
        return DriverManager.getConnection("jdbc:sqlite:" + data.resolve("wrench-notes.sqlite")
                + "?journal_mode=WAL&cache_size=-65536&mmap_size=268435456");
    }

    /** What the file takes on the disk, shared out over the jobs. */
    static int bytesAJob(Statement statement) throws SQLException {
        return single(
                statement,
                "SELECT page_count * page_size / (SELECT COUNT(*) FROM job) FROM pragma_page_count, pragma_page_size");
    }

    static int single(Statement statement, String sql) throws SQLException {
        try (ResultSet row = statement.executeQuery(sql)) {
            row.next();
            return row.getInt(1);
        }
    }
}
