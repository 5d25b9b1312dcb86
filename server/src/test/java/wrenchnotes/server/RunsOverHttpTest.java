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

/** Runs of a bench over HTTP: begun, turned, ended for now and for good, opened again. */
@Tag("shop")
class RunsOverHttpTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty();

    private static Client client;
    private SmallShop shop;

    @BeforeAll
    static void aLead() {
        client = SHOP.client().asFirstLead();
    }

    @BeforeEach
    void aShop() {
        shop = new SmallShop(client);
    }

    @Test
    void nothingIsOpenedBeforeItIsOffAndTheWayIsTheOneThatWasChosen() {
        long job = shop.takenIn();
        assertThat(client.bench(job, "steps/lid/in", Map.of("found", List.of())).detail())
                .contains("Start the run first");
        assertThat(client.bench(job, "start", SmallShop.starting(false, List.of(), null))
                        .detail())
                .contains("unplug it first");
        JsonNode begun = client.bench(job, "start", SmallShop.starting(true, List.of(shop.belt), null))
                .body();
        assertThat(begun.get("run").get("route").values())
                .extracting(JsonNode::asString)
                .containsExactly("lid", "deck");
        assertThat(client.bench(job, "start", SmallShop.starting(true, List.of(), null))
                        .detail())
                .contains("under way already");
        // Skipped with its reason: what needs it may be done all the same, and it need not go back.
        JsonNode skipped = client.bench(job, "steps/lid/skip", Map.of("reason", "was off when it came"))
                .body();
        assertThat(skipped.get("way").get("nextIn").asString()).isEqualTo("deck");
        assertThat(shop.in(job, "deck").body().get("way").has("nextIn")).isFalse();
        assertThat(shop.sheet(job).body().get("story").toString()).contains("Skipped: Lid off. was off when it came");
        client.bench(job, "pause", "");
        assertThat(client.get("/api/jobs/" + job + "/bench").body().get("run").has("pausedSince"))
                .isTrue();
        assertThat(client.bench(job, "back", "").body().get("run").has("pausedSince"))
                .isFalse();
    }

    @Test
    void closedForNowIsFlaggedPutRightFirstAndOnlyThenClosedForGood() {
        long job = shop.takenIn();
        shop.in(job, "lid");
        shop.in(job, "deck");
        out(
                job,
                "deck",
                body(
                        "thing",
                        "lead",
                        "back",
                        0,
                        "replaced",
                        0,
                        "leftOut",
                        0,
                        "forNow",
                        1,
                        "reason",
                        "new lead is coming"));
        shop.out(job, "lid");
        client.bench(job, "temporary", Map.of("words", "band for the belt"));
        client.bench(job, "fragments", body("what", "gear teeth", "expected", 3, "found", 1, "explained", ""));
        shop.check(job, "BEFORE_CLOSING", "PASSED");
        Client.Answer notYet = client.bench(job, "close-for-now", Map.of("reason", "concert tonight"));
        assertThat(notYet.body().get("reasons").toString())
                .contains("For the test only: band for the belt")
                .contains("gear teeth: 2 of 3 pieces not found")
                .doesNotContain("motor lead");
        JsonNode gate = client.get("/api/jobs/" + job + "/bench").body().get("gate");
        assertThat(gate.get("reasons").toString()).contains("1 × motor lead, left out for now");
        client.bench(job, "temporary/" + gate.get("temporary").get(0).get("id").asLong() + "/right", "");
        long teeth = gate.get("fragments").get(0).get("id").asLong();
        assertThat(client.bench(job, "fragments/" + teeth, body("found", 0, "explained", ""))
                        .field())
                .isEqualTo("found");
        client.bench(job, "fragments/" + teeth, body("found", 3, "explained", ""));
        assertThat(client.bench(job, "close", "").body().get("reasons").values())
                .hasSize(1);
        assertThat(client.bench(job, "close-for-now", Map.of("reason", "concert tonight"))
                        .status())
                .isEqualTo(200);
        assertThat(shop.standing(job)).isEqualTo("CLOSED_FOR_NOW");
        JsonNode row = client.get("/api/rack").body().get("next").values().stream()
                .filter(one -> one.get("jobId").asLong() == job)
                .findFirst()
                .orElseThrow();
        assertThat(row.get("forNow").asBoolean()).isTrue();
        assertThat(shop.sheet(job).body().get("forNow").asBoolean()).isTrue();
        client.post("/api/jobs/" + job + "/outcome", Map.of("outcome", "FIXED", "remark", ""));
        assertThat(client.post("/api/jobs/" + job + "/handover", "").body().toString())
                .contains("closed for now only (concert tonight)");

        // The next run needs no excuse; the one after a closing for good does, and is counted.
        assertThat(client.bench(job, "start", SmallShop.starting(true, List.of(), null))
                        .status())
                .isEqualTo(200);
        shop.in(job, "lid");
        shop.in(job, "deck");
        out(
                job,
                "deck",
                body(
                        "thing",
                        "lead",
                        "back",
                        0,
                        "replaced",
                        1,
                        "leftOut",
                        0,
                        "reason",
                        "",
                        "instead",
                        "a longer lead"));
        shop.out(job, "lid");
        shop.check(job, "BEFORE_CLOSING", "PASSED");
        assertThat(client.bench(job, "close", "").status()).isEqualTo(200);
        assertThat(client.bench(job, "start", SmallShop.starting(true, List.of(), null))
                        .field())
                .isEqualTo("rework");
        JsonNode again = client.bench(job, "start", SmallShop.starting(true, List.of(), "WRONG_PART"))
                .body();
        assertThat(again.get("stand").get("reworks").values())
                .extracting(JsonNode::asString)
                .containsExactly("the wrong part was put in");
        assertThat(shop.sheet(job).body().get("rework").asInt()).isEqualTo(1);
        // What went back as something else waits to be taken into the notes.
        assertThat(client.get("/api/revisions/" + shop.revision + "/proposals")
                        .body()
                        .toString())
                .contains("In place of 1 × motor lead: a longer lead");
    }

    @Test
    void whatWasToldAndNotCountedIsShownAndMayTurnOutNeverToHaveBeenThere() {
        long job = shop.takenIn();
        shop.start(job);
        client.bench(job, "steps/lid/in", body("found", List.of(), "basis", "TOLD"));
        out(job, "lid", body("thing", "case", "back", 3, "replaced", 0, "leftOut", 0, "reason", ""));
        assertThat(client.get("/api/jobs/" + job + "/bench")
                        .body()
                        .get("gate")
                        .get("bothWays")
                        .toString())
                .contains("case: 4 off (told, not counted), 3 back");
        JsonNode answer = client.post(
                        "/api/jobs/" + job + "/bench/what-is-it",
                        body("head", "CROSS", "lengthMm", 12, "finish", "BLACK"))
                .body();
        assertThat(answer.get("words").asString()).isEqualTo("It belongs to: case.");
        assertThat(client.bench(
                                job,
                                "moves",
                                body(
                                        "thing",
                                        "case",
                                        "from",
                                        "TRAY",
                                        "to",
                                        "MISSING_ON_ARRIVAL",
                                        "count",
                                        1,
                                        "reason",
                                        ""))
                        .status())
                .isEqualTo(200);
    }

    private void out(long job, String step, Map<String, Object> settled) {
        Client.Answer answer = client.bench(job, "steps/" + step + "/out", Map.of("settled", List.of(settled)));
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
    }
}
