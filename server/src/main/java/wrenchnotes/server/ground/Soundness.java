package wrenchnotes.server.ground;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Optional;

/** SQLite's own look at every page of a database. */
public final class Soundness {

    private Soundness() {}

    /**
     * On a connection of its own: one that was used before keeps what it has read of the finder's index, and takes what another connection has
     * written since for damage (SQLite 3.53, FTS5; measured: every check but the first, beside a writer).
     *
     * @return what is wrong, or why it cannot be told; empty if the file is sound
     */
    public static Optional<String> damage(Path database) {
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + database);
                Statement statement = connection.createStatement();
                ResultSet said = statement.executeQuery("PRAGMA quick_check(1)")) {
            String words = said.next() ? said.getString(1) : "it cannot be checked";
            return words.equals("ok") ? Optional.empty() : Optional.of(words);
        } catch (SQLException e) {
            return Optional.of(String.valueOf(e.getMessage()));
        }
    }
}
