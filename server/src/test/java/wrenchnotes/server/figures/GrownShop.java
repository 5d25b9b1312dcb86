package wrenchnotes.server.figures;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * A shop with many years behind it: the demo shop's finished jobs, each with its unit and with every row of every table that is about
 * them, laid down again and again over ten years. What lies open stays what fits on the rack's shelves. Which tables those are,
 * and what in them refers to what, is read off the database.
 */
public final class GrownShop {

    private static final String FINISHED = "(SELECT id FROM job WHERE handed_over_at IS NOT NULL AND id <= :last)";

    /** Each copy is laid a few days further back, over ten years. */
    private static final String BACK = " - (k * 17 % 3650) * 86400000";

    /** What benches propose waits for a lead: it is not what a finished job leaves behind. */
    private static final List<String> NOT_COPIED = List.of("proposal");

    private static final int LENT = 40;
    /** What a line of the journal is about, and the table that it stands in. */
    private static final Map<String, String> SUBJECTS = Map.of(
            "job", "job", "entry", "entry", "finding", "finding", "check", "check_entry", "measurement", "measurement");

    private final Statement statement;
    /** Of each growing table, first those that others refer to: its columns that refer to another one, and to which. */
    private final Map<String, Map<String, String>> growing = new LinkedHashMap<>();

    private final Map<String, Long> strides = new HashMap<>();

    private final List<String> resting = new ArrayList<>();

    private GrownShop(Statement statement) {
        this.statement = statement;
    }

    /** @param tables those that grew with the jobs */
    public record Grown(int jobs, List<String> tables) {}

    /** Grows the demo shop in the folder to about so many jobs. */
    public static Grown grow(Path data, int jobs) throws SQLException {
        try (Connection connection = open(data);
                Statement statement = connection.createStatement()) {
            statement.execute("PRAGMA foreign_keys = OFF");
            connection.setAutoCommit(false);
            GrownShop shop = new GrownShop(statement);
            shop.growTo(jobs);
            connection.commit();
            return new Grown(single(statement, "SELECT COUNT(*) FROM job"), List.copyOf(shop.growing.keySet()));
        }
    }

    private void growTo(int jobs) throws SQLException {
        growing.put("unit", Map.of());
        growing.put("job", references("job"));
        for (int found = 0; found < growing.size(); ) {
            found = growing.size();
            for (String table :
                    texts("SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT GLOB 'find_*'")) {
                Map<String, String> references = references(table);
                if (!growing.containsKey(table) && !NOT_COPIED.contains(table) && !references.isEmpty()) {
                    growing.put(table, references);
                }
            }
        }
        long last = single(statement, "SELECT MAX(id) FROM job");
        long moments = single(statement, "SELECT MAX(moment) FROM journal");
        int copies = Math.max(
                0,
                (jobs - single(statement, "SELECT COUNT(*) FROM job"))
                        / single(statement, "SELECT COUNT(*) FROM " + FINISHED.replace(":last", "" + last)));
        finderRests();
        for (String table : growing.keySet()) {
            lend(table, last);
        }
        for (String table : growing.keySet()) {
            strides.put(table, has(table, "id") ? single(statement, "SELECT COALESCE(MAX(id), 0) FROM " + table) : 0L);
        }
        strides.put("unit", (long) single(statement, "SELECT MAX(MAX(id), MAX(tag)) FROM unit"));
        for (String table : growing.keySet()) {
            copy(table, copies, last, moments);
        }
        finderIsFilled();
        try (ResultSet broken = statement.executeQuery("PRAGMA foreign_key_check")) {
            if (broken.next()) {
                throw new IllegalStateException("A copied row of " + broken.getString(1) + " refers to nothing");
            }
        }
    }

    /** Where the demo's finished jobs have left nothing of a kind, some of what its open jobs have is laid to them. */
    private void lend(String table, long last) throws SQLException {
        if (!growing.get(table).containsKey("job_id")
                || single(statement, "SELECT COUNT(*) FROM " + table + " WHERE " + about(table, last)) > 0) {
            return;
        }
        String values = columns(table).stream()
                .map(column ->
                        column.equals("job_id") ? "lent.id" : column.equals("id") ? "NULL" : table + "." + column)
                .collect(Collectors.joining(", "));
        statement.execute("""
                INSERT INTO %s (%s)
                SELECT %s
                FROM (SELECT * FROM %s LIMIT 1) AS %s
                CROSS JOIN (SELECT id FROM %s LIMIT %d) AS lent
                """.formatted(
                        table,
                        String.join(", ", columns(table)),
                        values,
                        table,
                        table,
                        FINISHED.replace(":last", "" + last),
                        LENT));
    }

    private Map<String, String> references(String table) throws SQLException {
        Map<String, String> references = new HashMap<>();
        try (ResultSet keys = statement.executeQuery("PRAGMA foreign_key_list(" + table + ")")) {
            while (keys.next()) {
                String to = keys.getString("table");
                if (growing.containsKey(to) || to.equals(table)) {
                    references.put(keys.getString("from"), to);
                }
            }
        }
        // A table that refers to itself alone does not grow with the jobs.
        return references.values().stream().allMatch(table::equals) ? Map.of() : references;
    }

    private boolean has(String table, String column) throws SQLException {
        return columns(table).contains(column);
    }

    private List<String> columns(String table) throws SQLException {
        return texts("SELECT name FROM pragma_table_info('" + table + "') ORDER BY cid");
    }

    private List<String> texts(String sql) throws SQLException {
        List<String> texts = new ArrayList<>();
        try (ResultSet row = statement.executeQuery(sql)) {
            while (row.next()) {
                texts.add(row.getString(1));
            }
        }
        return texts;
    }

    private void copy(String table, int copies, long last, long moments) throws SQLException {
        List<String> columns = columns(table);
        String values =
                columns.stream().map(column -> value(table, column, moments)).collect(Collectors.joining(", "));
        statement.execute(
                """
                WITH RECURSIVE copy (k) AS (SELECT 1 UNION ALL SELECT k + 1 FROM copy WHERE k < %d)
                INSERT INTO %s (%s)
                SELECT %s
                FROM copy CROSS JOIN (SELECT * FROM %s WHERE %s) AS %s
                """.formatted(copies, table, String.join(", ", columns), values, table, about(table, last), table));
    }

    private String value(String table, String column, long moments) {
        String to = growing.get(table).get(column);
        if (to != null) {
            return column + " + k * " + strides.get(to);
        }
        if (column.equals("id") || column.equals("tag")) {
            return column + " + k * " + strides.get(table);
        }
        if (column.equals("moment") || column.endsWith("_moment")) {
            return column + " + k * " + moments;
        }
        if (column.equals("subject_id")) {
            return "subject_id + k * CASE subject "
                    + SUBJECTS.entrySet().stream()
                            .map(subject -> "WHEN '" + subject.getKey() + "' THEN "
                                    + strides.getOrDefault(subject.getValue(), 0L))
                            .collect(Collectors.joining(" "))
                    + " ELSE 0 END";
        }
        if (column.equals("serial")) {
            return "iif(serial = '', '', serial || '-' || k)";
        }
        return column.equals("at") || column.endsWith("_at") || column.equals("left_off_since")
                ? column + BACK
                : column;
    }

    /** Which rows of a table are about finished jobs. */
    private String about(String table, long last) {
        String finished = FINISHED.replace(":last", "" + last);
        if (table.equals("unit")) {
            return "id IN (SELECT unit_id FROM job WHERE id IN " + finished + ")";
        }
        if (table.equals("job")) {
            return "id IN " + finished;
        }
        Map<String, String> references = growing.get(table);
        if (references.containsKey("job_id")) {
            return "job_id IN " + finished;
        }
        Map.Entry<String, String> parent = references.entrySet().iterator().next();
        return parent.getKey() + " IN (SELECT id FROM " + parent.getValue() + " WHERE " + about(parent.getValue(), last)
                + ")";
    }

    /** One row at a time would take as long as it took the shop: its triggers rest, and each index is filled from its words at the end. */
    private void finderRests() throws SQLException {
        for (String trigger : texts("SELECT name FROM sqlite_master WHERE type = 'trigger' AND name GLOB 'find_*'")) {
            resting.add(texts("SELECT sql FROM sqlite_master WHERE type = 'trigger' AND name = '" + trigger + "'")
                    .get(0));
            statement.execute("DROP TRIGGER " + trigger);
        }
    }

    private void finderIsFilled() throws SQLException {
        for (String index : List.of("job", "finding", "entry", "outcome")) {
            String columns = String.join(", ", columns("find_" + index));
            statement.execute("DELETE FROM find_" + index);
            statement.execute("INSERT INTO find_" + index + " (rowid, " + columns + ") SELECT id, " + columns
                    + " FROM find_" + index + "_words");
        }
        for (String trigger : resting) {
            statement.execute(trigger);
        }
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
