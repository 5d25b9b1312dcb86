package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import wrenchnotes.server.diagnosis.DiagnosisService;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.job.JobStore;

/** What the closed jobs and the bench say of a unit: while it is on the counter, and after each answer. */
@Tag("shop")
class OddsOverHttpTest {

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

    private static JsonNode fault(JsonNode outlook, String component, String wrong) {
        return outlook.get("odds").get("faults").values().stream()
                .filter(one -> one.get("fault").get("component").asString().equals(component))
                .filter(one -> one.get("fault").get("wrong").asString().equals(wrong))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void eachClosedJobTeachesTheNextOne() {
        JsonNode first = shop.outlook("?present=dead");
        assertThat(first.get("odds").get("ofModel").asInt()).isZero();
        assertThat(fault(first, "belt", "slack").get("behind").get("level").asString())
                .as("nothing of its own yet")
                .isIn("KIND", "ALL", "SHIPPED");
        double before = fault(first, "belt", "slack").get("probability").asDouble();

        for (int n = 0; n < 3; n++) {
            shop.mended(shop.takenIn(), "CLEANED", null);
        }

        JsonNode after = shop.outlook("?present=dead");
        JsonNode belt = fault(after, "belt", "slack");
        assertThat(belt.get("behind")).isEqualTo(Client.json(Map.of("level", "REVISION", "count", 3, "outOf", 3)));
        assertThat(belt.get("probability").asDouble()).isGreaterThan(before);
        assertThat(belt.get("low").asDouble())
                .isLessThan(belt.get("probability").asDouble());
        assertThat(after.get("odds").get("ofRevision").asInt()).isEqualTo(3);
        // Asked and not so counts the other way.
        assertThat(fault(shop.outlook("?absent=dead"), "belt", "slack")
                        .get("probability")
                        .asDouble())
                .isLessThan(belt.get("probability").asDouble());
    }

    @Test
    void afterAFallTheListOfTheRevisionComesFirst() {
        assertThat(shop.outlook("").get("lookFirst").size()).isZero();
        JsonNode all = shop.outlook("?marks=DENTS").get("lookFirst");
        assertThat(all.values().stream().map(one -> one.get("component").asString()))
                .as("nobody wrote a list yet: everything")
                .containsExactly("belt");
        client.put(
                "/api/revisions/" + shop.revision + "/teardown",
                1,
                body(
                        "steps",
                        shop.steps(),
                        "why",
                        "",
                        "overview",
                        body("lookOver", List.of(body("component", shop.belt, "words", "off its pulley?")))));
        assertThat(shop.outlook("?marks=LIQUID")
                        .get("lookFirst")
                        .get(0)
                        .get("words")
                        .asString())
                .isEqualTo("off its pulley?");
    }

    @Test
    void whatIsSeenOnTheBenchMovesTheOddsAndCanBeStruck() {
        shop.mended(shop.takenIn(), "CLEANED", null);
        long job = shop.takenIn();
        double before = odds(job);

        Client.Answer looked = client.post(
                "/api/jobs/" + job + "/looks",
                body("componentId", shop.belt, "good", true, "means", "LOOKED", "words", ""));
        double afterLook = odds(job);
        client.post(
                "/api/jobs/" + job + "/looks",
                body("componentId", shop.belt, "good", true, "means", "SWAPPED", "words", "with a new one"));
        double afterSwap = odds(job);
        assertThat(afterLook).isLessThan(before).isGreaterThan(afterSwap);

        long look = looked.body().get("looks").get(0).get("id").asLong();
        client.delete("/api/jobs/" + job + "/looks/" + look);
        assertThat(client.delete("/api/jobs/" + job + "/looks/" + look).status())
                .isEqualTo(404);
        assertThat(odds(job)).isGreaterThan(afterSwap);
        assertThat(client.post(
                                "/api/jobs/" + job + "/looks",
                                body("componentId", 999_999, "good", true, "means", "LOOKED", "words", ""))
                        .field())
                .isEqualTo("componentId");
    }

    private double odds(long job) {
        return fault(client.get("/api/jobs/" + job + "/outlook").body(), "belt", "slack")
                .get("probability")
                .asDouble();
    }

    @Test
    void anOverrulingNeedsAReasonAndIsCountedAfterwards() {
        long job = shop.takenIn();
        Map<String, Object> said = body("component", "belt", "wrong", "slack", "word", "THIS_FIRST", "why", "");
        assertThat(client.post("/api/jobs/" + job + "/overrulings", said).field())
                .isEqualTo("why");
        said.put("why", "it squeals");
        client.post("/api/jobs/" + job + "/overrulings", said);
        JsonNode first = client.get("/api/jobs/" + job + "/outlook")
                .body()
                .get("odds")
                .get("faults")
                .get(0);
        assertThat(first.get("overruled").get("why").asString()).isEqualTo("it squeals");
        JsonNode before = client.get("/api/jobs/" + job + "/evidence").body().get("overruledBefore");
        shop.mended(job, "REPLACED", shop.part);
        JsonNode after = client.get("/api/jobs/" + job + "/evidence").body().get("overruledBefore");
        assertThat(after.get("count").asInt()).isEqualTo(before.get("count").asInt() + 1);
        assertThat(after.get("right").asInt()).isEqualTo(before.get("right").asInt() + 1);
    }

    @Test
    void aRemedyThatChangedNothingIsKeptAsOneAndTeachesNothing() {
        long job = shop.takenIn();
        long finding = shop.finding(job, "slack", "CLEANED", null).id();
        List<Map<String, Object>> went = List.of(body("symptom", "dead", "change", "WENT"));
        assertThat(client.post("/api/findings/" + finding + "/after", body("failed", true, "changes", went))
                        .field())
                .isEqualTo("failed");
        Client.Answer kept = client.post(
                "/api/findings/" + finding + "/after",
                body("failed", true, "changes", List.of(body("symptom", "dead", "change", "STAYED"))));
        assertThat(kept.body().get("done").get("failed").asBoolean()).isTrue();
        assertThat(shop.sheet(job).body().get("story").get(0).get("words").asString())
                .isEqualTo("After belt, slack: it changed nothing. dead stayed");
        client.post("/api/findings/" + finding + "/after", body("failed", false, "changes", went));
        assertThat(client.get("/api/jobs/" + job + "/outlook").body().get("odds").get("faults").values().stream()
                        .filter(one -> one.get("out").asBoolean())
                        .count())
                .isEqualTo(1);
    }

    /** One outlook is kept for a job, for as long as what it stands on stands: what was said of it, and what closed jobs say. */
    @Test
    void anOutlookIsKeptUntilAnythingOfItChanges() {
        long job = shop.takenIn();
        DiagnosisService.Judged first = judged(job);
        assertThat(judged(job)).isSameAs(first);
        client.post("/api/jobs/" + job + "/looks", body("componentId", shop.belt, "good", true, "means", "LOOKED"));
        DiagnosisService.Judged looked = judged(job);
        assertThat(looked.diagnosis()).isNotEqualTo(first.diagnosis());
        assertThat(judged(job)).isSameAs(looked);
        shop.mended(shop.takenIn(), "CLEANED", null);
        assertThat(judged(job)).as("one more is closed").isNotSameAs(looked);
    }

    private DiagnosisService.Judged judged(long job) {
        return SHOP.bean(Snapshot.class).read(() -> SHOP.bean(DiagnosisService.class)
                .onBench(SHOP.bean(JobStore.class).job(job), Instant.now()));
    }
}
