package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.Statement;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentSkipListSet;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Work survives a killed server: what was answered is there afterwards, and nothing is half-written. */
class PowerCutIT {

    private static final int WRITERS = 4;
    private static final int BEFORE_THE_CUT = 60;

    @TempDir
    Path data;

    @Test
    void everyAnsweredWriteIsThereAfterAKill() throws Exception {
        Set<String> answered = new ConcurrentSkipListSet<>();
        SmallShop before;
        long job;
        PackagedShop shop = PackagedShop.start(data);
        try {
            Client client = new Client(shop.url()).asFirstLead();
            before = new SmallShop(client);
            job = before.takenIn();
            AtomicBoolean cut = new AtomicBoolean();
            AtomicInteger number = new AtomicInteger();
            ExecutorService writers = Executors.newFixedThreadPool(WRITERS);
            for (int n = 0; n < WRITERS; n++) {
                writers.submit(() -> {
                    while (!cut.get()) {
                        String words = "burst " + number.incrementAndGet();
                        if (enter(client, job, words)) {
                            answered.add(words);
                        }
                    }
                });
            }
            while (answered.size() < BEFORE_THE_CUT) {
                Thread.sleep(5);
            }
            shop.kill();
            cut.set(true);
            writers.shutdown();
            assertThat(writers.awaitTermination(30, TimeUnit.SECONDS)).isTrue();
        } finally {
            shop.kill();
        }
        assertThat(answered).hasSizeGreaterThanOrEqualTo(BEFORE_THE_CUT);
        assertBooksAreWhole();

        try (PackagedShop again = PackagedShop.start(data)) {
            Client client = new Client(again.url()).signedIn("lead", "first lead");
            Set<String> there = new ConcurrentSkipListSet<>();
            client.get("/api/jobs/" + job)
                    .body()
                    .get("checks")
                    .values()
                    .forEach(row -> there.add(row.get("check").get("what").asString()));
            assertThat(there).containsAll(answered);
            assertThat(enter(client, job, "after the cut")).isTrue();
        }
    }

    private static boolean enter(Client client, long job, String what) {
        try {
            Map<String, Object> check = body(
                    "stage",
                    "ARRIVAL",
                    "verdict",
                    "PASSED",
                    "what",
                    what,
                    "coversOn",
                    true,
                    "load",
                    "",
                    "times",
                    1,
                    "remark",
                    "");
            return client.post("/api/jobs/" + job + "/checks", check).status() == 201;
        } catch (RuntimeException cutOff) {
            return false;
        }
    }

    /** Opened as anybody would open the file after a crash: SQLite puts it right from its log. */
    private void assertBooksAreWhole() throws Exception {
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + data.resolve("wrench-notes.sqlite"));
                Statement statement = connection.createStatement()) {
            assertThat(single(statement, "PRAGMA integrity_check")).isEqualTo("ok");
            assertThat(single(statement, "SELECT COUNT(*) FROM check_entry"))
                    .as("each check has its line in the journal, written with it or not at all")
                    .isEqualTo(single(statement, "SELECT COUNT(*) FROM journal WHERE subject = 'check'"));
        }
    }

    private static String single(Statement statement, String sql) throws Exception {
        try (ResultSet row = statement.executeQuery(sql)) {
            row.next();
            return row.getString(1);
        }
    }
}
