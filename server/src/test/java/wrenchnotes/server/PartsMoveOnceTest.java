package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;
import static wrenchnotes.server.PartsShop.EACH;
import static wrenchnotes.server.PartsShop.PIECE;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** A part that went into a unit is one event, in whatever rooms it is told and taken back. */
@Tag("shop")
class PartsMoveOnceTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty();

    private static PartsShop parts;

    @BeforeAll
    static void open() {
        parts = new PartsShop(SHOP);
    }

    /** Measured: the part was lost for good. */
    @Test
    void backAfterReplacedPutsThePartBack() {
        long job = parts.opened();
        int before = parts.stock();
        assertThat(parts.replacedOut(job).status()).isEqualTo(200);
        assertThat(parts.stock()).isEqualTo(before - 1);
        parts.client.bench(job, "back", "");
        assertThat(parts.stock()).isEqualTo(before);
        assertThat(parts.cost(job)).isZero();
    }

    /** A move by hand after the last step goes back first, and its part with it. */
    @Test
    void backTakesBackWhatWasReplacedByHand() {
        long job = parts.opened();
        int before = parts.stock();
        parts.client.bench(
                job, "moves", body("thing", PIECE, "from", "TRAY", "to", "BROKEN", "count", 1, "reason", "clip"));
        parts.client.bench(
                job,
                "moves",
                body(
                        "thing",
                        PIECE,
                        "from",
                        "BROKEN",
                        "to",
                        "REPLACED",
                        "count",
                        1,
                        "reason",
                        "",
                        "partId",
                        parts.part));
        assertThat(parts.stock()).isEqualTo(before - 1);
        assertThat(parts.bench(job).get("gate").get("brokenUnsaid").values())
                .as("what broke asks for its finding")
                .extracting(JsonNode::asString)
                .containsExactly("thrust washer");
        parts.client.bench(job, "back", "");
        assertThat(List.of(parts.account(job), "" + parts.stock())).containsExactly("BROKEN", "" + before);
        parts.client.bench(job, "back", "");
        assertThat(parts.account(job)).isEqualTo("TRAY");
        parts.client.bench(job, "back", "");
        assertThat(parts.account(job)).as("and then the step").isEqualTo("FITTED");
    }

    /** Measured: 0 in sheet, estimate and learning. */
    @Test
    void aPartReplacedAtTheBenchCostsWhatItCost() {
        long job = parts.opened();
        parts.replacedOut(job);
        assertThat(parts.cost(job)).isEqualTo(EACH);
        JsonNode line = parts.shop.sheet(job).body().get("parts").get(0);
        assertThat(line.get("told").get(0).asString()).isEqualTo("put in at the bench");
        parts.shop.leaves(job);
        assertThat(parts.learned()).isEqualTo(EACH);
    }

    /** What opening uses up stands in the notes, is asked for on the way back, costs what it costs, and is offered the next time. */
    @Test
    void whatOpeningUsesUpIsAskedForOnTheWayBack() {
        SmallShop shop = new SmallShop(parts.client);
        List<Map<String, Object>> steps = shop.steps();
        steps.get(1)
                .put(
                        "pieces",
                        List.of(body(
                                "id", "gasket", "label", "rubber gasket", "hint", "", "count", 1, "usedUp", true)));
        parts.client.put("/api/revisions/" + shop.revision + "/teardown", 1, Map.of("steps", steps, "why", ""));
        long job = shop.takenIn();
        shop.in(job, "lid");
        shop.in(job, "deck");
        assertThat(parts.account(job, "gasket")).isEqualTo("DESTROYED");
        assertThat(offered(job).get("usual").asBoolean()).isFalse();
        shop.out(job, "deck");
        assertThat(parts.bench(job).get("gate").get("reasons").toString())
                .contains("rubber gasket, used up by the way in: replace from a drawer, or leave out and say why.");
        Map<String, Object> another = body("thing", "gasket", "from", "DESTROYED", "to", "REPLACED", "count", 1);
        another.putAll(Map.of("reason", "", "partId", parts.part));
        assertThat(parts.client.bench(job, "moves", another).status()).isEqualTo(200);
        assertThat(parts.cost(job)).isEqualTo(EACH);
        assertThat(parts.bench(job).get("gate").get("reasons").toString())
                .doesNotContain("gasket")
                .contains("Lid off");
        JsonNode first = offered(job);
        assertThat(first.get("usual").asBoolean()).isTrue();
        assertThat(first.get("part").get("id").asLong()).isEqualTo(parts.part);
    }

    private JsonNode offered(long job) {
        return parts.client
                .get("/api/jobs/" + job + "/bench/things/gasket/parts")
                .body()
                .get(0);
    }

    /** Measured: two belts for one. */
    @Test
    void benchAndFindingTakeOneTogetherWhicheverComesFirst() {
        int before = parts.stock();
        long benchFirst = parts.opened();
        parts.replacedOut(benchFirst);
        JsonNode found = parts.found(benchFirst, "REPLACED", 1).body();
        assertThat(found.get("done").get("costMinor").asLong()).isEqualTo(EACH);
        long findingFirst = parts.opened();
        parts.found(findingFirst, "REPLACED", 1);
        parts.replacedOut(findingFirst);
        assertThat(parts.stock()).isEqualTo(before - 2);
        assertThat(List.of(parts.cost(benchFirst), parts.cost(findingFirst))).containsExactly(EACH, EACH);

        parts.strike(findingFirst);
        assertThat(parts.stock()).as("the ledger still tells of it").isEqualTo(before - 2);
        parts.client.bench(findingFirst, "back", "");
        assertThat(parts.stock()).as("nobody tells of it any more").isEqualTo(before - 1);
    }

    /** Measured: a finding says replaced, and the ledger puts the old one back. */
    @Test
    void theLedgerSaysWhatTheFindingSays() {
        long job = parts.opened();
        parts.found(job, "REPLACED", 1);
        Client.Answer old = parts.client.bench(
                job,
                "steps/deck/out",
                Map.of("settled", List.of(body("thing", PIECE, "back", 1, "replaced", 0, "leftOut", 0, "reason", ""))));
        assertThat(old.status()).isEqualTo(409);
        assertThat(old.detail()).contains("a finding says that it was replaced");
        parts.shop.out(job, "deck");
        assertThat(parts.account(job))
                .as("what is not said goes back as the finding says")
                .isEqualTo("REPLACED");

        long late = parts.opened();
        parts.shop.out(late, "deck");
        assertThat(parts.account(late)).isEqualTo("FITTED");
        parts.found(late, "REPLACED", 1);
        assertThat(parts.account(late)).as("told after it was back").isEqualTo("REPLACED");
        parts.strike(late);
        assertThat(parts.account(late)).as("and taken back with it").isEqualTo("FITTED");
    }

    @Test
    void theBenchAsksOnceWhichThingItIsAndTheNotesLearnIt() {
        long job = parts.opened();
        parts.shop.finding(job, "slack", "REPLACED", null);
        JsonNode asked = parts.bench(job).get("gate").get("borneBy").get(0);
        assertThat(asked.get("name").asString()).isEqualTo("belt");
        assertThat(asked.get("things").values())
                .extracting(thing -> thing.get("label").asString())
                .containsExactly("motor lead", "thrust washer");
        parts.client.bench(job, "bears", body("component", parts.shop.belt, "thing", "lead"));
        assertThat(parts.bench(job).get("gate").get("borneBy")).isEmpty();
        parts.shop.out(job, "deck");
        assertThat(parts.account(job, "lead")).isEqualTo("REPLACED");

        long next = parts.opened();
        parts.shop.finding(next, "slack", "REPLACED", null);
        assertThat(parts.bench(next).get("gate").get("borneBy")).isEmpty();
        parts.client.bench(next, "bears", body("component", parts.shop.belt));
        parts.shop.out(next, "deck");
        assertThat(parts.account(next, "lead")).as("none of the notes bears it").isEqualTo("FITTED");
    }

    @Test
    void whatIsUsedUpBesideAnyFindingCostsAndIsPutBack() {
        long job = parts.shop.takenIn();
        int before = parts.stock();
        JsonNode used = parts.client
                .post("/api/jobs/" + job + "/parts", body("partId", parts.part, "count", 3))
                .body();
        assertThat(parts.cost(job)).isEqualTo(3 * EACH);
        assertThat(parts.client
                        .get("/api/parts/" + parts.part + "/usual-amount")
                        .body()
                        .get("amount")
                        .asInt())
                .isEqualTo(3);
        long number = used.get(0).get("used").get(0).asLong();
        assertThat(parts.client.delete("/api/jobs/" + job + "/parts/" + number).status())
                .isEqualTo(200);
        assertThat(List.of((long) parts.stock(), parts.cost(job))).containsExactly((long) before, 0L);
    }

    /** The number of another room's word did nothing, and the story said that it had. */
    @Test
    void onlyWhatWasUsedUpIsPutBackByItself() {
        long job = parts.shop.takenIn();
        parts.found(job, "CLEANED", 1);
        for (long told = 1; told < 60; told++) {
            assertThat(parts.client
                            .delete("/api/jobs/" + job + "/parts/" + told)
                            .status())
                    .isEqualTo(404);
        }
        assertThat(parts.cost(job)).isEqualTo(EACH);
    }

    @Test
    void whereAPartCameFromIsSaidForGoodAndARecipeIsFoundByTheNext() {
        long job = parts.shop.takenIn();
        Map<String, Object> made = body(
                "words",
                "gear, 18 teeth",
                "count",
                1,
                "cameFrom",
                "MADE",
                "costMinor",
                35,
                "recipe",
                body("material", "PETG", "drawing", "gear-18.step", "tried", "bore 1.9 loose", "filler", ""));
        Map<String, Object> donor = body("words", "motor", "count", 1, "cameFrom", "DONOR");
        Client.Answer finding = parts.client.post(
                "/api/jobs/" + job + "/findings",
                body(
                        "component",
                        "gear",
                        "wrong",
                        "cracked",
                        "remedy",
                        "REPLACED",
                        "parts",
                        List.of(made, donor),
                        "remark",
                        ""));
        assertThat(finding.body().get("done").get("parts").values())
                .extracting(one -> one.get("mark").asString())
                .containsExactly("made here", "second-hand");
        assertThat(parts.cost(job)).isEqualTo(35);
        JsonNode recipes = parts.client
                .get("/api/models/" + parts.shop.model + "/recipes?component=gear")
                .body();
        assertThat(recipes.get(0).get("drawing").asString()).isEqualTo("gear-18.step");
    }
}
