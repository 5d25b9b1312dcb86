package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.Statement;
import java.util.HexFormat;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentSkipListSet;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wrenchnotes.server.ground.DataFolder;

/**
 * Work survives a killed server: what was answered is there afterwards, pictures too, and nothing is half-written. {@code make
 * kills} kills it a hundred times.
 */
class PowerCutIT {

    private static final int KILLS = Integer.getInteger("kills", 6);
    private static final int WRITERS = 4;
    private static final int LONGEST_MILLIS = 500;

    @TempDir
    Path data;

    private final Set<String> checks = new ConcurrentSkipListSet<>();
    private final Set<String> pictures = new ConcurrentSkipListSet<>();
    private final AtomicInteger number = new AtomicInteger();
    private final Random random = new Random(100);
    private long job;

    @Test
    void everyAnsweredWriteIsThereAfterEveryKill() throws Exception {
        for (int kill = 0; kill < KILLS; kill++) {
            PackagedShop shop = PackagedShop.start(data);
            try {
                Client client = new Client(shop.url());
                if (kill == 0) {
                    job = new SmallShop(client.asFirstLead()).takenIn();
                } else {
                    assertAllIsThere(client.signedIn("lead", "first lead"));
                }
                burst(shop, client);
            } finally {
                shop.kill();
            }
            assertBooksAreWhole();
        }
        try (PackagedShop again = PackagedShop.start(data)) {
            Client client = new Client(again.url()).signedIn("lead", "first lead");
            assertAllIsThere(client);
            assertThat(enter(client, "after the last cut")).isTrue();
        }
        System.out.printf(
                "%d kills in bursts of %d writers: %d checks and %d pictures acknowledged, none lost%n",
                KILLS, WRITERS, checks.size(), pictures.size());
    }

    private void burst(PackagedShop shop, Client client) throws InterruptedException {
        AtomicBoolean cut = new AtomicBoolean();
        int before = checks.size() + pictures.size();
        ExecutorService writers = Executors.newFixedThreadPool(WRITERS);
        for (int writer = 0; writer < WRITERS; writer++) {
            boolean photographs = writer % 2 == 1;
            writers.submit(() -> {
                while (!cut.get()) {
                    if (photographs) {
                        keep(client);
                    } else {
                        String words = "burst " + number.incrementAndGet();
                        if (enter(client, words)) {
                            checks.add(words);
                        }
                    }
                }
            });
        }
        while (checks.size() + pictures.size() == before) {
            Thread.sleep(2);
        }
        Thread.sleep(random.nextInt(LONGEST_MILLIS));
        shop.kill();
        cut.set(true);
        writers.shutdown();
        assertThat(writers.awaitTermination(30, TimeUnit.SECONDS)).isTrue();
    }

    private void keep(Client client) {
        try {
            Client.Answer answer = client.postBytes("/api/photos", Pictures.png(40, 30, number.incrementAndGet()));
            if (answer.status() == 201) {
                pictures.add(answer.body().get("hash").asString());
            }
        } catch (RuntimeException cutOff) {
            // Not acknowledged: it may be there or not.
        }
    }

    private void assertAllIsThere(Client client) throws Exception {
        Set<String> there = new TreeSet<>();
        client.get("/api/jobs/" + job)
                .body()
                .get("checks")
                .values()
                .forEach(row -> there.add(row.get("check").get("what").asString()));
        assertThat(there).containsAll(checks);
        for (String hash : pictures) {
            Path file = data.resolve(DataFolder.PHOTOS)
                    .resolve(hash.substring(0, 2))
                    .resolve(hash + ".jpg");
            assertThat(file).exists();
            assertThat(HexFormat.of()
                            .formatHex(MessageDigest.getInstance("SHA-256").digest(Files.readAllBytes(file))))
                    .as("the whole picture")
                    .isEqualTo(hash);
        }
    }

    private boolean enter(Client client, String what) {
        try {
            return client.post(
                                    "/api/jobs/" + job + "/checks",
                                    body(
                                            "stage", "ARRIVAL", "verdict", "PASSED", "what", what, "load", "", "times",
                                            1, "remark", ""))
                            .status()
                    == 201;
        } catch (RuntimeException cutOff) {
            return false;
        }
    }

    /** Opened as anybody would open the file after a crash: SQLite puts it right from its log. */
    private void assertBooksAreWhole() throws Exception {
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + data.resolve(DataFolder.DATABASE));
                Statement statement = connection.createStatement()) {
            assertThat(single(statement, "PRAGMA integrity_check")).isEqualTo("ok");
            assertThat(single(statement, "SELECT COUNT(*) FROM check_entry"))
                    .as("each check has its line in the journal, written with it or not at all")
                    .isEqualTo(single(statement, "SELECT COUNT(*) FROM journal WHERE subject = 'check'"));
            try (ResultSet row = statement.executeQuery("SELECT hash FROM photo")) {
                while (row.next()) {
                    String hash = row.getString(1);
                    assertThat(data.resolve(DataFolder.PHOTOS)
                                    .resolve(hash.substring(0, 2))
                                    .resolve(hash + ".jpg"))
                            .as("no row without its picture")
                            .exists();
                }
            }
        }
    }

    private static String single(Statement statement, String sql) throws Exception {
        try (ResultSet row = statement.executeQuery(sql)) {
            row.next();
            return row.getString(1);
        }
    }
}
