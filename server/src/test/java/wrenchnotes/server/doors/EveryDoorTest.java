package wrenchnotes.server.doors;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.Error;
import com.networknt.schema.Schema;
import java.util.HashMap;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import wrenchnotes.server.Client;
import wrenchnotes.server.RunningShop;
import wrenchnotes.server.doors.ApiWords.Door;

/**
 * Every operation of the API's description, on the demo shop: good answers are what the description promises, and whatever is sent,
 * the answer is a sentence, nothing is half written, and the books still balance.
 */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
@Tag("shop")
class EveryDoorTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.withDemo();

    private static final long SEED = 20_261_125;
    private static final int KNOCKS = 14;
    /** These end the visit, or turn the meter to a host that may exist. */
    static final Set<String> LEFT_ALONE = Set.of(
            "DELETE /api/session",
            "POST /api/session",
            "POST /api/session/first",
            // Whoever tries the doors would take the lead from itself; WhoMayTest tries this one.
            "PUT /api/people/{person}/roles",
            "PUT /api/people/{person}/password",
            "DELETE /api/people/{person}",
            "DELETE /api/sign-ins/{signIn}",
            "PUT /api/sign-ins/password",
            // Makes a whole demo shop beside this one, for half a minute.
            "POST /api/practice",
            "POST /api/network",
            "POST /api/keeping/backups",
            "PUT /api/meter",
            "PUT /api/meter/stand-in");

    private static Client client;
    private static ApiWords words;
    private static JdbcClient jdbc;
    private static Ways ways;
    private static final Random RANDOM = new Random(SEED);

    @BeforeAll
    static void goIn() {
        client = SHOP.client().signedIn("ines", "quay");
        words = new ApiWords(client.get("/api/openapi.json").body());
        jdbc = SHOP.bean(JdbcClient.class);
        ways = new Ways(jdbc, RANDOM);
    }

    @Test
    @Order(1)
    void aGoodAnswerIsWhatTheDescriptionPromises() {
        SoftAssertions all = new SoftAssertions();
        int checked = 0;
        for (Door door : words.doors()) {
            if (!door.method().equals("GET")
                    || door.answer().isEmpty()
                    || door.path().contains("export")) {
                continue;
            }
            Schema promise = words.promise(door.answer().get());
            for (int knock = 0; knock < 5; knock++) {
                String path = ways.to(door, knock % 2 == 1);
                Client.Answer answer = client.get(path);
                if (answer.status() == 200) {
                    checked++;
                    all.assertThat(promise.validate(answer.body()).stream()
                                    .map(Error::toString)
                                    .limit(3)
                                    .toList())
                            .as(path)
                            .isEmpty();
                } else {
                    sayWhatIsWrong(all, "GET " + path, answer);
                }
            }
        }
        all.assertAll();
        assertThat(checked).as("good answers that were looked at").isGreaterThan(120);
    }

    @Test
    @Order(2)
    void whateverIsSentTheAnswerIsASentenceAndNothingIsHalfWritten() {
        Bodies bodies = new Bodies(words, RANDOM);
        Map<Integer, Integer> statuses = new HashMap<>();
        SoftAssertions all = new SoftAssertions();
        for (Door door : words.doors()) {
            if (door.method().equals("GET") || LEFT_ALONE.contains(door.toString())) {
                continue;
            }
            for (int knock = 0; knock < (door.body().isPresent() ? KNOCKS : 4); knock++) {
                Object body = door.body().isEmpty()
                        ? ""
                        : knock % 3 == 0
                                ? bodies.fitting(door.body().get())
                                : bodies.spoilt(door.body().get());
                String path = ways.to(door, false);
                long before = written();
                Client.Answer answer = client.send(door.method(), path, seen(door, path), body);
                statuses.merge(answer.status(), 1, Integer::sum);
                if (answer.status() >= 400) {
                    sayWhatIsWrong(all, door.method() + " " + path + " " + body, answer);
                    all.assertThat(written())
                            .as("refused: " + door + " " + body)
                            .isEqualTo(before);
                }
            }
        }
        all.assertAll();
        assertThat(statuses.keySet()).as(statuses.toString()).contains(200, 201, 400, 404, 409);
    }

    private static long written() {
        return jdbc.sql("SELECT COUNT(*) FROM journal").query(Long.class).single();
    }

    private static Map<String, String> seen(Door door, String path) {
        if (!door.has("If-Match")) {
            return Map.of();
        }
        int at = path.indexOf("/bench/");
        long version = at < 0
                ? RANDOM.nextInt(3)
                : client.get(path.substring(0, at) + "/bench")
                        .body()
                        .get("version")
                        .asLong();
        return Map.of("If-Match", "\"" + version + "\"");
    }

    private static void sayWhatIsWrong(SoftAssertions all, String asked, Client.Answer answer) {
        String at = asked.substring(0, Math.min(600, asked.length()));
        // A device that does not answer is a device's fault.
        all.assertThat(answer.status()).as(at + " " + answer.body()).isIn(400, 404, 409, 412, 413, 415, 428, 502);
        all.assertThat(answer.body().path("detail").asString(""))
                .as(at)
                .isNotBlank()
                .doesNotContain("Exception", "java.", "tools.jackson", "SQLITE", "not be null");
    }

    /** After all that: the file is whole, every reference holds, and no account of any unit is below nothing or adds up wrong. */
    @Test
    @Order(3)
    void theBooksStillBalance() {
        assertThat(jdbc.sql("PRAGMA integrity_check").query(String.class).list())
                .containsExactly("ok");
        assertThat(jdbc.sql("PRAGMA foreign_key_check").query().listOfRows()).isEmpty();
        assertThat(jdbc.sql("""
                                SELECT job_id, thing, account, SUM(n) AS n
                                FROM (SELECT job_id, thing, to_account AS account, count AS n FROM ledger_entry
                                      UNION ALL
                                      SELECT job_id, thing, from_account, -count FROM ledger_entry)
                                WHERE account <> 'FITTED'
                                GROUP BY job_id, thing, account
                                HAVING SUM(n) < 0
                                """).query().listOfRows())
                .as("accounts below nothing")
                .isEmpty();
        for (long job : jdbc.sql("SELECT id FROM job WHERE handed_over_at IS NULL")
                .query(Long.class)
                .list()) {
            JsonNode bench = client.get("/api/jobs/" + job + "/bench").body();
            bench.get("way").get("steps").forEach(step -> step.get("things").forEach(thing -> {
                int sum = thing.get("accounts").values().stream()
                        .mapToInt(JsonNode::asInt)
                        .sum();
                assertThat(sum)
                        .as(job + " " + thing)
                        .isEqualTo(thing.get("count").asInt());
            }));
            assertThat(client.get("/api/jobs/" + job).status()).isEqualTo(200);
        }
        assertThat(client.get("/api/rack").status()).isEqualTo(200);
        assertThat(client.get("/api/patterns").status()).isEqualTo(200);
    }
}
