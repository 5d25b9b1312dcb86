package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import org.springframework.util.FileSystemUtils;
import wrenchnotes.server.ground.CannotStart;
import wrenchnotes.server.ground.DataFolder;

/** A shop's folder is nobody else's, is open once, and is never taken for a new shop. */
@Tag("shop")
class DataFolderTest {

    @TempDir
    Path data;

    private void aShop() throws IOException {
        FileSystemUtils.copyRecursively(Path.of("src/test/resources/golden/v8"), data);
    }

    @Test
    void whatCouldBeReadByOthersIsClosedAndSaid() throws IOException {
        aShop();
        Files.setPosixFilePermissions(data, PosixFilePermissions.fromString("rwxr-xr-x"));
        Files.setPosixFilePermissions(data.resolve(DataFolder.KEY), PosixFilePermissions.fromString("rw-r--r--"));
        try (DataFolder folder = DataFolder.open(data)) {
            assertThat(folder.said()).singleElement().asString().contains("could be read by others");
        }
        assertThat(mayBeReadByOthers()).isEmpty();
        try (RunningShop shop = RunningShop.in(data)) {
            shop.client().signedIn("lead", "first lead").postBytes("/api/photos", Pictures.png(40, 30));
            assertThat(mayBeReadByOthers()).as("nor what is made afterwards").isEmpty();
        }
        try (DataFolder folder = DataFolder.open(data)) {
            assertThat(folder.said()).as("closed, and nothing to say").isEmpty();
        }
        Path fresh = data.resolveSibling(data.getFileName() + "-new");
        try (DataFolder folder = DataFolder.open(fresh)) {
            assertThat(folder.said()).isEmpty();
        } finally {
            FileSystemUtils.deleteRecursively(fresh);
        }
    }

    private List<Path> mayBeReadByOthers() throws IOException {
        try (Stream<Path> all = Files.list(data)) {
            return Stream.concat(all, Stream.of(data))
                    .filter(DataFolderTest::open)
                    .toList();
        }
    }

    private static boolean open(Path one) {
        try {
            return Files.getPosixFilePermissions(one).stream()
                    .anyMatch(permission -> !permission.name().startsWith("OWNER"));
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    @Test
    void oneProgramAtATime() throws Exception {
        RunningShop.goldenIn(data);
        try (RunningShop first = RunningShop.in(data)) {
            assertThatThrownBy(() -> RunningShop.in(data))
                    .hasRootCauseInstanceOf(CannotStart.class)
                    .rootCause()
                    .hasMessageContaining("open already");
            assertThat(first.client().get("/actuator/health").status()).isEqualTo(200);
        }
        RunningShop.in(data).close();
    }

    /** Measured: a connection that was being made just then was closed by nobody, and its log stayed. */
    @Test
    void aShopThatIsClosedRightAfterItsStartLeavesNoLogBeside() throws Exception {
        RunningShop.goldenIn(data);
        for (int n = 0; n < 6; n++) {
            RunningShop.in(data).close();
            assertThat(data.resolve(DataFolder.DATABASE + "-wal")).doesNotExist();
        }
    }

    @Test
    void aShopWithoutItsDatabaseIsNoNewShop() throws IOException {
        aShop();
        Path database = data.resolve(DataFolder.DATABASE);
        Files.delete(database);
        assertRefused("is missing");
        Files.createFile(database);
        assertRefused("is empty");
        Files.delete(data.resolve(DataFolder.KEY));
        assertRefused("photos of a shop");
    }

    @Test
    void aDatabaseOfANewerProgramIsLeftAlone() throws Exception {
        RunningShop.goldenIn(data);
        JdbcClient.create(new DriverManagerDataSource("jdbc:sqlite:" + data.resolve(DataFolder.DATABASE)))
                .sql(
                        "INSERT INTO flyway_schema_history SELECT installed_rank + 1, '99', 'from the future', type, script, 1, "
                                + "installed_by, installed_on, 1, 1 FROM flyway_schema_history ORDER BY installed_rank DESC LIMIT 1")
                .update();
        assertRefused("newer version of the program (99");
    }

    @Test
    void whatIsNoDatabaseIsLeftAsItIs() throws IOException {
        aShop();
        Path database = data.resolve(DataFolder.DATABASE);
        Files.writeString(database, "This was a database once. ".repeat(400));
        byte[] before = Files.readAllBytes(database);
        assertRefused("is damaged or is no database");
        assertThat(Files.readAllBytes(database)).isEqualTo(before);
    }

    @Test
    void aCopyIsMadeBeforeAnUpgrade() throws IOException {
        aShop();
        RunningShop.in(data).close();
        Path copy = data.resolve("before-upgrade-from-8.sqlite");
        JdbcClient jdbc = JdbcClient.create(new DriverManagerDataSource("jdbc:sqlite:" + copy));
        assertThat(jdbc.sql("SELECT MAX(CAST(version AS INTEGER)) FROM flyway_schema_history")
                        .query(Integer.class)
                        .single())
                .isEqualTo(8);
        assertThat(jdbc.sql("SELECT COUNT(*) FROM job").query(Integer.class).single())
                .isEqualTo(6);
    }

    private void assertRefused(String sentence) {
        assertThatThrownBy(() -> RunningShop.in(data)).satisfies(failure -> assertThat(failure)
                .hasStackTraceContaining("CannotStart")
                .hasStackTraceContaining(sentence));
    }
}
