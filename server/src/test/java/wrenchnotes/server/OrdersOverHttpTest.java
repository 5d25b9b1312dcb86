package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** What is wanted is ordered, comes in parts, and ends the waits of those who asked for it. */
@Tag("shop")
class OrdersOverHttpTest {

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
        return client.post(
                        "/api/parts",
                        body("drawer", drawer, "name", name, "what", "", "eachMinor", 140, "count", count))
                .id();
    }

    private static JsonNode sheet(long part) {
        return client.get("/api/parts/" + part).body();
    }

    private static JsonNode order(JsonNode orders, long id) {
        return orders.get("orders").values().stream()
                .filter(one -> one.get("id").asLong() == id)
                .findFirst()
                .orElseThrow();
    }

    private static String standing(JsonNode order, int line) {
        return order.get("lines").get(line).get("line").get("standing").asString();
    }

    /** An order comes in two parts and ends the waits of two jobs in turn; a wrong one goes back; carriage is part of what they cost. */
    @Test
    void anOrderComesInTwoPartsAndEndsTwoWaits() {
        long belt = part("46", "belt 64 × 1.2 square", 0);
        long first = shop.takenIn();
        long second = shop.takenIn();
        for (long job : List.of(first, second)) {
            client.post("/api/order-lines", body("partId", belt, "count", 1, "jobId", job, "why", "split"));
            assertThat(shop.sheet(job).body().toString()).contains("1 × belt 64 × 1.2 square");
        }
        JsonNode wanted = client.post("/api/order-lines", body("partId", belt, "count", 8, "why", "runs out"))
                .body();
        List<Long> lines = wanted.get("wanted").values().stream()
                .filter(one -> one.get("partId").asLong() == belt)
                .map(one -> one.get("id").asLong())
                .toList();
        assertThat(lines).hasSize(3);
        long supplier = client.post("/api/suppliers", body("name", "Rubber and ring", "mail", "", "number", ""))
                .id();
        assertThat(client.post("/api/suppliers", body("name", "Rubber and ring"))
                        .status())
                .isEqualTo(400);
        JsonNode ordered = client.post("/api/orders", body("supplierId", supplier, "lines", lines, "words", ""))
                .body();
        long order = ordered.get("orders").get(0).get("id").asLong();
        assertThat(ordered.get("wanted").values().stream()
                        .filter(one -> one.get("partId").asLong() == belt))
                .isEmpty();
        assertThat(client.post("/api/orders", body("supplierId", supplier, "lines", lines, "words", ""))
                        .status())
                .as("twice is not ordered")
                .isEqualTo(409);
        assertThat(client.get("/api/parts/" + belt).body().get("coming").size()).isEqualTo(3);

        JsonNode expected = shop.sheet(first).body().get("holds").get(0).get("expected");
        assertThat(expected.get("half").asString())
                .isLessThan(expected.get("fourFifths").asString());
        assertThat(expected.has("said")).as("the supplier has said nothing").isFalse();

        // The first comes; of the second a wrong one, which goes back.
        client.post(
                "/api/orders/" + order + "/came",
                body("lines", List.of(body("line", lines.get(0), "count", 1)), "freightMinor", 60));
        assertThat(waits(first)).as("rings").isZero();
        assertThat(waits(second)).isEqualTo(1);
        JsonNode wrong = client.post(
                        "/api/order-lines/" + lines.get(1) + "/events",
                        body("what", "WRONG", "count", 1, "words", "round"))
                .body();
        assertThat(standing(order(wrong, order), 1)).isEqualTo("WRONG_CAME");
        client.post("/api/order-lines/" + lines.get(1) + "/events", body("what", "SENT_BACK", "count", 1, "words", ""));
        assertThat(client.post(
                                "/api/orders/" + order + "/came",
                                body("lines", List.of(body("line", lines.get(1), "count", 2)), "freightMinor", 0))
                        .detail())
                .contains("1 are still to come, not 2");
        JsonNode all = client.post(
                        "/api/orders/" + order + "/came",
                        body(
                                "lines",
                                List.of(body("line", lines.get(1), "count", 1), body("line", lines.get(2), "count", 8)),
                                "freightMinor",
                                90))
                .body();
        assertThat(order(all, order).get("open").asBoolean()).isFalse();
        assertThat(order(all, order).get("freightMinor").asLong()).isEqualTo(150);
        assertThat(waits(second)).isZero();
        JsonNode now = sheet(belt).get("lies").get("part");
        assertThat(now.get("count").asInt()).isEqualTo(8);
        assertThat(now.get("promised").asInt()).isEqualTo(2);
        assertThat(now.get("valueMinor").asLong())
                .as("with their share of the carriage")
                .isBetween(8 * 140L + 80, 8 * 140L + 130);
    }

    /** How many waits of a job still run. */
    private static long waits(long job) {
        return client.get("/api/holds?over=0").body().values().stream()
                .filter(one -> one.get("jobId").asLong() == job && !one.has("until"))
                .count();
    }

    /** What is there is set aside at once, and what is booked in by hand ends the wait of whoever asked first. */
    @Test
    void whoAskedFirstIsServedFirst() {
        long tyre = part("47", "idler tyre 14 mm", 0);
        long first = shop.takenIn();
        long second = shop.takenIn();
        client.post("/api/order-lines", body("partId", tyre, "count", 1, "jobId", first, "why", "glazed"));
        client.post("/api/order-lines", body("partId", tyre, "count", 1, "jobId", second, "why", "glazed"));
        client.post("/api/parts/" + tyre + "/stock", body("count", 1, "why", "found in the other drawer"));
        assertThat(List.of(waits(first), waits(second))).containsExactly(0L, 1L);
        JsonNode sheet = sheet(tyre);
        assertThat(sheet.get("promised").get(0).get("job").asLong()).isEqualTo(first);
        assertThat(sheet.get("coming").size())
                .as("only the second is still wanted")
                .isEqualTo(1);
    }

    /** What is there is set aside at once, and nobody waits. */
    @Test
    void whatIsThereIsNotWaitedFor() {
        long washer = part("48", "washer 6 mm", 2);
        long job = shop.takenIn();
        client.post("/api/order-lines", body("partId", washer, "count", 2, "jobId", job, "why", "lost"));
        assertThat(waits(job)).isZero();
        assertThat(sheet(washer).get("promised").get(0).get("count").asInt()).isEqualTo(2);
        assertThat(sheet(washer).get("coming").size()).isZero();
    }

    /** Of what is not there nothing is ordered, and it is said. */
    @Test
    void whatIsNotThereIsNotOrderedFor() {
        long part = part("48", "belt 71 × 1.2 square", 0);
        Map<String, Object> wanted = body("partId", part, "count", 1, "why", "split");
        wanted.put("jobId", 0);
        assertThat(client.post("/api/order-lines", wanted).status()).isEqualTo(404);
        wanted.remove("jobId");
        wanted.put("componentId", 999_999);
        assertThat(client.post("/api/order-lines", wanted).detail()).contains("no component 999999");
        wanted.remove("componentId");
        wanted.put("findingId", 1);
        assertThat(client.post("/api/order-lines", wanted).status()).isEqualTo(400);
        wanted.remove("findingId");
        wanted.put("partId", 999_999);
        assertThat(client.post("/api/order-lines", wanted).status()).isEqualTo(400);
    }
}
