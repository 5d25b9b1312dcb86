package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;
import static wrenchnotes.server.Client.quoted;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.simple.JdbcClient;

/** What is wrong, late, twice or uninvited is refused with a sentence, and leaves nothing behind. */
@Tag("shop")
class HostileInputTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty();

    private static SmallShop shop;
    private static Client client;

    @BeforeAll
    static void open() {
        client = SHOP.client().asFirstLead();
        shop = new SmallShop(client);
    }

    @Test
    void nothingIsReachableWithoutSigningIn() {
        Client stranger = SHOP.client();
        for (String path : List.of(
                "/api/rack",
                "/api/jobs/1",
                "/api/find?q=a",
                "/api/patterns",
                "/api/people",
                "/api/parts",
                "/api/models")) {
            assertThat(stranger.get(path).status()).as(path).isEqualTo(401);
        }
        assertThat(stranger.post("/api/models", Map.of()).status()).isEqualTo(401);
        assertThat(stranger.get("/actuator/env").status()).isIn(401, 403);
        assertThat(stranger.get("/actuator/health").status()).isEqualTo(200);
        Client.Answer wrong = stranger.post("/api/session", Map.of("name", "lead", "password", "no"));
        assertThat(wrong.status()).isEqualTo(401);
        Client.Answer nobody = stranger.post("/api/session", Map.of("name", "nobody", "password", "no"));
        assertThat(nobody.detail()).as("names cannot be tried out").isEqualTo(wrong.detail());
        assertThat(stranger.post(
                                "/api/session/first",
                                Map.of("name", "me", "password", "mine for now", "code", Client.CODE))
                        .status())
                .isEqualTo(409);
        assertThat(stranger.get("/api/session").body().get("demoPeople").size()).isZero();
    }

    @Test
    void aForeignPageCannotWriteInSomebodysName() {
        Client.Answer forged =
                client.postWithoutToken("/api/models", Map.of("maker", "F", "name", "G", "kind", "OTHER"));
        assertThat(forged.status()).isEqualTo(403);
        assertThat(count("model WHERE maker = 'F'")).isZero();
    }

    @Test
    void passwordsAreHashedAndEveryEntryHasItsWriter() {
        JdbcClient jdbc = SHOP.bean(JdbcClient.class);
        assertThat(jdbc.sql("SELECT password_hash FROM person WHERE name = 'lead'")
                        .query(String.class)
                        .single())
                .startsWith("{bcrypt}$2")
                .doesNotContain("first lead");
        assertThat(client.post(
                                "/api/people",
                                Map.of(
                                        "name",
                                        "kit",
                                        "password",
                                        "kit's own key",
                                        "roles",
                                        java.util.List.of("BENCH", "COUNTER")))
                        .status())
                .isEqualTo(201);
        Client kit = SHOP.client().signedIn("kit", "kit's own key");
        assertThat(kit.post(
                                "/api/people",
                                Map.of(
                                        "name",
                                        "sly",
                                        "password",
                                        "some long words",
                                        "roles",
                                        java.util.List.of("LEAD")))
                        .status())
                .isEqualTo(403);
        long job = SmallShop.taken(kit.post("/api/jobs", shop.coming()));
        assertThat(shop.sheet(job).body().get("story").get(0).get("by").asString())
                .isEqualTo("kit");
        assertThat(kit.get("/api/session").body().get("person").get("name").asString())
                .isEqualTo("kit");
    }

    @Test
    void badInputNamesItsFieldAndWritesNothing() {
        long job = shop.takenIn();
        shop.start(job);
        long before = count("journal");
        String jobs = "/api/jobs/" + job;
        assertField(client.post("/api/models", Map.of("maker", "", "name", "X", "kind", "OTHER")), "maker");
        assertField(client.post("/api/models", Map.of("maker", "M", "name", "x".repeat(61), "kind", "OTHER")), "name");
        assertField(client.post("/api/models", Map.of("maker", "M", "name", "X", "kind", "TOASTER")), "kind");
        assertField(client.post("/api/models", "{\"maker\": [1], \"name\": \"X\", \"kind\": \"OTHER\"}"), "maker");
        assertField(client.post("/api/models", "{\"maker\": \"M\", \"nmae\": \"X\"}"), "nmae");
        assertField(client.post("/api/models", "{\"maker\": "), "body");
        assertField(client.post("/api/models", "null"), "body");
        assertField(
                client.post("/api/parts", body("drawer", "1", "name", "n", "what", "", "eachMinor", -1, "count", 0)),
                "eachMinor");
        assertField(
                client.post("/api/parts", body("drawer", "1", "name", "n", "what", "", "eachMinor", 1, "count", -3)),
                "count");
        Map<String, Object> coming = shop.coming();
        coming.put("revisionId", 99_999);
        assertField(client.post("/api/jobs", coming), "revisionId");
        coming = shop.coming();
        coming.put("ownerName", " ");
        assertField(client.post("/api/jobs", coming), "ownerName");
        coming = shop.coming();
        coming.put("slot", "Z9");
        assertField(client.post("/api/jobs", coming), "slot");
        coming = shop.coming();
        coming.put("arrival", body("symptoms", List.of(Map.of("name", "", "present", true))));
        assertThat(client.post("/api/jobs", coming).field()).startsWith("arrival.symptoms[0]");
        assertField(
                client.post(
                        jobs + "/findings",
                        body(
                                "component",
                                "belt",
                                "wrong",
                                "slack",
                                "remedy",
                                "REPLACED",
                                "parts",
                                List.of(SmallShop.fromDrawer(4711, 1)),
                                "remark",
                                "")),
                "partId");
        assertField(
                client.post(
                        jobs + "/findings",
                        body(
                                "component",
                                "belt",
                                "wrong",
                                "slack",
                                "remedy",
                                "REPLACED",
                                "parts",
                                List.of(SmallShop.fromDrawer(1, -1)),
                                "remark",
                                "")),
                "parts[0].count");
        assertField(
                client.post(
                        jobs + "/checks",
                        body(
                                "stage", "ARRIVAL", "verdict", "PASSED", "what", "plays", "load", "", "times", 0,
                                "remark", "")),
                "times");
        assertField(
                client.post(jobs + "/holds", Map.of("kind", "DRY", "why", "board", "until", "2001-01-01T00:00:00Z")),
                "until");
        assertField(client.post(jobs + "/outcome", Map.of("outcome", "PARTLY_FIXED", "remark", "")), "remark");
        assertField(
                client.bench(
                        job,
                        "steps/lid/in",
                        Map.of("found", List.of(body("thing", "case", "toTray", -4, "missing", 0, "broken", 0)))),
                "found[0].toTray");
        assertField(client.bench(job, "steps/attic/in", Map.of("found", List.of())), "step");
        assertThat(client.get("/api/jobs/4711").status()).isEqualTo(404);
        assertField(client.get("/api/jobs/seven"), "job");
        assertField(client.get("/api/patterns?months=0"), "months");
        assertThat(client.get("/api/nowhere").status()).isEqualTo(404);
        assertThat(count("journal")).as("nothing was written").isEqualTo(before);
    }

    @Test
    void notesWithACircleAreRefusedAsAWhole() {
        Map<String, Object> one =
                body("id", "one", "title", "One", "needs", List.of("two"), "side", "TOP", "tool", "", "minutes", 1);
        Map<String, Object> two =
                body("id", "two", "title", "Two", "needs", List.of("one"), "side", "TOP", "tool", "", "minutes", 1);
        Client.Answer circle = client.put(
                "/api/revisions/" + shop.revision + "/teardown", 1, Map.of("steps", List.of(one, two), "why", ""));
        assertThat(circle.status()).isEqualTo(400);
        assertThat(circle.detail()).contains("One → Two → One");
        String bad = quoted(
                "{'why':'','steps':[{'id':'s','title':'S','side':'TOP','tool':'','minutes':1,'fasteners':[{'id':'f',"
                        + "'label':'f','head':'CROSS','size':'','thread':'TAPPING','diameterMm':2,'lengthMm':-1,'finish':'BLACK','count':2}]}]}");
        assertField(
                client.put("/api/revisions/" + shop.revision + "/teardown", 1, bad), "steps[0].fasteners[0].lengthMm");
        assertThat(client.get("/api/revisions/" + shop.revision + "/teardown")
                        .body()
                        .get("number")
                        .asLong())
                .isEqualTo(1);
    }

    @Test
    void theSecondOfTwoPeopleIsToldAndOverwritesNothing() {
        Client.Answer model = client.get("/api/models/" + shop.model);
        long seen = model.body().get("model").get("version").asLong();
        Map<String, String> mine = Map.of("maker", "Cormorant Works", "name", "Mine " + seen, "kind", "PLAYER");
        Map<String, String> theirs = Map.of("maker", "Cormorant Works", "name", "Theirs " + seen, "kind", "PLAYER");
        assertThat(client.put("/api/models/" + shop.model, seen, mine).status()).isEqualTo(200);
        Client.Answer stale = client.put("/api/models/" + shop.model, seen, theirs);
        assertThat(stale.status()).isEqualTo(412);
        assertThat(stale.body().get("current").get("name").asString()).isEqualTo("Mine " + seen);
        assertThat(client.post("/api/jobs/" + shop.takenIn() + "/bench/back", "")
                        .status())
                .as("no version said")
                .isEqualTo(428);

        long job = shop.takenIn();
        long version = shop.sheet(job).body().get("job").get("version").asLong();
        Map<String, Object> correction =
                body("serial", "S1", "revisionId", shop.revision, "arrival", body("complaint", "hums"));
        assertThat(client.put("/api/jobs/" + job + "/arrival", version, correction)
                        .status())
                .isEqualTo(200);
        assertThat(client.put("/api/jobs/" + job + "/arrival", version, correction)
                        .status())
                .isEqualTo(412);
        assertThat(shop.sheet(job).body().get("story").get(0).get("words").asString())
                .contains("Complaint: does nothing → hums", "Serial: nothing → S1", "Symptom taken away: dead");
    }

    @Test
    void aRetriedRequestDoesNothingTwiceEvenAtTheSameMoment() throws InterruptedException {
        Map<String, Object> coming = shop.coming();
        Map<String, String> id = Map.of("Idempotency-Key", "counter-1");
        long jobs = count("job");
        int tries = 8;
        ConcurrentLinkedQueue<String> answers = new ConcurrentLinkedQueue<>();
        ExecutorService hands = Executors.newFixedThreadPool(tries);
        CountDownLatch together = new CountDownLatch(1);
        for (int n = 0; n < tries; n++) {
            hands.submit(() -> {
                together.await();
                return answers.add(client.post("/api/jobs", coming, id).body().toString());
            });
        }
        together.countDown();
        hands.shutdown();
        assertThat(hands.awaitTermination(60, TimeUnit.SECONDS)).isTrue();
        assertThat(answers).hasSize(tries);
        assertThat(answers.stream().distinct()).hasSize(1);
        assertThat(count("job")).isEqualTo(jobs + 1);
        coming.put("serial", "another");
        assertField(client.post("/api/jobs", coming, id), "Idempotency-Key");
    }

    private static void assertField(Client.Answer answer, String field) {
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(400);
        assertThat(answer.field()).isEqualTo(field);
        assertThat(answer.detail()).isNotBlank().doesNotContain("Exception", "wrenchnotes.");
    }

    private static long count(String from) {
        return SHOP.bean(JdbcClient.class)
                .sql("SELECT COUNT(*) FROM " + from)
                .query(Long.class)
                .single();
    }
}
