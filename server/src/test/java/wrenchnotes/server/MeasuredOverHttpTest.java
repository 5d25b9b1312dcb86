package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;
import static wrenchnotes.server.ReadRails.rails;

import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Gauges inside a job over the real API: what was measured stays, by whom and with what, and lies beside a good unit. */
@Tag("shop")
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

    private static List<String> story(long job) {
        return StreamSupport.stream(shop.sheet(job).body().get("story").spliterator(), false)
                .map(line -> line.get("words").asString())
                .toList();
    }

    @Test
    void aReadingIsSavedWithLimitsVerdictInstrumentAndWho() {
        long job = shop.takenIn();
        JsonNode row = ReadRails.saved(client, job, rails(4.6, "before", false));
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
        ReadRails.saved(client, earlier, rails(5.02, "before", true));
        long job = shop.takenIn();
        ReadRails.saved(client, job, rails(4.6, "before", false));
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

    /** Seven stages measured, one of them twice: the last five stand, each as it was measured last, in the order in which they came. */
    @Test
    void theLastOfEachStageStands() {
        long job = shop.takenIn();
        for (String stage : List.of("before", "one", "two", "three", "four", "five", "two")) {
            ReadRails.saved(client, job, rails(stage.equals("two") ? 4.9 : 4.6, stage, false));
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
        ReadRails.saved(client, job, elsewhere);
        elsewhere.put("place", "second board");
        ReadRails.saved(client, job, elsewhere);
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
