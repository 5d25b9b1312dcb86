package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Gauges inside a job over the real API: what was measured stays, by whom and with what, and lies beside a good unit. */
class MeasuredOverHttpTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty();

    private static Client client;
    private static SmallShop shop;

    @BeforeAll
    static void open() {
        client = SHOP.client().asFirstLead();
        shop = new SmallShop(client);
    }

    private static Map<String, Object> rails(double five, String stage, boolean goodUnit) {
        Map<String, Object> rail = body("name", "5 V", "kind", "REGULATED", "nominal", 5, "measured", five);
        Map<String, Object> asked = body("mains", body("nominal", 230, "measured", 231), "rails", List.of(rail));
        return body(
                "asked",
                body("rails", asked),
                "typed",
                body("mains", "231", "lines", List.of(body("name", "5 V", "measured", five + " V"))),
                "place",
                "supply board",
                "stage",
                stage,
                "goodUnit",
                goodUnit,
                "instrument",
                "bench meter");
    }

    private static JsonNode saved(long job, Map<String, Object> measured) {
        Client.Answer answer = client.post("/api/jobs/" + job + "/measurements", measured);
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(201);
        return answer.body();
    }

    private static List<String> story(long job) {
        return StreamSupport.stream(shop.sheet(job).body().get("story").spliterator(), false)
                .map(line -> line.get("words").asString())
                .toList();
    }

    @Test
    void aReadingIsSavedWithLimitsVerdictInstrumentAndWho() {
        long job = shop.takenIn();
        JsonNode row = saved(job, rails(4.6, "before", false));
        JsonNode five = row.get("readings").get(1);
        assertThat(five.get("what").asString()).isEqualTo("5 V");
        assertThat(five.get("min").asDouble()).isEqualTo(4.75);
        assertThat(five.get("max").asDouble()).isEqualTo(5.25);
        assertThat(five.get("verdict").asString()).isEqualTo("BAD");
        assertThat(row.get("instrument").asString()).isEqualTo("bench meter");
        assertThat(row.get("by").asString()).isEqualTo("lead");
        assertThat(row.get("typed").get("lines").get(0).get("measured").asString())
                .as("as it was typed")
                .isEqualTo("4.6 V");
        assertThat(story(job).get(0))
                .isEqualTo(
                        "Measured before, supply board. Rails: 5 V is the first that is wrong (bad). With bench meter");

        JsonNode struck = client.post(
                        "/api/measurements/" + row.get("id") + "/strike", Map.of("why", "probes on the wrong pin"))
                .body();
        assertThat(struck.get("struckWhy").asString()).isEqualTo("probes on the wrong pin");
        assertThat(client.post("/api/measurements/" + row.get("id") + "/strike", Map.of("why", "again"))
                        .status())
                .isEqualTo(412);
        JsonNode after = client.get("/api/jobs/" + job + "/measurements").body();
        assertThat(after.get("rows").size()).as("struck, not gone").isEqualTo(1);
        assertThat(after.get("compared").size()).isZero();
        JsonNode line = shop.sheet(job).body().get("story").get(1);
        assertThat(line.get("struckWhy").asString()).isEqualTo("probes on the wrong pin");
    }

    @Test
    void stagesOfTheWorkStandBesideAGoodUnitOfTheRevision() {
        long earlier = shop.takenIn();
        saved(earlier, rails(5.02, "before", true));
        long job = shop.takenIn();
        saved(job, rails(4.6, "before", false));
        shop.finding(job, "slack", "REPLACED", null);
        JsonNode measured = client.get("/api/jobs/" + job + "/measurements").body();
        assertThat(measured.get("stages").toString()).isEqualTo("[\"before\",\"after belt replaced\"]");
        JsonNode said = client.post(
                        "/api/jobs/" + job + "/measurements/beside", rails(5.0, "after belt replaced", false))
                .body();
        assertThat(said.get("verdict").asString()).isEqualTo("GOOD");
        JsonNode now = said.get("table");
        String tag =
                shop.sheet(earlier).body().get("job").get("unit").get("tag").asString();
        assertThat(now.get("titles").toString()).isEqualTo("[\"good unit, read with " + tag + "\",\"before\",\"now\"]");
        JsonNode five = now.get("rows").get(1).get("cells");
        assertThat(five.get(1).get("differs").asBoolean()).isTrue();
        assertThat(five.get(2).get("differs").asBoolean()).isFalse();
        assertThat(client.get("/api/jobs/" + job + "/measurements")
                        .body()
                        .get("rows")
                        .size())
                .as("laying beside keeps nothing")
                .isEqualTo(1);
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
        JsonNode row = saved(job, bad);
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
        saved(job, warm);
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
        assertRefused(job, "means", "componentId", body("means", true));
        assertRefused(job, "means", "means", body("means", true, "componentId", shop.belt, "goodUnit", true));
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

    private static void assertRefused(long job, String what, String field, Map<String, Object> more) {
        Map<String, Object> measured = rails(4.6, "before", false);
        measured.putAll(more);
        Client.Answer answer = client.post("/api/jobs/" + job + "/measurements", measured);
        assertThat(answer.status()).as(what).isEqualTo(400);
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
        saved(other.takenIn(), rails(5.02, "before", true));
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

    /** Seven stages measured, one of them twice: the last five stand, each as it was measured last, in the order in which they came. */
    @Test
    void theLastOfEachStageStands() {
        long job = shop.takenIn();
        for (String stage : List.of("before", "one", "two", "three", "four", "five", "two")) {
            saved(job, rails(stage.equals("two") ? 4.9 : 4.6, stage, false));
        }
        JsonNode table = client.get("/api/jobs/" + job + "/measurements")
                .body()
                .get("compared")
                .get(0)
                .get("table");
        assertThat(table.get("titles").toString()).isEqualTo("[\"one\",\"three\",\"four\",\"five\",\"two\"]");
        assertThat(table.get("rows").get(1).get("cells").get(4).get("words").asString())
                .isEqualTo("4.9 V");
        Map<String, Object> elsewhere = rails(5, "before", false);
        elsewhere.put("place", "Supply Board");
        saved(job, elsewhere);
        elsewhere.put("place", "second board");
        saved(job, elsewhere);
        assertThat(client.get("/api/jobs/" + job + "/measurements").body().get("compared"))
                .extracting(one -> one.get("place").asString())
                .as("small letters or large")
                .containsExactly("supply board", "second board");
    }

    /** A retry after a dropped connection keeps nothing twice. */
    @Test
    void aRetryKeepsOnce() {
        long job = shop.takenIn();
        Map<String, String> same = Map.of("Idempotency-Key", "measure-" + job);
        Client.Answer first = client.post("/api/jobs/" + job + "/measurements", rails(5, "before", false), same);
        Client.Answer again = client.post("/api/jobs/" + job + "/measurements", rails(5, "before", false), same);
        assertThat(again.body()).isEqualTo(first.body());
        assertThat(client.get("/api/jobs/" + job + "/measurements")
                        .body()
                        .get("rows")
                        .size())
                .isEqualTo(1);
    }

    @Test
    void whatCannotBeIsRefusedAndNothingIsKept() {
        long job = shop.takenIn();
        Map<String, Object> none = rails(5, "before", false);
        none.put("asked", Map.of());
        assertThat(client.post("/api/jobs/" + job + "/measurements", none).detail())
                .contains("0 are there");
        Map<String, Object> noStage = rails(5, " ", false);
        assertThat(client.post("/api/jobs/" + job + "/measurements", noStage).field())
                .isEqualTo("stage");
        Map<String, Object> long1 = rails(5, "before", false);
        long1.put("typed", Map.of("lines", "x".repeat(30_000)));
        assertThat(client.post("/api/jobs/" + job + "/measurements", long1).status())
                .isEqualTo(400);
        assertThat(client.get("/api/jobs/" + job + "/measurements")
                        .body()
                        .get("rows")
                        .size())
                .isZero();
        shop.mended(job, "REPLACED", null);
        assertThat(client.post("/api/jobs/" + job + "/measurements", rails(5, "before", false))
                        .detail())
                .contains("has been handed over");
    }

    @Test
    void aThreadFindsTheOpenPlaceItMayBelongTo() {
        long job = shop.takenIn();
        shop.in(job, "lid");
        Map<String, Object> thread =
                body("diameterMm", 2.88, "threads", body("count", 10, "overMm", 11), "lengthMm", 12);
        JsonNode answer = client.post("/api/gauges/thread?job=" + job, thread).body();
        assertThat(answer.get("places").get("words").asString()).isEqualTo("It belongs to: case.");
        assertThat(answer.get("places").get("fits").get(0).get("open").asInt()).isEqualTo(4);
        thread.put("lengthMm", 12.8);
        assertThat(client.post("/api/gauges/thread?job=" + job, thread)
                        .body()
                        .get("places")
                        .get("words")
                        .asString())
                .startsWith("Nearest: case, but its length differs.");
        assertThat(client.post("/api/gauges/thread", thread).body().has("places"))
                .isFalse();
    }

    /** 7410 (data books; published, from memory) is not among those that ship: the shop adds it once. */
    @Test
    void aChipIsAddedAndThenKnown() {
        Map<String, Object> asked = body("chip", "74LS10", "rule", "BENCH", "pins", Map.of());
        assertThat(client.post("/api/gauges/logic", asked).field()).isEqualTo("chip");
        List<Map<String, Object>> gates = List.of(
                body("inputs", List.of(1, 2, 13), "output", 12),
                body("inputs", List.of(3, 4, 5), "output", 6),
                body("inputs", List.of(9, 10, 11), "output", 8));
        Map<String, Object> chip = body(
                "number",
                "10",
                "function",
                "NAND",
                "openCollector",
                false,
                "pins",
                14,
                "ground",
                7,
                "supply",
                14,
                "gates",
                gates);
        assertThat(client.put("/api/chips", 0, chip).body().get("added").size()).isEqualTo(1);
        assertThat(client.post("/api/gauges/logic", asked).body().get("gates").size())
                .isEqualTo(3);
        chip.put("number", "00");
        assertThat(client.put("/api/chips", 0, chip).detail()).contains("ships with Wrench Notes");
    }

    /** 33⅓ rpm: 216 bars under 60 Hz light, 180 under 50 Hz (the standard stroboscopic disc; published). */
    @Test
    void aDiscIsDrawnToScale() {
        String both = "?rpm=33.333333&flashes=120&rpm=33.333333&flashes=100&diameterMm=180&holeMm=7.2";
        String svg = client.text("/api/gauges/spindle/disc.svg" + both);
        Matcher size = Pattern.compile(
                        "width=\"([\\d.]+)mm\" height=\"([\\d.]+)mm\" viewBox=\"0 0 ([\\d.]+) ([\\d.]+)\"")
                .matcher(svg);
        assertThat(size.find()).isTrue();
        assertThat(size.group(1)).as("one unit is one mm").isEqualTo(size.group(3));
        assertThat(size.group(2)).isEqualTo(size.group(4));
        assertThat(svg).contains("r=\"90.000\"").contains("h50.00");
        assertThat(svg.chars().filter(one -> one == 'Z').count()).isEqualTo(216 + 180);
        byte[] paper = client.bytes("/api/gauges/spindle/disc.pdf" + both);
        assertThat(PaperRead.form(paper)).isEqualTo("1 page, 210 × 297 mm, scaling None");
        assertThat(PaperRead.text(paper)).contains("180 bars").contains("216 bars");
        assertThat(PaperRead.inkWidthMm(paper)).as("the rim, on paper").isBetween(179.8, 180.5);
        assertThat(client.get("/api/gauges/spindle/disc.svg?rpm=1&flashes=100").detail())
                .contains("take a disc of at least");
    }
}
