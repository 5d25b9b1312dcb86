package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** What the counter and the bench say to the shop, and what it answers. */
@Tag("shop")
class ConversationOverHttpTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty();

    private static Client client;
    private SmallShop shop;

    @BeforeAll
    static void aLead() {
        client = SHOP.client().asFirstLead();
    }

    @BeforeEach
    void aModel() {
        shop = new SmallShop(client);
    }

    @Test
    void wordsAreMergedAndWhatWasSaidStaysAsItWasSaid() {
        Map<String, Object> coming = shop.coming();
        coming.put(
                "arrival",
                body(
                        "symptoms",
                        List.of(
                                Map.of("name", "whirrs, stops", "present", true),
                                Map.of("name", "dead", "present", false))));
        long job = SmallShop.taken(client.post("/api/jobs", coming));
        long said = word("whirrs, stops");
        long into = word("does not spin");

        Client.Answer merged = client.post("/api/symptoms/" + said + "/merge", Map.of("into", into));
        assertThat(merged.status()).isEqualTo(200);
        assertThat(shop.sheet(job).body().get("symptoms").get(0).get("name").asString())
                .isEqualTo("does not spin");
        assertThat(client.post("/api/symptoms/" + into + "/merge", Map.of("into", said))
                        .field())
                .isEqualTo("into");
        // A word that others were merged into takes them along.
        client.post("/api/symptoms/" + into + "/merge", Map.of("into", word("does not read")));
        assertThat(shop.sheet(job).body().get("symptoms").get(0).get("name").asString())
                .isEqualTo("does not read");

        client.post("/api/symptoms/" + said + "/split", "");
        client.post("/api/symptoms/" + into + "/split", "");
        assertThat(shop.sheet(job).body().get("symptoms").get(0).get("name").asString())
                .as("nothing was rewritten")
                .isEqualTo("whirrs, stops");
        // The new word belongs to this kind of unit.
        assertThat(client.get("/api/checkin?revision=" + shop.revision).body().get("symptoms").values().stream()
                        .map(one -> one.get("name").asString()))
                .contains("whirrs, stops", "eats tape")
                .doesNotContain("no picture");
    }

    private static long word(String name) {
        return client.get("/api/symptoms").body().values().stream()
                .filter(one -> one.get("name").asString().equals(name))
                .findFirst()
                .orElseThrow()
                .get("id")
                .asLong();
    }

    @Test
    void ownersAreFoundByAnyWordAndByPartOfAPhoneNumber() {
        Map<String, Object> coming = shop.coming();
        coming.put("ownerName", "Captain Ysolde Marsh");
        coming.put("ownerContact", "+00 (31) 55-0199");
        client.post("/api/jobs", coming);
        for (String asked : List.of("ysol", "Marsh", "3155", "55-01", "550199")) {
            JsonNode found = client.get("/api/owners?find=" + asked).body();
            assertThat(found.values().stream().map(one -> one.get("name").asString()))
                    .as(asked)
                    .contains("Captain Ysolde Marsh");
            assertThat(found.get(0).get("jobs").asInt()).isPositive();
        }
        assertThat(client.get("/api/owners?find=solde").body().size()).isZero();
    }

    @Test
    void whatCameWithAUnitGoesBackOrThereIsAReason() {
        Map<String, Object> coming = shop.coming();
        coming.put("arrival", body("belongings", List.of("remote", "disc inside, two scratches")));
        long job = SmallShop.taken(client.post("/api/jobs", coming));
        client.post("/api/jobs/" + job + "/outcome", Map.of("outcome", "NOT_WORTH_IT", "remark", ""));

        Client.Answer refused = client.post("/api/jobs/" + job + "/handover", "");
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.body().get("reasons").values().stream().map(JsonNode::asString))
                .containsExactly("Does it go back: remote?", "Does it go back: disc inside, two scratches?");
        assertThat(client.post("/api/jobs/" + job + "/handover", handing(false, ""))
                        .detail())
                .contains("Say why \"remote\" does not go back");

        assertThat(client.post("/api/jobs/" + job + "/handover", handing(false, "owner wants it gone"))
                        .status())
                .isEqualTo(200);
        JsonNode sheet = shop.sheet(job).body();
        assertThat(sheet.get("belongings").get(0).get("why").asString()).isEqualTo("owner wants it gone");
        assertThat(sheet.get("belongings").get(1).get("back").asBoolean()).isTrue();
        assertThat(sheet.get("story").get(0).get("words").asString())
                .contains("with not remote (owner wants it gone), disc inside, two scratches");
    }

    /** What it came without is asked for like what came with it, so that nobody is said to have lost it. */
    @Test
    void whatAUnitCameWithoutIsAskedForAtHandover() {
        Map<String, Object> coming = shop.coming();
        coming.put("arrival", body("belongings", List.of("remote"), "without", List.of("remote")));
        assertThat(client.post("/api/jobs", coming).field()).isEqualTo("arrival.without");
        coming.put("arrival", body("belongings", List.of(), "without", List.of("battery cover", "remote")));
        long job = SmallShop.taken(client.post("/api/jobs", coming));
        client.post("/api/jobs/" + job + "/outcome", Map.of("outcome", "NOT_WORTH_IT", "remark", ""));
        assertThat(client.post("/api/jobs/" + job + "/handover", "").body().get("reasons").values().stream()
                        .map(JsonNode::asString))
                .containsExactly(
                        "It came without: battery cover. Is that still so?",
                        "It came without: remote. Is that still so?");
        assertThat(client.post(
                                "/api/jobs/" + job + "/handover",
                                body(
                                        "belongings",
                                        List.of(
                                                body("name", "battery cover", "back", false, "why", "it came without"),
                                                body("name", "remote", "back", true, "why", ""))))
                        .status())
                .isEqualTo(200);
        JsonNode sheet = shop.sheet(job).body();
        assertThat(sheet.get("belongings").get(0).get("absent").asBoolean()).isTrue();
        assertThat(sheet.get("belongings").get(1).get("back").asBoolean()).isTrue();
    }

    private static Map<String, Object> handing(boolean remote, String why) {
        return body(
                "belongings",
                List.of(
                        body("name", "remote", "back", remote, "why", why),
                        body("name", "disc inside, two scratches", "back", true, "why", "")));
    }

    @Test
    void aLotIsDecidedOnUnitByUnitWithTheFigures() {
        long lot = client.post("/api/lots", Map.of("source", "Ferry hall clear-out"))
                .id();
        Map<String, Object> coming = shop.coming();
        coming.put("ownership", "RESALE");
        coming.put("ownerName", "");
        coming.put("lotId", lot);
        coming.put("paidMinor", 500);
        long job = SmallShop.taken(client.post("/api/jobs", coming));
        coming.put("ownership", "CUSTOMER");
        coming.put("ownerName", "Somebody");
        assertThat(client.post("/api/jobs", coming).field()).isEqualTo("lotId");

        JsonNode money = client.get("/api/jobs/" + job + "/money").body();
        assertThat(money.get("worth").get("ways").size())
                .as("no sales, no figures")
                .isZero();
        assertThat(money.get("worth").get("reasons").get(0).asString()).contains("No sales found");
        JsonNode figured =
                client.get("/api/jobs/" + job + "/money?expected=20000").body();
        assertThat(figured.get("worth").get("ways").get(0).get("way").asString())
                .isEqualTo("MEND");

        assertThat(client.post(
                                "/api/jobs/" + job + "/triage",
                                body("way", "SCRAP", "why", "lid gone", "expectedMinor", 20000))
                        .body()
                        .get("triage")
                        .get("way")
                        .asString())
                .isEqualTo("SCRAP");
        assertThat(shop.sheet(job).body().get("story").get(0).get("words").asString())
                .isEqualTo("Decided: scrap it, against the figures. lid gone");
        assertThat(client.get("/api/lots/" + lot)
                        .body()
                        .get("lot")
                        .get("undecided")
                        .asInt())
                .isZero();
        assertThat(client.get("/api/lots/" + lot)
                        .body()
                        .get("units")
                        .get(0)
                        .get("trusted")
                        .asBoolean())
                .isTrue();
        assertThat(client.post("/api/jobs/" + shop.takenIn() + "/triage", body("way", "SCRAP", "why", ""))
                        .status())
                .as("a customer's unit is not ours to scrap")
                .isEqualTo(409);

        // It is sold once it is said how it ended, and the next of its like has a price.
        assertThat(client.post("/api/jobs/" + job + "/sale", Map.of("minor", 3100))
                        .status())
                .isEqualTo(409);
        client.post("/api/jobs/" + job + "/outcome", Map.of("outcome", "FIXED", "remark", ""));
        assertThat(client.post("/api/jobs/" + job + "/sale", Map.of("minor", 3100))
                        .status())
                .isEqualTo(201);
        // One sale: 3100, give or take e^(1.2816 × 0.2825); 0.2825² = 1 / (25 + 1/9.1) + 0.04.
        assertThat(shop.outlook("?resale=true&paid=100")
                        .get("money")
                        .get("worth")
                        .get("price"))
                .isEqualTo(Client.json(body(
                        "low", 2158, "likely", 3100, "expected", 3226, "high", 4453, "sales", 1, "level", "REVISION")));
    }

    @Test
    void whatIsDangerousOnArrivalIsSaidFirstAndAPhotoMustHaveBeenKept() {
        assertThat(shop.outlook("?marks=SWOLLEN_CELL").get("cautions").get(0).asString())
                .contains("stop", "local fire and waste rules");
        Map<String, Object> coming = shop.coming();
        coming.put("arrival", body("photos", List.of(body("hash", "0".repeat(64), "words", "dent"))));
        assertThat(client.post("/api/jobs", coming).field()).isEqualTo("photos");
    }
}
