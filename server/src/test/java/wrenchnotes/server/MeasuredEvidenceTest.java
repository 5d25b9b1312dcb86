package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;
import static wrenchnotes.server.ReadRails.rails;

import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** What a reading means: it becomes evidence by one word, and what is right is known before anything is read. */
@Tag("shop")
class MeasuredEvidenceTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty();

    private static Client client;
    private static SmallShop shop;

    @BeforeAll
    static void open() {
        client = SHOP.client().asFirstLead();
        shop = new SmallShop(client);
    }

    private static List<String> story(long job) {
        return StreamSupport.stream(shop.sheet(job).body().get("story").spliterator(), false)
                .map(line -> line.get("words").asString())
                .toList();
    }

    /** By one key a reading is evidence too: measured good or bad, in the odds and in the story, and gone with the reading when that is struck. */
    @Test
    void aVerdictBecomesEvidence() {
        long job = shop.takenIn();
        Map<String, Object> bad = rails(4.6, "before", false);
        bad.put("place", "motor board");
        bad.put("componentId", shop.belt);
        bad.put("step", "lid");
        bad.put("conditions", body("supply", "ON_REQUEST", "warmth", "COLD"));
        bad.put("means", false);
        JsonNode row = ReadRails.saved(client, job, bad);
        assertThat(row.get("means").asBoolean()).isFalse();
        assertThat(row.get("conditions").get("supply").asString()).isEqualTo("ON_REQUEST");
        assertThat(row.get("step").asString()).isEqualTo("lid");
        assertThat(story(job).get(0)).startsWith("Measured before, on request, cold, motor board.");
        JsonNode look =
                client.get("/api/jobs/" + job + "/evidence").body().get("looks").get(0);
        assertThat(look.get("means").asString()).isEqualTo("MEASURED");
        assertThat(look.get("good").asBoolean()).isFalse();
        assertThat(look.get("words").asString()).contains("5 V is the first that is wrong");

        Map<String, Object> warm = rails(4.7, "before", false);
        warm.put("place", "motor board");
        warm.put("conditions", body("warmth", "AFTER_TEN_MINUTES"));
        ReadRails.saved(client, job, warm);
        assertThat(client.get("/api/jobs/" + job + "/measurements")
                        .body()
                        .get("compared")
                        .get(0)
                        .get("table")
                        .get("titles")
                        .toString())
                .isEqualTo("[\"before, on request, cold\",\"before, after ten minutes\"]");

        client.post("/api/measurements/" + row.get("id") + "/strike", Map.of("why", "wrong pin"));
        assertThat(client.get("/api/jobs/" + job + "/evidence").body().get("looks"))
                .isEmpty();
        assertRefused(job, "componentId", body("means", true));
        assertRefused(job, "means", body("means", false, "componentId", shop.belt, "goodUnit", true));
        assertRefused(job, "means", body("means", true, "componentId", shop.belt));
        assertRefused(job, "componentId", body("componentId", 9999));
        Map<String, Object> open = rails(5.0, "before", false);
        open.put("componentId", shop.belt);
        open.put("means", true);
        open.put(
                "asked",
                body(
                        "rails",
                        body(
                                "mains",
                                body("nominal", 230),
                                "rails",
                                List.of(body("name", "5 V", "kind", "REGULATED", "nominal", 5, "measured", 5)))));
        Client.Answer answer = client.post("/api/jobs/" + job + "/measurements", open);
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.detail()).contains("leaves it open");
        assertThat(client.get("/api/jobs/" + job + "/measurements")
                        .body()
                        .get("rows")
                        .size())
                .as("nothing half kept")
                .isEqualTo(2);
    }

    /** Struck by itself, on the sheet, the evidence is gone and the reading stands: it no longer says that it counts. */
    @Test
    void evidenceThatIsStruckAloneNoLongerCounts() {
        long job = shop.takenIn();
        Map<String, Object> bad = rails(4.6, "before", false);
        bad.put("componentId", shop.belt);
        bad.put("means", false);
        ReadRails.saved(client, job, bad);
        String looks = "/api/jobs/" + job + "/looks/";
        long look = client.get("/api/jobs/" + job + "/evidence")
                .body()
                .get("looks")
                .get(0)
                .get("id")
                .asLong();
        assertThat(client.delete(looks + look).status()).isEqualTo(200);
        JsonNode row = client.get("/api/jobs/" + job + "/measurements")
                .body()
                .get("rows")
                .get(0);
        assertThat(row.get("struckWhy")).as("it stands").isNull();
        assertThat(row.get("means")).as("and says nothing any more").isNull();
        client.post("/api/measurements/" + row.get("id") + "/strike", Map.of("why", "wrong pin"));
        assertThat(client.get("/api/jobs/" + job + "/measurements")
                        .body()
                        .get("rows")
                        .get(0)
                        .get("struckWhy")
                        .asString())
                .isEqualTo("wrong pin");
    }

    private static void assertRefused(long job, String field, Map<String, Object> more) {
        Map<String, Object> measured = rails(4.6, "before", false);
        measured.putAll(more);
        Client.Answer answer = client.post("/api/jobs/" + job + "/measurements", measured);
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(400);
        assertThat(answer.body().toString()).contains("\"" + field + "\"");
    }

    private static void points(SmallShop of, Object... points) {
        String notes = "/api/revisions/" + of.revision + "/teardown";
        long seen = client.get(notes).body().get("number").asLong();
        Map<String, Object> whole = body("before", "", "points", List.of(points));
        assertThat(client.put(notes, seen, body("overview", whole, "steps", of.steps(), "why", ""))
                        .status())
                .isEqualTo(200);
    }

    /** What is right here: by the notes with where the probes go, and by what a good unit read. */
    @Test
    void whatIsRightHereIsKnownBeforeItIsMeasured() {
        SmallShop other = new SmallShop(client);
        long job = other.takenIn();
        ReadRails.saved(client, other.takenIn(), rails(5.02, "before", true));
        points(
                other,
                body("name", "5 V", "kind", "REGULATED", "component", other.belt, "nominal", 5, "probes", "red at C4"),
                body("name", "TP4", "kind", "OTHER", "component", other.belt, "least", 40, "unit", "mV"));
        JsonNode rails = client.get("/api/jobs/" + job + "/measurements/expected?gauge=RAILS")
                .body();
        assertThat(rails.get("points")).hasSize(1);
        assertThat(rails.get("points").get(0).get("probes").asString()).isEqualTo("red at C4");
        JsonNode good = rails.get("good").get(0);
        assertThat(good.get("read").get("place").asString()).isEqualTo("supply board");
        assertThat(good.get("right").get(1).get("limits").get("min").asDouble()).isEqualTo(4.75);
        JsonNode limit = client.get("/api/jobs/" + job + "/measurements/expected?gauge=LIMIT")
                .body();
        assertThat(limit.get("points").get(0).get("name").asString()).isEqualTo("TP4");
        assertThat(limit.get("good")).isEmpty();
    }
}
