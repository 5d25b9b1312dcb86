package wrenchnotes.server.ground;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.concurrent.CountDownLatch;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.sqlite.SQLiteException;
import org.sqlite.jdbc4.JDBC4PreparedStatement;

/** What the driver's own connections got wrong when another program had the file at the wrong moment. */
class SqliteConnectionsTest {

    @TempDir
    Path folder;

    private String url;

    @BeforeEach
    void aTable() throws SQLException {
        url = "jdbc:sqlite:" + folder.resolve("file.sqlite");
        try (Connection connection = DriverManager.getConnection(url + "?journal_mode=WAL")) {
            connection.createStatement().execute("CREATE TABLE line (words TEXT)");
        }
    }

    private Connection writer() throws SQLException {
        return new SqliteConnections(url + "?busy_timeout=50", "BEGIN IMMEDIATE").getConnection();
    }

    /** Whoever waits for the file has it as soon as the commit is done: that is no failure of the commit. */
    @Test
    void aCommitThatIsDoneIsNotToldAsFailed() throws Exception {
        try (Connection writer = writer();
                Connection other = DriverManager.getConnection(url + "?busy_timeout=20000")) {
            writer.setAutoCommit(false);
            writer.createStatement().execute("INSERT INTO line VALUES ('mine')");
            CountDownLatch waiting = new CountDownLatch(1);
            CountDownLatch has = new CountDownLatch(1);
            Thread waiter = new Thread(() -> {
                waiting.countDown();
                try {
                    other.createStatement().execute("BEGIN IMMEDIATE");
                    has.countDown();
                } catch (SQLException e) {
                    throw new IllegalStateException(e);
                }
            });
            waiter.start();
            waiting.await();
            Thread.sleep(200);
            writer.commit();
            writer.setAutoCommit(true);
            has.await();
            assertThat(lines()).isEqualTo(1);
            other.createStatement().execute("ROLLBACK");
        }
    }

    /** A transaction that could not begin leaves the connection as it was: the next one begins, and is one. */
    @Test
    void whatCouldNotBeginIsNotWrittenLineByLineAfterwards() throws SQLException {
        try (Connection writer = writer();
                Connection other = DriverManager.getConnection(url)) {
            other.createStatement().execute("BEGIN IMMEDIATE");
            assertThatThrownBy(() -> writer.setAutoCommit(false)).isInstanceOf(SQLiteException.class);
            other.createStatement().execute("ROLLBACK");
            writer.setAutoCommit(false);
            writer.createStatement().execute("INSERT INTO line VALUES ('half')");
            writer.rollback();
            writer.setAutoCommit(true);
            assertThat(lines()).isZero();
        }
    }

    /** SQLite rolls back by itself when the disk is full; rolling back then is no second failure. */
    @Test
    void whatSqliteRolledBackItselfIsRolledBack() throws SQLException {
        try (Connection writer = writer()) {
            writer.createStatement().execute("PRAGMA max_page_count = 3");
            writer.setAutoCommit(false);
            assertThatThrownBy(() -> writer.createStatement()
                            .execute("INSERT INTO line SELECT printf('%50000d', 1) FROM sqlite_master"))
                    .hasMessageContaining("full");
            writer.rollback();
            writer.setAutoCommit(true);
            writer.setAutoCommit(false);
            writer.createStatement().execute("INSERT INTO line VALUES ('small')");
            writer.commit();
            assertThat(lines()).isEqualTo(1);
        }
    }

    /** A statement that is kept is a new one to whoever asks for it: while it is still read from, after a column more, and without what was set before. */
    @Test
    void whatIsPreparedIsKeptAndForgetsWhatWasSet() throws SQLException {
        try (Connection writer = writer()) {
            PreparedStatement kept = writer.prepareStatement("INSERT INTO line VALUES (?)");
            JDBC4PreparedStatement first = kept.unwrap(JDBC4PreparedStatement.class);
            kept.setString(1, "one");
            kept.executeUpdate();
            kept.close();
            try (PreparedStatement again = writer.prepareStatement("INSERT INTO line VALUES (?)")) {
                assertThat(again.unwrap(JDBC4PreparedStatement.class)).isSameAs(first);
                again.executeUpdate();
            }
            try (PreparedStatement outer = writer.prepareStatement("SELECT * FROM line");
                    ResultSet row = outer.executeQuery()) {
                row.next();
                try (PreparedStatement inner = writer.prepareStatement("SELECT * FROM line");
                        ResultSet all = inner.executeQuery()) {
                    all.next();
                    all.next();
                    assertThat(all.getString("words")).isNull();
                }
                assertThat(row.getString("words")).isEqualTo("one");
            }
            writer.createStatement().execute("ALTER TABLE line ADD COLUMN note TEXT DEFAULT 'none'");
            try (PreparedStatement wider = writer.prepareStatement("SELECT * FROM line");
                    ResultSet row = wider.executeQuery()) {
                row.next();
                assertThat(row.getString("note")).isEqualTo("none");
            }
        }
    }

    private int lines() throws SQLException {
        try (Connection reader = DriverManager.getConnection(url);
                var row = reader.createStatement().executeQuery("SELECT COUNT(*) FROM line")) {
            row.next();
            return row.getInt(1);
        }
    }
}
