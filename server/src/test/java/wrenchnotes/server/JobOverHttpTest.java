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

/** The life of a job over the real API and a real database. */
@Tag("shop")
class JobOverHttpTest {

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
    void theGateNamesEachThingThatIsInTheWay() {
        long job = shop.takenIn();
        Client.Answer early = shop.in(job, "deck");
        assertThat(early.status()).isEqualTo(409);
        assertThat(early.detail()).isEqualTo("\"Deck out\" needs \"Lid off\" first.");
        client.bench(
                job,
                "steps/lid/in",
                Map.of("found", List.of(body("thing", "case", "toTray", 2, "missing", 1, "broken", 1))));
        shop.in(job, "deck");
        client.bench(job, "moves", body("thing", "washer", "from", "TRAY", "to", "LOST", "count", 1, "reason", ""));
        assertThat(shop.out(job, "deck").status()).isEqualTo(200);
        Client.Answer buried = shop.out(job, "lid");
        assertThat(buried.status())
                .as("not in the tray, and just as much out of reach")
                .isEqualTo(409);
        assertThat(buried.detail()).contains("Under it, and out of reach later: 1 × thrust washer, lost");

        Client.Answer refused = client.bench(job, "close", "");
        assertThat(refused.status()).isEqualTo(409);
        assertThat(strings(refused.body().get("reasons")))
                .containsExactlyInAnyOrder(
                        "\"Lid off\" is still open: put it back in.",
                        "2 × case, in the tray: put back, replace, or leave out and say why.",
                        "1 × case, missing on arrival: replace from a drawer, or leave out and say why.",
                        "1 × case, broken: replace from a drawer, or leave out and say why.",
                        "1 × thrust washer, lost: replace from a drawer, or leave out and say why.",
                        "Nothing is checked before closing: try it by hand and under power, or say not tested.");

        client.bench(
                job,
                "moves",
                body(
                        "thing",
                        "case",
                        "from",
                        "BROKEN",
                        "to",
                        "REPLACED",
                        "count",
                        1,
                        "reason",
                        "",
                        "partId",
                        shop.part));
        client.bench(
                job,
                "moves",
                body(
                        "thing",
                        "case",
                        "from",
                        "MISSING_ON_ARRIVAL",
                        "to",
                        "LEFT_OUT",
                        "count",
                        1,
                        "reason",
                        "post stripped"));
        client.bench(
                job,
                "moves",
                body("thing", "washer", "from", "LOST", "to", "TRAY", "count", 1, "reason", "under the mat"));
        assertThat(client.bench(job, "close", "").detail()).contains("1 × thrust washer, in the tray");
        client.bench(job, "moves", body("thing", "washer", "from", "TRAY", "to", "FITTED", "count", 1, "reason", ""));
        assertThat(shop.out(job, "lid").status()).isEqualTo(200);
        shop.check(job, "BEFORE_CLOSING", "PASSED");
        assertThat(client.bench(job, "close", "").status()).isEqualTo(200);
        assertThat(shop.standing(job)).isEqualTo("TO_CHECK");
    }

    @Test
    void aStepTakenBackLeavesTheLedgerAsItWasAndBothInTheStory() {
        long job = shop.takenIn();
        shop.in(job, "lid");
        JsonNode open = shop.in(job, "deck").body();
        assertThat(open.get("stand").get("tallyWords").asString()).isEqualTo("4 fasteners, 1 plug, 1 loose piece");
        JsonNode back = client.bench(job, "back", "").body();
        assertThat(back.get("stand").get("tallyWords").asString()).isEqualTo("4 fasteners");
        client.bench(job, "back", "");
        JsonNode closed = client.get("/api/jobs/" + job + "/bench").body();
        assertThat(closed.get("stand").get("tally").get("fasteners").asInt()).isZero();
        assertThat(closed.get("canStepBack").asBoolean()).isFalse();
        assertThat(closed.get("stand").get("closed").asBoolean())
                .as("it never was opened after all")
                .isTrue();
        assertThat(strings(shop.sheet(job).body().get("story"), "words"))
                .contains("In: Deck out", "Taken back: Deck out in", "Taken back: Lid off in");
    }

    @Test
    void aFindingTakesFromTheDrawerAndACorrectionKeepsTheOldOne() {
        long job = shop.takenIn();
        int before = stock();
        Client.Answer finding = shop.finding(job, "slack", "REPLACED", shop.part);
        assertThat(finding.body().get("done").get("costMinor").asLong()).isEqualTo(140);
        assertThat(stock()).isEqualTo(before - 1);

        Map<String, Object> instead = body("component", "belt", "wrong", "glazed", "remedy", "CLEANED", "remark", "");
        Map<String, Object> correction = body("why", "it was only dirty", "instead", instead);
        assertThat(client.post("/api/findings/" + finding.id() + "/correction", correction)
                        .status())
                .isEqualTo(200);
        assertThat(stock()).as("the struck one's part goes back").isEqualTo(before);
        Client.Answer second = client.post("/api/findings/" + finding.id() + "/correction", correction);
        assertThat(second.status()).as("somebody else was quicker").isEqualTo(412);

        JsonNode sheet = shop.sheet(job).body();
        assertThat(sheet.get("findings").values())
                .extracting(found -> found.get("fault").get("wrong").asString())
                .containsExactly("slack", "glazed");
        assertThat(sheet.get("findings").get(0).get("struckWhy").asString()).isEqualTo("it was only dirty");
        assertThat(sheet.get("partsMinor").asLong()).isZero();
        assertThat(strings(sheet.get("story"), "words"))
                .contains(
                        "Found: belt, slack: replaced (1 × " + partName() + ")", "Corrected to: belt, glazed: cleaned");
    }

    @Test
    void anEmptyDrawerRefusesAndNothingIsHalfWritten() {
        long part = client.post(
                        "/api/parts", body("drawer", "9", "name", "last fan", "what", "", "eachMinor", 1, "count", 1))
                .id();
        long job = shop.takenIn();
        shop.finding(job, "slack", "REPLACED", part);
        Client.Answer refused = shop.finding(job, "torn", "REPLACED", part);
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.detail()).contains("the drawer has 0, not 1");
        assertThat(shop.sheet(job).body().get("findings").size()).isEqualTo(1);
        assertThat(client.get("/api/models/" + shop.model).body().get("faults").toString())
                .as("the refused fault did not become a known one")
                .doesNotContain("torn");
    }

    @Test
    void handoverSaysWhatIsInTheWayAndFreesTheSlot() {
        Map<String, Object> coming = shop.coming();
        coming.put("slot", "C3");
        long job = SmallShop.taken(client.post("/api/jobs", coming));
        Client.Answer twice = client.post("/api/jobs", coming);
        assertThat(twice.status()).isEqualTo(400);
        assertThat(twice.field()).isEqualTo("slot");
        Client.Answer refused = client.post("/api/jobs/" + job + "/handover", "");
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.detail()).isEqualTo("No outcome yet: say how it ended.");
        shop.mended(job, "REPLACED", null);
        assertThat(shop.standing(job)).isEqualTo("HANDED_OVER");
        assertThat(shop.finding(job, "late", "CLEANED", null).detail()).contains("has been handed over");
        assertThat(client.post("/api/jobs", coming).status())
                .as("the slot is free again")
                .isEqualTo(201);
    }

    @Test
    void aUnitThatComesBackKeepsItsTagAndThePatternCountsTheComeback() {
        SmallShop own = new SmallShop(client);
        Map<String, Object> first = own.coming();
        first.put("serial", "TD-" + own.model);
        long job = SmallShop.taken(client.post("/api/jobs", first));
        JsonNode unit =
                client.get("/api/units?find=TD-" + own.model).body().get(0).get("unit");
        Map<String, Object> again = own.coming();
        again.put("unitId", unit.get("id").asLong());
        assertThat(client.post("/api/jobs", again).detail()).contains("is in the shop already");
        own.mended(job, "REVIVED", null);
        long back = SmallShop.taken(client.post("/api/jobs", again));
        own.mended(back, "REPLACED", own.part);
        JsonNode sheet = own.sheet(back).body();
        assertThat(sheet.get("job").get("unit").get("tag")).isEqualTo(unit.get("tag"));
        assertThat(sheet.get("findings").get(0).get("fault").get("earlierJob").asLong())
                .isEqualTo(job);

        Map<String, Object> resale = own.coming();
        resale.put("ownership", "RESALE");
        resale.put("ownerName", "");
        own.mended(SmallShop.taken(client.post("/api/jobs", resale)), "CLEANED", null);
        JsonNode patterns = client.get("/api/patterns?revision=" + own.revision).body();
        assertThat(patterns.get("jobs").asInt()).isEqualTo(3);
        JsonNode fault = patterns.get("faults").get(0);
        assertThat(fault.get("share").get("count").asInt()).isEqualTo(3);
        assertThat(fault.get("customer").asInt()).isEqualTo(2);
        assertThat(fault.get("resale").asInt()).isEqualTo(1);
        assertThat(fault.get("cameBack").asInt()).isEqualTo(1);
        assertThat(fault.get("remedies").toString())
                .contains("{\"remedy\":\"REVIVED\",\"done\":1,\"failed\":0,\"cameBack\":1}");
    }

    @Test
    void whatWasMissingOnArrivalIsInTheLedgerFromTheFirstStep() {
        Map<String, Object> coming = shop.coming();
        coming.put(
                "arrival",
                body("missing", List.of(Map.of("thing", "case", "count", 1)), "marks", List.of("SCREWS_MISSING")));
        long job = SmallShop.taken(client.post("/api/jobs", coming));
        JsonNode accounts = shop.in(job, "lid")
                .body()
                .at("/way/steps")
                .get(0)
                .get("things")
                .get(0)
                .get("accounts");
        assertThat(accounts.get("TRAY").asInt()).isEqualTo(3);
        assertThat(accounts.get("MISSING_ON_ARRIVAL").asInt()).isEqualTo(1);
        coming.put("arrival", body("missing", List.of(Map.of("thing", "case", "count", 5))));
        assertThat(client.post("/api/jobs", coming).field()).isEqualTo("missing");
    }

    @Test
    void theFinderFindsByTagSerialModelOwnerAndSymptom() {
        Map<String, Object> coming = shop.coming();
        coming.put("serial", "ZX-4711-é");
        coming.put("ownerName", "Åsa \"O'Hara\" 🛠 <b>");
        coming.put(
                "arrival",
                body("complaint", "hums in B flat", "symptoms", List.of(Map.of("name", "squeals", "present", true))));
        long job = SmallShop.taken(client.post("/api/jobs", coming));
        String tag = shop.sheet(job).body().get("job").get("unit").get("tag").asString();
        for (String asked :
                List.of(tag, tag.substring(3), "4711", "zx 47", "cormorant", "asa", "o'hara", "squeal", "flat hums")) {
            String query = java.net.URLEncoder.encode(asked, java.nio.charset.StandardCharsets.UTF_8);
            assertThat(find(
                            client.get("/api/find?q=" + query)
                                    .body()
                                    .get("groups")
                                    .get(0)
                                    .get("found"),
                            job))
                    .as(asked)
                    .isNotNull();
        }
        assertThat(client.get("/api/find?q=%22*%20OR%20NEAR(")
                        .body()
                        .get("groups")
                        .size())
                .isZero();
        assertThat(shop.sheet(job)
                        .body()
                        .get("job")
                        .get("brought")
                        .get("owner")
                        .get("name")
                        .asString())
                .isEqualTo("Åsa \"O'Hara\" 🛠 <b>");
    }

    private int stock() {
        return find(client.get("/api/parts").body(), shop.part).get("count").asInt();
    }

    private String partName() {
        return find(client.get("/api/parts").body(), shop.part).get("name").asString();
    }

    private static JsonNode find(JsonNode rows, long id) {
        return rows.values().stream()
                .filter(row -> (row.has("jobId") ? row.get("jobId") : row.get("id")).asLong() == id)
                .findFirst()
                .orElse(null);
    }

    private static List<String> strings(JsonNode array) {
        return array.values().stream().map(JsonNode::asString).toList();
    }

    private static List<String> strings(JsonNode array, String field) {
        return array.values().stream().map(node -> node.get(field).asString()).toList();
    }
}
