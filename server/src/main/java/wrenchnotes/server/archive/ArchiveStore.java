package wrenchnotes.server.archive;

import java.io.IOException;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.file.Path;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToLongFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javax.sql.DataSource;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import org.apache.commons.csv.QuoteMode;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.RowCallbackHandler;
import org.springframework.jdbc.datasource.DataSourceTransactionManager;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;
import org.springframework.transaction.support.TransactionTemplate;
import wrenchnotes.server.ground.upgrade.Upgrade;

/**
 * Tables as comma-separated values and back, cell by cell as they are stored: a cell without a value is empty, an empty text stands in
 * quotes (RFC 4180).
 */
final class ArchiveStore {

    private static final CSVFormat CSV = CSVFormat.RFC4180
            .builder()
            .setRecordSeparator("\n")
            .setQuoteMode(QuoteMode.ALL_NON_NULL)
            .setNullString("")
            .get();

    private static final int AT_ONCE = 500;

    private final JdbcTemplate jdbc;

    ArchiveStore(DataSource shop) {
        this.jdbc = new JdbcTemplate(shop);
        // A row at a time: a table need not fit into memory.
        jdbc.setFetchSize(AT_ONCE);
    }

    /**
     * Makes the tables of an earlier form in a new database, and has them filled in one transaction.
     *
     * @throws ArchiveFailed if this program does not know that form
     */
    static long fill(Path database, String version, ToLongFunction<ArchiveStore> work) {
        SingleConnectionDataSource shop =
                new SingleConnectionDataSource("jdbc:sqlite:" + database + "?journal_mode=WAL&foreign_keys=off", true);
        try {
            boolean known = Stream.of(Upgrade.of(shop).info().all())
                    .anyMatch(one -> one.getVersion().getVersion().equals(version));
            if (!known) {
                throw new ArchiveFailed("The archive was written by a newer program, whose tables are of form "
                        + version + ": take that program.");
            }
            Upgrade.to(shop, version).migrate();
            ArchiveStore store = new ArchiveStore(shop);
            return new TransactionTemplate(new DataSourceTransactionManager(shop)).execute(status -> {
                // A row may name a later one of its own table: what is missing is looked for at the end.
                store.jdbc.execute("PRAGMA defer_foreign_keys = ON");
                return work.applyAsLong(store);
            });
        } finally {
            shop.destroy();
        }
    }

    /** @param names the table that it names a row of; empty if it is a value of its own */
    record Column(String name, String type, boolean needed, String names) {}

    /** The number of the tables' form. */
    String version() {
        return jdbc.queryForObject(
                "SELECT version FROM flyway_schema_history WHERE success = 1 ORDER BY installed_rank DESC LIMIT 1",
                String.class);
    }

    List<String> tables() {
        return jdbc.queryForList("SELECT name FROM sqlite_master WHERE type = 'table' ORDER BY name", String.class);
    }

    List<Column> columns(String table) {
        return jdbc.query(
                """
                SELECT name, type, "notnull", COALESCE((SELECT "table" FROM pragma_foreign_key_list(?1)
                                                        WHERE "from" = info.name LIMIT 1), '') AS names
                FROM pragma_table_info(?1) AS info
                """,
                (row, n) -> new Column(
                        row.getString("name"),
                        row.getString("type"),
                        row.getBoolean("notnull"),
                        row.getString("names")),
                table);
    }

    /** @return how many rows */
    long write(String table, Writer into) {
        List<Column> columns = columns(table);
        long[] rows = {0};
        try {
            CSVPrinter csv = new CSVPrinter(into, CSV);
            csv.printRecord(columns.stream().map(Column::name));
            String cells = columns.stream()
                    .map(column -> secret(table, column) == null ? '"' + column.name() + '"' : "NULL")
                    .collect(Collectors.joining(", "));
            RowCallbackHandler each = row -> {
                print(csv, row, columns.size());
                rows[0]++;
            };
            jdbc.query("SELECT " + cells + " FROM \"" + table + "\" ORDER BY " + order(table), each);
            csv.flush();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return rows[0];
    }

    /** As its rows are told apart, so that the same shop is always written the same way. */
    private String order(String table) {
        List<String> key = jdbc.queryForList(
                "SELECT '\"' || name || '\"' FROM pragma_table_info(?) WHERE pk > 0 ORDER BY pk", String.class, table);
        return key.isEmpty() ? "rowid" : String.join(", ", key);
    }

    private static void print(CSVPrinter csv, ResultSet row, int width) throws SQLException {
        try {
            for (int at = 1; at <= width; at++) {
                csv.print(row.getString(at));
            }
            csv.println();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String secret(String table, Column column) {
        return Kept.SECRETS.get(table + "." + column.name());
    }

    /**
     * Fills a table of a new shop; what a new shop begins with gives way.
     *
     * @return how many rows
     * @throws ArchiveFailed if the file has other columns than the table
     */
    long read(String table, Reader from) throws IOException {
        List<Column> columns = columns(table);
        try (CSVParser csv = CSV.builder().setHeader().get().parse(from)) {
            List<String> names = columns.stream().map(Column::name).toList();
            if (!csv.getHeaderNames().equals(names)) {
                throw new ArchiveFailed("The table " + table + " of the archive has other columns than " + names
                        + ": the file was changed, or is of another program.");
            }
            String insert = "INSERT INTO \"" + table + "\" VALUES ("
                    + IntStream.range(0, names.size()).mapToObj(at -> "?").collect(Collectors.joining(", ")) + ")";
            long rows = 0;
            List<CSVRecord> some = new ArrayList<>(AT_ONCE);
            if (!jdbc.queryForList("SELECT 1 FROM \"" + table + "\" LIMIT 1").isEmpty()) {
                jdbc.update("DELETE FROM \"" + table + "\"");
            }
            for (CSVRecord one : csv) {
                if (one.size() != names.size()) {
                    throw new ArchiveFailed("Line " + csv.getCurrentLineNumber() + " of the table " + table + " has "
                            + one.size() + " cells; it must have " + names.size() + ".");
                }
                some.add(one);
                rows++;
                if (some.size() == AT_ONCE) {
                    insert(insert, table, columns, some);
                    some.clear();
                }
            }
            insert(insert, table, columns, some);
            return rows;
        }
    }

    private void insert(String insert, String table, List<Column> columns, List<CSVRecord> rows) {
        jdbc.batchUpdate(insert, rows, AT_ONCE, (PreparedStatement statement, CSVRecord row) -> {
            for (int at = 0; at < columns.size(); at++) {
                String secret = secret(table, columns.get(at));
                String cell = secret == null ? row.get(at) : secret + row.get(0);
                set(statement, at + 1, columns.get(at), cell);
            }
        });
    }

    private static void set(PreparedStatement statement, int at, Column column, String cell) throws SQLException {
        if (cell == null) {
            statement.setObject(at, null);
            return;
        }
        switch (column.type()) {
            case "INTEGER" -> statement.setLong(at, Long.parseLong(cell));
            case "REAL" -> statement.setDouble(at, Double.parseDouble(cell));
            default -> statement.setString(at, cell);
        }
    }

    /** What refers to something that is not there; none in a whole archive. */
    int orphans() {
        return jdbc.queryForList("PRAGMA foreign_key_check").size();
    }
}
