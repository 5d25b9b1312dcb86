package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wrenchnotes.server.Client.body;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** Parts that know what they are, drawers that are counted, what is promised, and what is ordered. */
@Tag("shop")
class DrawersOverHttpTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty();

    private static Client client;
    private static SmallShop shop;

    @BeforeAll
    static void open() {
        client = SHOP.client().asFirstLead();
        shop = new SmallShop(client);
    }

    private static long part(String drawer, String name, int count) {
        Client.Answer made = client.post(
                "/api/parts", body("drawer", drawer, "name", name, "what", "", "eachMinor", 140, "count", count));
        assertThat(made.status()).as(made.body().toString()).isEqualTo(201);
        return made.id();
    }

    private static JsonNode sheet(long part) {
        return client.get("/api/parts/" + part).body();
    }

    private static int count(long part) {
        return sheet(part).get("lies").get("part").get("count").asInt();
    }

    private static List<String> names(JsonNode found) {
        return found.values().stream()
                .map(one -> one.get("lies").get("part").get("name").asString())
                .toList();
    }

    @Test
    void aPartIsFoundFromThePartAndWhatFitsIsNeverWhatItsGaugeRefuses() {
        long belt = part("40", "belt 50 × 1.2 square", 2);
        part("40", "belt 47 × 1.2 square", 1);
        part("40", "belt 56 × 1.2 square", 4);
        part("40", "hinge ribbon, 16 ways", 3);
        part("40", "electrolytic 22 µF 25 V", 3);
        assertThat(names(client.get("/api/parts/found?q=belt+50+square").body()))
                .startsWith("belt 50 × 1.2 square");
        JsonNode ways = client.get("/api/parts/found?q=16+ways").body();
        assertThat(names(ways)).containsExactly("hinge ribbon, 16 ways");
        // Shared words offered the ribbon for a capacitor once.
        JsonNode capacitor = sheet(client.get("/api/parts/found?q=22u+25V")
                .body()
                .get(0)
                .get("lies")
                .get("part")
                .get("id")
                .asLong());
        assertThat(capacitor.get("standIns").size()).isZero();
        assertThat(sheet(belt).get("standIns").values().stream()
                        .map(one -> one.get("name").asString()))
                .containsExactly("belt 47 × 1.2 square");
        JsonNode gauge = client.post(
                        "/api/gauges/belt", Map.of("worn", Map.of("method", "CIRCUMFERENCE", "valueMm", 57.5)))
                .body();
        assertThat(gauge.get("candidates").values().stream()
                        .filter(one -> one.get("verdict").asString().equals("GOOD"))
                        .map(one -> one.get("part").asString()))
                .contains("belt 50 × 1.2 square", "belt 47 × 1.2 square")
                .doesNotContain("belt 56 × 1.2 square");
        Map<String, Object> refused = body("componentId", shop.belt, "fits", false, "why", "climbs off");
        assertThat(client.post("/api/parts/" + belt + "/fits", refused)
                        .body()
                        .get(0)
                        .get("why")
                        .asString())
                .isEqualTo("climbs off");
        assertThat(client.post("/api/parts/" + belt + "/fits", body("componentId", 999_999, "fits", true, "why", "x"))
                        .status())
                .isEqualTo(404);
    }

    /** What nobody could read is one list to go through; what a person says goes before what is read, and must be of its kind. */
    @Test
    void whatALabelDoesNotSayAPersonSays() {
        long cone = part("41", "cone, left", 1);
        assertThat(client.get("/api/parts/unread").body().toString()).contains("cone, left");
        Map<String, Object> said = body("drawer", "41", "name", "cone, left", "what", "", "eachMinor", 140, "count", 0);
        said.put("spec", Map.of("kind", "ROLLER", "figures", Map.of("OUTER", 12, "BORE", 4), "words", Map.of()));
        said.put(
                "care",
                body(
                        "place",
                        "left",
                        "supplierNumber",
                        "C-7",
                        "pack",
                        5,
                        "minimum",
                        3,
                        "gone",
                        false,
                        "temporary",
                        false));
        Client.Answer changed = client.put("/api/parts/" + cone, 1, said);
        assertThat(changed.status()).as(changed.body().toString()).isEqualTo(200);
        assertThat(changed.body().get("told").asString()).isEqualTo("outside 12 mm, bore 4 mm");
        assertThat(changed.body().get("low").asBoolean()).isTrue();
        said.put("spec", Map.of("kind", "ROLLER", "figures", Map.of("TEETH", 12), "words", Map.of()));
        assertThat(client.put("/api/parts/" + cone, 2, said).detail()).contains("has no teeth");
        said.put("spec", Map.of("kind", "ROLLER", "figures", Map.of("OUTER", -1), "words", Map.of()));
        assertThat(client.put("/api/parts/" + cone, 2, said).status()).isEqualTo(400);
    }

    /** Published tables of the Poisson distribution (from memory): with 1.4 expected, at most 4 in 98.6 of 100. */
    @Test
    void reorderingIsComputedOfWhatIsSent() {
        Map<String, Object> asked = body(
                "perWeek",
                0.7,
                "leadWeeks",
                2,
                "orderCostMinor",
                500,
                "holdingShare",
                0.2,
                "eachMinor",
                140,
                "pack",
                10);
        JsonNode found = client.post("/api/parts/reorder", asked).body();
        assertThat(found.get("reorderAt").asInt()).isEqualTo(4);
        assertThat(found.get("serviceReached").asDouble()).isCloseTo(0.9857, within(5e-5));
        assertThat(found.get("leadDemand").get("mean").asDouble()).isCloseTo(1.4, within(1e-12));
        assertThat(found.get("orderQuantity").asInt() % 10).isZero();
        asked.put("perMonth", List.of(0, 2));
        assertThat(client.post("/api/parts/reorder", asked).status()).isEqualTo(400);
        asked.remove("perMonth");
        asked.remove("perWeek");
        assertThat(client.post("/api/parts/reorder", asked).detail()).contains("exactly one");
        asked.put("perMonth", List.of(0, 0));
        assertThat(client.post("/api/parts/reorder", asked)
                        .body()
                        .get("orderQuantity")
                        .asInt())
                .isZero();
        asked.put("leadWeeks", 0);
        assertThat(client.post("/api/parts/reorder", asked).status()).isEqualTo(400);
    }

    @Test
    void aDrawerIsCountedThroughWhileTheWorkGoesOn() {
        long screws = part("42", "screw M3 × 6 silver", 20);
        long washers = part("42", "washer 3 mm", 30);
        long elsewhere = part("43", "washer 4 mm", 5);
        long take = client.post("/api/stock-takes", Map.of("drawer", "42")).id();
        assertThat(client.post("/api/stock-takes", Map.of("drawer", "42")).id())
                .as("the one that is open goes on")
                .isEqualTo(take);
        assertThat(client.post("/api/stock-takes/" + take + "/counts", body("partId", elsewhere, "count", 5))
                        .detail())
                .contains("belongs in drawer 43");
        JsonNode counted = client.post("/api/stock-takes/" + take + "/counts", body("partId", screws, "count", 18))
                .body();
        assertThat(counted.get("lines").get(0).get("differs").asInt()).isEqualTo(-2);
        assertThat(counted.get("left").asInt()).isEqualTo(1);
        assertThat(count(screws))
                .as("nothing is taken over before somebody says so")
                .isEqualTo(20);
        // Meanwhile ten more come in: they are not counted away.
        client.post("/api/parts/" + screws + "/stock", body("count", 10, "why", ""));
        client.post("/api/stock-takes/" + take + "/end", Map.of("take", true));
        assertThat(List.of(count(screws), count(washers))).containsExactly(28, 30);
        assertThat(client.post("/api/stock-takes/" + take + "/counts", body("partId", screws, "count", 1))
                        .status())
                .isEqualTo(409);
        client.post("/api/parts/" + washers + "/count", body("count", 31, "why", "one under the tray"));
        assertThat(count(washers)).isEqualTo(31);
    }

    /** Two benches take the last one at once: one gets it, the other is told, and nothing goes below nothing. */
    @Test
    void theLastOneIsTakenOnce() throws Exception {
        long last = part("44", "belt 36 × 1.2 square", 3);
        List<Long> jobs = new ArrayList<>();
        for (int n = 0; n < 8; n++) {
            jobs.add(shop.takenIn());
        }
        ExecutorService benches = Executors.newFixedThreadPool(8);
        List<Callable<Client.Answer>> takes = jobs.stream()
                .map(job -> (Callable<Client.Answer>)
                        () -> client.post("/api/jobs/" + job + "/aside", body("partId", last, "count", 1)))
                .toList();
        List<Client.Answer> answers = new ArrayList<>();
        for (Future<Client.Answer> one : benches.invokeAll(takes)) {
            answers.add(one.get());
        }
        benches.shutdown();
        assertThat(answers.stream().filter(one -> one.status() == 201)).hasSize(3);
        assertThat(answers.stream().filter(one -> one.status() == 409))
                .hasSize(5)
                .allSatisfy(one -> assertThat(one.detail()).contains("the drawer has 0, not 1"));
        JsonNode sheet = sheet(last);
        assertThat(sheet.get("lies").get("part").get("promised").asInt()).isEqualTo(3);
        assertThat(sheet.get("promised").size()).isEqualTo(3);
    }

    /** After any sequence: what is kept beside the movements is their sum, in every account, and all accounts together hold nothing. */
    @Test
    void accountsAgreeAfterAnySequence() {
        long part = part("45", "washer 5 mm", 6);
        long job = shop.takenIn();
        Random random = new Random(22);
        int took = 0;
        for (int n = 0; n < 60; n++) {
            Client.Answer answer =
                    switch (random.nextInt(5)) {
                        case 0 ->
                            client.post(
                                    "/api/parts/" + part + "/stock", body("count", 1 + random.nextInt(3), "why", ""));
                        case 1 ->
                            client.post(
                                    "/api/parts/" + part + "/count",
                                    body("count", random.nextInt(9), "why", "counted"));
                        case 2 ->
                            client.post(
                                    "/api/jobs/" + job + "/aside",
                                    body("partId", part, "count", 1 + random.nextInt(3)));
                        case 3 -> client.delete("/api/jobs/" + job + "/aside/" + part);
                        default ->
                            client.post(
                                    "/api/jobs/" + job + "/parts",
                                    body("partId", part, "count", 1 + random.nextInt(2)));
                    };
            assertThat(answer.status()).as(answer.body().toString()).isIn(200, 201, 404, 409);
            took += answer.status() < 300 ? 1 : 0;
        }
        assertThat(took).as("moves that were not refused").isGreaterThan(25);
        JdbcClient jdbc = SHOP.bean(JdbcClient.class);
        assertThat(jdbc.sql("""
                        SELECT COUNT(*) FROM (
                            SELECT part_id, account, SUM(count) AS count, SUM(value) AS value
                            FROM (SELECT part_id, to_account AS account, count, value_minor AS value FROM part_movement
                                  UNION ALL SELECT part_id, from_account, -count, -value_minor FROM part_movement)
                            WHERE part_id IS NOT NULL
                            GROUP BY part_id, account
                            EXCEPT SELECT part_id, account, count, value_minor FROM part_balance)
                        """).query(Integer.class).single()).isZero();
        assertThat(jdbc.sql("SELECT SUM(count) FROM part_balance WHERE part_id = :part")
                        .param("part", part)
                        .query(Integer.class)
                        .single())
                .isZero();
        assertThat(jdbc.sql("SELECT MIN(count) FROM part_balance WHERE account IN ('DRAWER', 'SHELF')")
                        .query(Integer.class)
                        .single())
                .isNotNegative();
    }
}
