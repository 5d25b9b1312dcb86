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

/** A unit that is kept for parts gives them away, with their share of what it cost, and has them back if it was not so. */
@Tag("shop")
class DonorsOverHttpTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty();

    private static Client client;
    private static SmallShop shop;

    @BeforeAll
    static void open() {
        client = SHOP.client().asFirstLead();
        shop = new SmallShop(client);
    }

    /** Bought for 30.00, its belt seen good, its fan bad, and kept for parts. @return the unit */
    private static long donor() {
        Map<String, Object> coming = shop.coming();
        coming.put("ownership", "RESALE");
        coming.remove("ownerName");
        coming.put("paidMinor", 3_000);
        long job = SmallShop.taken(client.post("/api/jobs", coming));
        shop.look(job);
        client.post("/api/models/" + shop.model + "/components", Map.of("name", "fan"));
        client.post(
                "/api/jobs/" + job + "/findings",
                body(
                        "component",
                        "fan",
                        "wrong",
                        "seized",
                        "remedy",
                        "LEFT_AS_IT_IS",
                        "parts",
                        List.of(),
                        "remark",
                        ""));
        client.post("/api/jobs/" + job + "/outcome", Map.of("outcome", "KEPT_FOR_PARTS", "remark", ""));
        return shop.sheet(job).body().get("job").get("unit").get("id").asLong();
    }

    private static JsonNode piece(long unit, String name) {
        return client.get("/api/donors/" + unit).body().get("pieces").values().stream()
                .filter(one -> one.get("name").asString().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static Client.Answer fromDonor(long job, long unit, String wrong) {
        Map<String, Object> part =
                body("count", 1, "cameFrom", "DONOR", "donor", body("unitId", unit, "componentId", shop.belt));
        return client.post(
                "/api/jobs/" + job + "/findings",
                body("component", "belt", "wrong", wrong, "remedy", "REPLACED", "parts", List.of(part), "remark", ""));
    }

    @Test
    void aPartGoesFromADonorIntoAJobWithItsCostAndItsStoryAndBack() {
        long unit = donor();
        JsonNode register = client.get("/api/donors/" + unit).body();
        assertThat(register.get("paidMinor").asLong()).isEqualTo(3_000);
        assertThat(piece(unit, "belt").get("state").asString()).isEqualTo("GOOD");
        assertThat(piece(unit, "belt").get("told").asString()).contains("good, measured");
        assertThat(piece(unit, "fan").get("state").asString()).isEqualTo("BAD");
        // By its notes: the lid 2 minutes, the deck 3, turned over once, the driver taken up.
        assertThat(piece(unit, "belt").get("minutes").asDouble()).isBetween(5.0, 8.0);
        assertThat(client.post("/api/donors/" + unit + "/words", body("place", "cellar, left", "gone", false))
                        .status())
                .isEqualTo(200);

        long job = shop.takenIn();
        JsonNode sources =
                client.get("/api/jobs/" + job + "/sources?component=Belt").body();
        JsonNode from = sources.get("donors").get(0);
        assertThat(from.get("unitId").asLong()).isEqualTo(unit);
        assertThat(from.get("place").asString()).isEqualTo("cellar, left");
        assertThat(from.get("same").asBoolean()).isTrue();
        assertThat(client.get("/api/jobs/" + job + "/sources?component=nothing")
                        .body()
                        .get("donors")
                        .size())
                .isZero();
        long share = piece(unit, "belt").get("shareMinor").asLong();
        assertThat(share).as("the only one that is there bears it all").isEqualTo(3_000);

        Client.Answer found = fromDonor(job, unit, "slack");
        assertThat(found.status()).as(found.body().toString()).isEqualTo(201);
        assertThat(piece(unit, "belt").get("state").asString()).isEqualTo("GONE");
        assertThat(shop.sheet(job).body().get("partsMinor").asLong()).isEqualTo(share);
        assertThat(found.body().get("done").get("parts").get(0).toString()).contains("belt of WN-", "second-hand");
        JsonNode gave = client.get("/api/donors/" + unit).body();
        assertThat(gave.get("leftMinor").asLong()).isZero();
        assertThat(gave.get("moves").get(0).get("tag").asString())
                .isEqualTo(
                        shop.sheet(job).body().get("job").get("unit").get("tag").asString());
        long donorJob = gave.get("jobId").asLong();
        assertThat(shop.sheet(donorJob).body().get("story").toString()).contains("Taken out: belt, for WN-");

        // Nobody else has it; and corrected to another fault it is still that one, taken once.
        Client.Answer second = fromDonor(shop.takenIn(), unit, "slack");
        assertThat(second.status()).isEqualTo(409);
        assertThat(second.detail()).contains("was taken out already");
        long finding = found.id();
        Map<String, Object> part =
                body("count", 1, "cameFrom", "DONOR", "donor", body("unitId", unit, "componentId", shop.belt));
        Client.Answer corrected = client.post(
                "/api/findings/" + finding + "/correction",
                body(
                        "why",
                        "looked again",
                        "instead",
                        body(
                                "component",
                                "belt",
                                "wrong",
                                "glazed",
                                "remedy",
                                "REPLACED",
                                "parts",
                                List.of(part),
                                "remark",
                                "")));
        assertThat(corrected.status()).as(corrected.body().toString()).isEqualTo(200);
        assertThat(shop.sheet(job).body().get("partsMinor").asLong()).isEqualTo(share);
        client.post("/api/findings/" + corrected.id() + "/correction", Map.of("why", "it went back"));
        assertThat(piece(unit, "belt").get("state").asString()).isEqualTo("GOOD");
        assertThat(shop.sheet(job).body().get("partsMinor").asLong()).isZero();
        assertThat(client.get("/api/donors/" + unit).body().get("leftMinor").asLong())
                .isEqualTo(3_000);
    }

    @Test
    void aPartGoesIntoADrawerAndWhatIsEmptyIsListedNoMore() {
        long unit = donor();
        long before = client.get("/api/parts/" + shop.part)
                .body()
                .get("lies")
                .get("part")
                .get("count")
                .asLong();
        Client.Answer taken =
                client.post("/api/donors/" + unit + "/taken", body("componentId", shop.belt, "partId", shop.part));
        assertThat(taken.status()).as(taken.body().toString()).isEqualTo(201);
        JsonNode part = client.get("/api/parts/" + shop.part).body().get("lies").get("part");
        assertThat(part.get("count").asLong()).isEqualTo(before + 1);
        assertThat(part.get("valueMinor").asLong()).isEqualTo(before * 140 + 3_000);
        assertThat(client.post("/api/donors/" + unit + "/taken", body("componentId", shop.belt, "partId", shop.part))
                        .status())
                .as("once")
                .isEqualTo(409);
        client.post("/api/donors/" + unit + "/words", body("place", "", "gone", true));
        assertThat(client.get("/api/donors/" + unit).status()).isEqualTo(404);
        assertThat(client.get("/api/jobs/" + shop.takenIn() + "/sources?component=belt")
                        .body()
                        .get("drawers")
                        .toString())
                .doesNotContain("WN-");
    }
}
