package wrenchnotes.server.ground;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A copy of a database that may be written meanwhile: all that was committed before it began, and no half of anything
 * ({@code VACUUM INTO}, which reads one snapshot). SQLite does not force such a file to the disk by itself: it is written under
 * a name of its own, forced, looked at, and then given its name.
 */
public final class CopyOfDatabase {

    private CopyOfDatabase() {}

    /** The copy could not be made; there is none of that name. */
    public static final class Failed extends RuntimeException {
        Failed(String sentence, Throwable cause) {
            super(sentence, cause);
        }
    }

    /** @throws Failed if it cannot be written or would not open */
    public static void make(Path database, Path copy) {
        Path coming = copy.resolveSibling(copy.getFileName() + ".coming");
        try {
            Files.deleteIfExists(coming);
            Files.createFile(coming);
            try {
                Files.setPosixFilePermissions(coming, PosixFilePermissions.fromString("rw-------"));
            } catch (UnsupportedOperationException e) {
                // A file system without owners.
            }
            try (Connection connection =
                            DriverManager.getConnection("jdbc:sqlite:" + database + "?busy_timeout=10000");
                    Statement statement = connection.createStatement()) {
                statement.execute("VACUUM INTO '" + coming.toString().replace("'", "''") + "'");
            }
            try (FileChannel channel = FileChannel.open(coming, StandardOpenOption.WRITE)) {
                channel.force(true);
            }
            look(coming);
            Files.move(coming, copy, StandardCopyOption.ATOMIC_MOVE);
            DataFolder.force(copy.toAbsolutePath().getParent());
        } catch (SQLException | IOException e) {
            throw new Failed("It could not be copied (" + e.getMessage() + ").", e);
        } finally {
            try {
                Files.deleteIfExists(coming);
            } catch (IOException e) {
                // What is left is named as what it is, and the next copy takes its place.
            }
        }
    }

    /** The pictures that a database names, by hash, and the version of its tables. */
    public record Named(List<String> photos, String version) {}

    /** @throws Failed if it cannot be read */
    public static Named named(Path database) {
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + database);
                Statement statement = connection.createStatement()) {
            List<String> photos = new ArrayList<>();
            try (ResultSet row = statement.executeQuery("SELECT hash FROM photo ORDER BY hash")) {
                while (row.next()) {
                    photos.add(row.getString(1));
                }
            }
            try (ResultSet row = statement.executeQuery(
                    "SELECT version FROM flyway_schema_history WHERE success = 1 ORDER BY installed_rank DESC LIMIT 1")) {
                return new Named(photos, row.next() ? row.getString(1) : "0");
            }
        } catch (SQLException e) {
            throw new Failed("It is no shop's database (" + e.getMessage() + ").", e);
        }
    }

    /** Opens it as anybody would. */
    private static void look(Path copy) throws SQLException {
        Optional<String> damage = Soundness.damage(copy);
        if (damage.isPresent()) {
            throw new SQLException("the copy is damaged: " + damage.get());
        }
    }
}
