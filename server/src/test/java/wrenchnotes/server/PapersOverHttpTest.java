package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Slip, tag and leaving paper, read back as people and scanners read them. */
@Tag("shop")
class PapersOverHttpTest {

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

    private long takenInFor(String owner, String complaint) {
        Map<String, Object> coming = shop.coming();
        coming.put("ownerName", owner);
        coming.put(
                "arrival",
                body(
                        "complaint", complaint,
                        "symptoms", List.of(Map.of("name", "dead", "present", true)),
                        "marks", List.of("DENTS", "BURNT_SMELL"),
                        "places", Map.of("DENTS", "front left"),
                        "belongings", List.of("remote")));
        return SmallShop.taken(client.post("/api/jobs", coming));
    }

    private String tag(long job) {
        return shop.sheet(job).body().get("job").get("unit").get("tag").asString();
    }

    private static byte[] paper(long job, String paper) {
        return client.bytes("/api/jobs/" + job + "/papers/" + paper);
    }

    @Test
    void slipAndTagComeOutOfThePrinter() throws Exception {
        // What was pasted with it that is no text at all is left off the paper, and the paper comes.
        long job = takenInFor("Harbour choir", "sings \u0000\u0007no more");
        String tag = tag(job);
        String where = client.post("/api/jobs/" + job + "/papers", Map.of("paper", "TAG"))
                .body()
                .get("where")
                .asString();
        Path printed = SHOP.data().resolve(where);
        assertThat(printed.getFileName().toString()).startsWith(tag);
        assertThat(PaperRead.scanned(Files.readAllBytes(printed))).isEqualTo(tag);
        client.post("/api/jobs/" + job + "/papers", Map.of("paper", "SLIP"));
        byte[] slip = Files.readAllBytes(SHOP.data().resolve("printed/" + tag + "-" + job + "-slip.pdf"));
        assertThat(PaperRead.text(slip))
                .contains(tag, "Harbour choir", "dead", "sings no more", "dents (front left)", "remote");
        assertThat(PaperRead.scanned(slip)).isEqualTo(tag);
        assertThat(PaperRead.form(slip)).isEqualTo("1 page, 148 × 210 mm, scaling None");
    }

    /** Measured: two names came out blank. */
    @Test
    void namesInTheirOwnLettersStandOnPaperOrAreSaidToBeMissing() {
        long job = takenInFor("Νεφέλη Ωμέγα, Жанна Љиљић, Łucja Ñandú", "παίζει αργά");
        assertThat(PaperRead.text(paper(job, "slip.pdf")))
                .contains("Νεφέλη Ωμέγα, Жанна Љиљић, Łucja Ñandú", "παίζει αργά");
        assertThat(PaperRead.text(paper(job, "tag.pdf"))).contains("Νεφέλη Ωμέγα");
        long other = takenInFor("Mei 梅花, night crossing", "");
        assertThat(PaperRead.text(paper(other, "slip.pdf")))
                .contains("Mei (2 letters of han: this printer has none), night crossing");
    }

    @ParameterizedTest
    @CsvSource({"W70_H30, 70 × 30", "W60_H30, 60 × 30", "W50_H25, 50 × 25", "SHEET_OF_24, 210 × 297"})
    void theCodeIsReadOffTheTagAtEachSize(String size, String form) {
        JsonNode shopNow = client.get("/api/shop").body();
        ObjectNode settings = (ObjectNode) shopNow.get("settings");
        settings.put("tags", size);
        assertThat(client.put("/api/shop", shopNow.get("version").asLong(), settings)
                        .status())
                .isEqualTo(200);
        long job = takenInFor("Lighthouse hostel, the long name of an owner who needs two lines", "");
        for (String place : size.startsWith("SHEET") ? List.of("1", "24") : List.of("1")) {
            byte[] tag = paper(job, "tag.pdf?place=" + place);
            assertThat(PaperRead.scanned(tag)).as("%s at %s", size, place).isEqualTo(tag(job));
            assertThat(PaperRead.form(tag)).isEqualTo("1 page, " + form + " mm, scaling None");
            assertThat(PaperRead.text(tag)).contains("MIND: smells burnt");
        }
    }

    @Test
    void theLeavingPaperTellsItsOwnerWhatWasDoneAndWhatWasNot() {
        long job = takenInFor("Harbour choir", "sings no more");
        shop.in(job, "lid");
        shop.in(job, "deck");
        shop.finding(job, "slack", "REPLACED", shop.part);
        shop.finding(job, "worn", "LEFT_AS_IT_IS", null);
        shop.check(job, "BEFORE_CLOSING", "PASSED");
        shop.out(job, "deck");
        shop.out(job, "lid");
        client.bench(job, "close", "");
        client.post(
                "/api/jobs/" + job + "/checks",
                body(
                        "stage",
                        "AFTER_CLOSING",
                        "verdict",
                        "NOT_TESTED",
                        "what",
                        "records",
                        "load",
                        "",
                        "times",
                        0,
                        "remark",
                        "no tape here"));
        client.post("/api/jobs/" + job + "/outcome", body("outcome", "FIXED_WITH_REMARK", "remark", "a little loud"));
        assertThat(PaperRead.text(paper(job, "leaving.pdf")))
                .contains("You told us: dead")
                .contains("Found and done: belt, slack: replaced (1 × belt")
                .contains("Left as it is: belt, worn")
                .contains("Mind: Not tested: records: no tape here")
                .contains("fixed with a remark. a little loud")
                .contains("Goes back with it: remote")
                .contains("Smells burnt");
    }

    /** Its ruler is as long as it says, and everything that comes off has its place. */
    @Test
    void theMatIsPrintedAtItsTrueSize() {
        long job = takenInFor("Harbour choir", "sings no more");
        byte[] mat = paper(job, "mat.pdf");
        assertThat(PaperRead.form(mat)).isEqualTo("1 page, 297 × 210 mm, scaling None");
        assertThat(PaperRead.text(mat))
                .contains(tag(job), "1 case", "4 × case", "2 motor lead + 1", "1 × motor lead", "1 × thrust washer")
                .contains("50 mm long if this was printed to scale");
        // The frame of a cell is the longest level line: a third of the page less margins and gutters, and less its
        // round corners.
        double cell = (297 - 2 * 10 - 2 * 4) / 3.0;
        assertThat(PaperRead.longestLineMm(mat)).isBetween(cell - 2.4, cell);
    }

    /** Cautions come before what hands do, and what comes off is drawn. */
    @Test
    void theTeardownSheetTellsEachStep() {
        List<Map<String, Object>> steps = new ArrayList<>(shop.steps());
        steps.get(0).put("caution", "Καυτό: let it cool");
        steps.get(0).put("how", "Turn it over first");
        assertThat(client.put("/api/revisions/" + shop.revision + "/teardown", 1, Map.of("steps", steps, "why", ""))
                        .status())
                .isEqualTo(200);
        byte[] sheet = client.bytes("/api/revisions/" + shop.revision + "/export.pdf");
        assertThat(PaperRead.form(sheet)).isEqualTo("1 page, 210 × 297 mm, scaling None");
        String text = PaperRead.text(sheet);
        assertThat(text)
                .contains(
                        "1. Lid off",
                        "Mind: Καυτό: let it cool",
                        "Turn it over first",
                        "case: 4 cross PH1, 2.9 × 12 mm")
                .contains("2. Deck out", "Needs first: Lid off", "1 × motor lead", "Exposes: belt");
        assertThat(text.indexOf("Καυτό")).isLessThan(text.indexOf("Turn it over first"));
    }
}
