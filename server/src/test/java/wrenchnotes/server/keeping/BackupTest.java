package wrenchnotes.server.keeping;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentSkipListSet;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import org.springframework.util.FileSystemUtils;
import wrenchnotes.server.Client;
import wrenchnotes.server.Pictures;
import wrenchnotes.server.RunningShop;
import wrenchnotes.server.ground.DataFolder;

/** A backup holds all that was acknowledged before it began and no half of anything; restored, it is the shop that it was. */
@Tag("shop")
class BackupTest {

    private static final Instant NOON = Instant.parse("2026-03-06T12:00:00Z");

    @TempDir
    Path work;

    private Path shop;
    private Path into;

    @BeforeEach
    void aQuietShop() throws Exception {
        shop = work.resolve("shop");
        into = work.resolve("backups");
        RunningShop.goldenIn(shop);
    }

    @Test
    void ofAQuietShopItIsEqualAndRestoresToTheSame() throws IOException {
        Backup.Made made = Backup.make(shop, into, NOON, Backup.Progress.SILENT);
        assertThat(made.folder()).hasFileName("2026-03-06T120000Z");
        assertThat(rows(made.folder())).isEqualTo(rows(shop));
        Path restored = work.resolve("restored");
        BackupManifest manifest = Restore.into(restored, made.folder());
        assertThat(manifest.version()).isEqualTo("30");
        assertThat(rows(restored)).isEqualTo(rows(shop));
        assertThat(pictures(restored)).isEqualTo(pictures(shop)).isNotEmpty();
        assertThat(Files.readString(restored.resolve(DataFolder.KEY)))
                .as("who is signed in stays signed in")
                .isEqualTo(Files.readString(shop.resolve(DataFolder.KEY)));
        try (RunningShop again = RunningShop.in(restored)) {
            assertThat(again.client()
                            .signedIn("lead", "first lead")
                            .get("/api/rack")
                            .status())
                    .isEqualTo(200);
        }
    }

    @Test
    void picturesLieOnceForAllBackups() throws IOException {
        Backup.make(shop, into, NOON, Backup.Progress.SILENT);
        List<Long> written = modified(into.resolve(DataFolder.PHOTOS));
        Backup.Made second = Backup.make(shop, into, NOON, Backup.Progress.SILENT);
        assertThat(second.folder()).as("a name of its own").hasFileName("2026-03-06T120001Z");
        assertThat(modified(into.resolve(DataFolder.PHOTOS))).isEqualTo(written);
        assertThat(Backup.all(into)).hasSize(2);
    }

    @Test
    void theRuleTakesAwayWhatItDoesNotKeepAndNothingElse() throws IOException {
        for (int night = 0; night < 12; night++) {
            Backup.make(shop, into, NOON.plus(Duration.ofDays(night)), Backup.Progress.SILENT);
        }
        Files.createDirectories(into.resolve("holiday pictures"));
        Backup.tidy(into);
        assertThat(Backup.all(into))
                .extracting(made -> made.folder().getFileName().toString())
                .containsExactly(
                        "2026-03-08T120000Z",
                        "2026-03-11T120000Z",
                        "2026-03-12T120000Z",
                        "2026-03-13T120000Z",
                        "2026-03-14T120000Z",
                        "2026-03-15T120000Z",
                        "2026-03-16T120000Z",
                        "2026-03-17T120000Z");
        assertThat(into.resolve("holiday pictures")).exists();
        assertThat(pictures(into)).isNotEmpty();
    }

    @Test
    void aBackupThatIsNotWholeIsNotRestored() throws IOException {
        Backup.Made made = Backup.make(shop, into, NOON, Backup.Progress.SILENT);
        Path restored = work.resolve("restored");
        Path database = made.folder().resolve(DataFolder.DATABASE);
        byte[] whole = Files.readAllBytes(database);
        byte[] spoilt = whole.clone();
        spoilt[spoilt.length / 2] ^= 1;
        Files.write(database, spoilt);
        assertThatThrownBy(() -> Restore.into(restored, made.folder()))
                .hasMessageContaining("not those that were written");
        assertThat(restored).doesNotExist();
        Files.write(database, whole);
        Path picture = Backup.photo(
                into.resolve(DataFolder.PHOTOS), made.manifest().photos().get(0));
        Files.write(picture, new byte[] {1, 2, 3});
        assertThatThrownBy(() -> Restore.into(restored, made.folder())).hasMessageContaining("is damaged");
        assertThat(restored.resolve(DataFolder.DATABASE))
                .as("what was cut off is no shop")
                .doesNotExist();
        assertThatThrownBy(() -> Restore.into(shop, made.folder())).hasMessageContaining("is not empty");
        assertThatThrownBy(() -> Restore.into(work.resolve("other"), into)).hasMessageContaining("is no backup");
    }

    @Test
    void whatCannotBeCopiedLeavesNoBackupOfThatName() throws IOException {
        FileSystemUtils.deleteRecursively(shop.resolve(DataFolder.PHOTOS));
        assertThatThrownBy(() -> Backup.make(shop, into, NOON, Backup.Progress.SILENT))
                .isInstanceOf(BackupFailed.class)
                .hasMessageContaining("No backup was made");
        assertThat(Backup.all(into)).isEmpty();
        try (Stream<Path> left = Files.list(into)) {
            assertThat(left.map(path -> path.getFileName().toString())).noneMatch(name -> name.startsWith(".coming"));
        }
    }

    /** Six write, pictures among it, while backups are taken one after the other. */
    @Test
    void takenWhileSixWriteItHoldsAllThatWasAcknowledgedBefore() throws Exception {
        try (RunningShop running = RunningShop.in(shop)) {
            Client lead = running.client().signedIn("lead", "first lead");
            Set<String> answered = new ConcurrentSkipListSet<>();
            AtomicBoolean stop = new AtomicBoolean();
            ExecutorService writers = Executors.newFixedThreadPool(6);
            for (int writer = 0; writer < 6; writer++) {
                int number = writer;
                writers.submit(() -> {
                    Client client = running.client().signedIn("lead", "first lead");
                    for (int n = 0; !stop.get(); n++) {
                        String name = "lot " + number + "-" + n;
                        if (client.post("/api/lots", Map.of("source", name)).status() == 201) {
                            answered.add(name);
                        }
                        if (n % 5 == 0) {
                            Client.Answer kept =
                                    client.postBytes("/api/photos", Pictures.png(16, 16, number * 100_000 + n));
                            if (kept.status() == 201) {
                                answered.add(kept.body().get("hash").asString());
                            }
                        }
                    }
                });
            }
            List<Set<String>> before = new ArrayList<>();
            List<Backup.Made> made = new ArrayList<>();
            for (int n = 0; n < 6; n++) {
                Thread.sleep(150);
                before.add(new TreeSet<>(answered));
                made.add(Backup.make(shop, into, NOON.plusSeconds(n), Backup.Progress.SILENT));
            }
            stop.set(true);
            writers.shutdown();
            assertThat(writers.awaitTermination(30, TimeUnit.SECONDS)).isTrue();
            assertThat(lead.get("/api/lots").status()).isEqualTo(200);
            for (int n = 0; n < made.size(); n++) {
                JdbcClient copy = jdbc(made.get(n).folder());
                Set<String> held = new TreeSet<>(copy.sql("SELECT source FROM lot UNION SELECT hash FROM photo")
                        .query(String.class)
                        .list());
                assertThat(held).as("backup %d", n).containsAll(before.get(n));
                assertThat(copy.sql("SELECT COUNT(*) FROM lot WHERE source LIKE 'lot %'")
                                .query(Integer.class)
                                .single())
                        .as("each lot with its line in the journal, or not at all")
                        .isEqualTo(copy.sql("SELECT COUNT(*) FROM journal WHERE words LIKE 'Lot: lot %'")
                                .query(Integer.class)
                                .single());
                Path restored = work.resolve("restored-" + n);
                Restore.into(restored, made.get(n).folder());
                assertThat(pictures(restored))
                        .hasSameSizeAs(made.get(n).manifest().photos());
            }
            assertThat(before.get(5).size())
                    .as("they did write")
                    .isGreaterThan(before.get(0).size());
        }
    }

    private static JdbcClient jdbc(Path folder) {
        return JdbcClient.create(new DriverManagerDataSource("jdbc:sqlite:" + folder.resolve(DataFolder.DATABASE)));
    }

    private static Map<String, Object> rows(Path folder) {
        JdbcClient jdbc = jdbc(folder);
        Map<String, Object> rows = new TreeMap<>();
        jdbc.sql("SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'")
                .query(String.class)
                .list()
                .forEach(table -> rows.put(
                        table,
                        jdbc.sql("SELECT * FROM " + table).query().listOfRows().stream()
                                .map(row -> row.values().stream()
                                        .map(value -> value instanceof byte[] bytes
                                                ? java.util.Arrays.toString(bytes)
                                                : String.valueOf(value))
                                        .toList())
                                .toList()));
        return rows;
    }

    private static Map<String, String> pictures(Path folder) throws IOException {
        Map<String, String> pictures = new TreeMap<>();
        try (Stream<Path> files = Files.walk(folder.resolve(DataFolder.PHOTOS))) {
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                pictures.put(file.getFileName().toString(), BackupManifest.sha256(file));
            }
        }
        return pictures;
    }

    private static List<Long> modified(Path folder) throws IOException {
        try (Stream<Path> files = Files.walk(folder)) {
            return files.filter(Files::isRegularFile)
                    .sorted()
                    .map(file -> file.toFile().lastModified())
                    .toList();
        }
    }
}
