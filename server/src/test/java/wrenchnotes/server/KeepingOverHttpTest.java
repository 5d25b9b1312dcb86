package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.quoted;

import com.zaxxer.hikari.HikariDataSource;
import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.time.Duration;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.util.FileSystemUtils;
import tools.jackson.databind.JsonNode;
import wrenchnotes.server.ground.DataFolder;

/** What is wrong with what lies under the shop: a sentence each, nothing half-written, and over by itself when it is over. */
@Tag("shop")
class KeepingOverHttpTest {

    @TempDir
    Path data;

    private RunningShop aShop(String... options) throws Exception {
        RunningShop.goldenIn(data);
        return RunningShop.in(data, options);
    }

    static Client lead(RunningShop shop) {
        return shop.client().signedIn("lead", "first lead");
    }

    static List<String> wrong(Client client) {
        return client.get("/api/keeping/wrong").body().get("wrong").values().stream()
                .map(JsonNode::asString)
                .toList();
    }

    static Client.Answer lot(Client client, String source) {
        return client.post("/api/lots", quoted("{'source':'" + source + "'}"));
    }

    static String health(RunningShop shop) {
        return shop.client().text("/actuator/health");
    }

    /** On a port of their own, for this machine: requests, the writer's wait, the heap, the last backup. */
    @Test
    void figuresAreToldToWhoeverLooksAfterTheMachine() throws Exception {
        int port;
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        try (RunningShop shop = aShop("wrenchnotes.figures.port=" + port)) {
            lead(shop).get("/api/rack");
            String figures = HttpClient.newHttpClient()
                    .send(
                            HttpRequest.newBuilder(URI.create("http://localhost:" + port + "/metrics"))
                                    .build(),
                            HttpResponse.BodyHandlers.ofString())
                    .body();
            assertThat(figures)
                    .contains("http_server_requests_seconds_count", "uri=\"/api/rack\"")
                    .contains("hikaricp_connections_acquire_seconds_sum{pool=\"writer\"")
                    .contains("jvm_memory_used_bytes", "wrenchnotes_backup_age_seconds");
            assertThat(shop.client().status("/actuator/prometheus"))
                    .as("not beside the pages")
                    .isIn(401, 403, 404);
        }
    }

    /** The file may not grow any more: SQLite answers as it does on a full disk. */
    @Test
    void aFullDiskIsSaidAndOverByItself() throws Exception {
        try (RunningShop shop = aShop()) {
            Client client = lead(shop);
            limit(shop, "(SELECT page_count FROM pragma_page_count)");
            String much = "x".repeat(110);
            Client.Answer refused = null;
            for (int n = 0; n < 200 && (refused == null || refused.status() == 201); n++) {
                refused = lot(client, much + n);
            }
            assertThat(refused.status()).isEqualTo(507);
            assertThat(refused.detail())
                    .contains("disk of the shop's machine is full")
                    .contains("nothing was written");
            assertThat(wrong(client)).containsExactly(refused.detail());
            assertThat(health(shop)).contains("OUT_OF_SERVICE").contains("is full");
            assertThat(client.get("/api/rack").status()).as("reading goes on").isEqualTo(200);
            limit(shop, "1000000");
            assertThat(lot(client, "room again").status()).isEqualTo(201);
            assertThat(wrong(client)).isEmpty();
            assertThat(health(shop)).contains("\"UP\"");
            assertThat(client.get("/api/lots").body().values())
                    .extracting(one -> one.get("source").asString())
                    .contains("room again")
                    .doesNotContain(refused.detail());
        }
    }

    private static void limit(RunningShop shop, String pages) throws Exception {
        try (Connection writer = shop.bean("writer", HikariDataSource.class).getConnection();
                Statement statement = writer.createStatement()) {
            var now = statement.executeQuery("SELECT " + pages);
            now.next();
            statement.execute("PRAGMA max_page_count = " + now.getLong(1));
        }
    }

    @Test
    void aBusyWriterAsksToComeAgainAndNothingIsLost() throws Exception {
        try (RunningShop shop = aShop();
                Connection other = DriverManager.getConnection("jdbc:sqlite:" + data.resolve(DataFolder.DATABASE))) {
            Client client = lead(shop);
            other.createStatement().execute("BEGIN IMMEDIATE");
            Client.Answer busy = lot(client, "while it is busy");
            assertThat(busy.status()).isEqualTo(503);
            assertThat(busy.retryAfter()).isEqualTo("2");
            assertThat(busy.detail()).contains("busy with another program's writing");
            other.createStatement().execute("ROLLBACK");
            assertThat(lot(client, "while it is busy").status()).isEqualTo(201);
            assertThat(wrong(client)).isEmpty();
        }
    }

    @Test
    void aRefusedPictureLeavesNoFile() throws Exception {
        try (RunningShop shop = aShop()) {
            Client client = lead(shop);
            long before = pictures();
            limit(shop, "(SELECT page_count FROM pragma_page_count)");
            int n = 0;
            while (client.postBytes("/api/photos", Pictures.png(20, 20, n)).status() == 201) {
                n++;
            }
            assertThat(pictures()).isEqualTo(before + n);
            limit(shop, "1000000");
            assertThat(client.postBytes("/api/photos", Pictures.png(20, 20, n)).status())
                    .isEqualTo(201);
            assertThat(pictures()).isEqualTo(before + n + 1);
        }
    }

    private long pictures() throws IOException {
        try (Stream<Path> files = Files.walk(data.resolve(DataFolder.PHOTOS))) {
            return files.filter(Files::isRegularFile).count();
        }
    }

    @Test
    void aLeadMakesABackupAndOneIsMadeEveryNight() throws Exception {
        try (RunningShop shop = aShop("wrenchnotes.backups.folder=" + data.resolve("elsewhere"))) {
            Client client = lead(shop);
            Client bench = shop.client().signedIn("Bo", "second hand");
            assertThat(bench.post("/api/keeping/backups", "").status()).isEqualTo(403);
            JsonNode begun = client.post("/api/keeping/backups", "").body();
            assertThat(begun.get("folder").asString()).endsWith("elsewhere");
            await(() -> client.get("/api/keeping/backups").body().get("made").size() == 1);
            JsonNode made =
                    client.get("/api/keeping/backups").body().get("made").get(0);
            assertThat(made.get("pictures").asInt()).isEqualTo(1);
            assertThat(health(shop)).contains("\"lastBackup\":\"0 hours ago\"");
        }
        // A machine that slept through the night makes up for it when it is started.
        FileSystemUtils.deleteRecursively(data.resolve("elsewhere"));
        try (RunningShop shop = RunningShop.in(
                data,
                "wrenchnotes.backups.nightly=true",
                "wrenchnotes.backups.at=00:00",
                "wrenchnotes.backups.folder=" + data.resolve("elsewhere"),
                "wrenchnotes.upkeep-after=PT0S")) {
            Client client = lead(shop);
            await(() -> client.get("/api/keeping/backups").body().get("made").size() == 1);
        }
    }

    @Test
    void aBackupThatFailsIsSaidOnEveryScreen() throws Exception {
        Path file = data.resolve("a-file");
        try (RunningShop shop = aShop("wrenchnotes.backups.folder=" + file)) {
            Files.writeString(file, "no folder");
            Client client = lead(shop);
            client.post("/api/keeping/backups", "");
            await(() -> !wrong(client).isEmpty());
            assertThat(wrong(client)).singleElement().asString().startsWith("No backup was made in " + file);
        }
    }

    @Test
    void aClockSetBackIsSaidOnEveryScreen() throws Exception {
        RunningShop.goldenIn(data);
        try (RunningShop shop = RunningShop.on(data, new SetClock())) {
            Client client = lead(shop);
            lot(client, "in time");
            SetClock.HANDS.off(Duration.ofDays(-3));
            lot(client, "three days ago");
            assertThat(wrong(client)).singleElement().asString().contains("was set back by 43");
            SetClock.HANDS.off(Duration.ZERO);
            assertThat(wrong(client)).isEmpty();
        } finally {
            SetClock.HANDS.off(Duration.ZERO);
        }
    }

    interface Question {
        boolean answered();
    }

    static void await(Question question) throws InterruptedException {
        for (int n = 0; n < 200 && !question.answered(); n++) {
            Thread.sleep(100);
        }
        assertThat(question.answered()).as("within twenty seconds").isTrue();
    }
}
