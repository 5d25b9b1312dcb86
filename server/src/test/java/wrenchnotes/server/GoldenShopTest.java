package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import org.springframework.util.FileSystemUtils;
import tools.jackson.databind.JsonNode;

/**
 * Data folders as earlier versions left them, one of everything stored, open for ever: each is copied, brought up to date
 * and read in every room. {@link GoldenShopMaker} made them.
 */
@Tag("shop")
class GoldenShopTest {

    private static final Path GOLDEN = Path.of("src/test/resources/golden");

    @TempDir
    Path data;

    static Stream<String> versions() throws IOException {
        try (Stream<Path> folders = Files.list(GOLDEN)) {
            return folders.map(Path::getFileName).map(Path::toString).sorted().toList().stream();
        }
    }

    @ParameterizedTest
    @MethodSource("versions")
    void everyRoomOfAnOldShopCanBeRead(String version) throws IOException {
        FileSystemUtils.copyRecursively(GOLDEN.resolve(version), data);
        assertThat(emptyTables(old())).as("one of everything is in it").isEmpty();
        try (RunningShop shop = RunningShop.in(data)) {
            JdbcClient jdbc = shop.bean(JdbcClient.class);
            Client client = shop.client().signedIn("lead", "first lead");
            List<Long> jobs = ids(jdbc, "job");
            for (long job : jobs) {
                for (String room : List.of("", "/bench", "/evidence", "/measurements", "/money", "/outlook")) {
                    read(client, "/api/jobs/" + job + room);
                }
            }
            for (long revision : ids(jdbc, "revision")) {
                for (String room : List.of("/teardown", "/teardown/versions", "/proposals", "/export.json", "/whole")) {
                    read(client, "/api/revisions/" + revision + room);
                }
            }
            for (String room :
                    List.of("rack", "holds", "lots", "parts", "people", "patterns", "symptoms", "chips", "meter")) {
                read(client, "/api/" + room);
            }
            assertThat(read(client, "/api/find?q=T-101").toString()).contains("T-101");
        }
    }

    private static JsonNode read(Client client, String path) {
        Client.Answer answer = client.get(path);
        assertThat(answer.status()).as(path + ": " + answer.body()).isEqualTo(200);
        return answer.body();
    }

    private static List<Long> ids(JdbcClient jdbc, String table) {
        return jdbc.sql("SELECT id FROM " + table + " ORDER BY id")
                .query(Long.class)
                .list();
    }

    private JdbcClient old() {
        return JdbcClient.create(new DriverManagerDataSource("jdbc:sqlite:" + data.resolve("wrench-notes.sqlite")));
    }

    private static List<String> emptyTables(JdbcClient jdbc) {
        return jdbc
                .sql("SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'")
                .query(String.class)
                .list()
                .stream()
                // Made ahead for what may be erased of an entry: nothing writes there yet.
                .filter(table -> !table.equals("entry_private"))
                .filter(table -> jdbc.sql("SELECT NOT EXISTS (SELECT 1 FROM " + table + ")")
                        .query(Boolean.class)
                        .single())
                .toList();
    }
}
