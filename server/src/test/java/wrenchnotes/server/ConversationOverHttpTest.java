package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.decoder.Decoder;
import com.lowagie.text.pdf.PRStream;
import com.lowagie.text.pdf.PdfName;
import com.lowagie.text.pdf.PdfReader;
import com.lowagie.text.pdf.PdfStream;
import com.lowagie.text.pdf.parser.PdfTextExtractor;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** What the counter and the bench say to the shop, and what it answers. */
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

    private JsonNode counter(String query) {
        Client.Answer answer = client.get("/api/revisions/" + shop.revision + "/outlook" + query);
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body();
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
        JsonNode first = counter("?present=dead");
        assertThat(first.get("odds").get("ofModel").asInt()).isZero();
        assertThat(fault(first, "belt", "slack").get("behind").get("level").asString())
                .as("nothing of its own yet")
                .isIn("KIND", "ALL", "SHIPPED");
        double before = fault(first, "belt", "slack").get("probability").asDouble();

        for (int n = 0; n < 3; n++) {
            shop.mended(shop.takenIn(), "CLEANED", null);
        }

        JsonNode after = counter("?present=dead");
        JsonNode belt = fault(after, "belt", "slack");
        assertThat(belt.get("behind")).isEqualTo(Client.json(Map.of("level", "REVISION", "count", 3, "outOf", 3)));
        assertThat(belt.get("probability").asDouble()).isGreaterThan(before);
        assertThat(belt.get("low").asDouble())
                .isLessThan(belt.get("probability").asDouble());
        assertThat(after.get("odds").get("ofRevision").asInt()).isEqualTo(3);
        // Asked and not so counts the other way.
        assertThat(fault(counter("?absent=dead"), "belt", "slack")
                        .get("probability")
                        .asDouble())
                .isLessThan(belt.get("probability").asDouble());
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
        assertThat(counter("?resale=true&paid=100").get("money").get("worth").get("price"))
                .isEqualTo(
                        Client.json(body("low", 3100, "likely", 3100, "high", 3100, "sales", 1, "level", "REVISION")));
    }

    @Test
    void afterAFallTheListOfTheRevisionComesFirst() {
        assertThat(counter("").get("lookFirst").size()).isZero();
        JsonNode all = counter("?marks=DENTS").get("lookFirst");
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
        assertThat(counter("?marks=LIQUID").get("lookFirst").get(0).get("words").asString())
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

    @Test
    void whatIsDangerousOnArrivalIsSaidFirstAndAPhotoMustHaveBeenKept() {
        assertThat(counter("?marks=SWOLLEN_CELL").get("cautions").get(0).asString())
                .contains("stop", "local fire and waste rules");
        Map<String, Object> coming = shop.coming();
        coming.put("arrival", body("photos", List.of(body("hash", "0".repeat(64), "words", "dent"))));
        assertThat(client.post("/api/jobs", coming).field()).isEqualTo("photos");
    }

    /** The squares on the paper are read back and decoded by the reader's half of the library: the tag, as a scanner would type it. */
    @Test
    void slipAndTagComeOutOfThePrinterAndTheCodeIsTheTag() throws Exception {
        Map<String, Object> coming = shop.coming();
        coming.put(
                "arrival",
                body(
                        "complaint", "sings no more",
                        "symptoms", List.of(Map.of("name", "dead", "present", true)),
                        "marks", List.of("DENTS"),
                        "places", Map.of("DENTS", "front left"),
                        "belongings", List.of("remote")));
        long job = SmallShop.taken(client.post("/api/jobs", coming));
        String tag = shop.sheet(job).body().get("job").get("unit").get("tag").asString();

        String where = client.post("/api/jobs/" + job + "/papers", Map.of("paper", "TAG"))
                .body()
                .get("where")
                .asString();
        Path printed = SHOP.data().resolve(where);
        assertThat(printed.getFileName().toString()).startsWith(tag);
        assertThat(decoded(Files.readAllBytes(printed))).isEqualTo(tag);

        client.post("/api/jobs/" + job + "/papers", Map.of("paper", "SLIP"));
        PdfReader slip =
                new PdfReader(Files.readAllBytes(SHOP.data().resolve("printed/" + tag + "-" + job + "-slip.pdf")));
        assertThat(new PdfTextExtractor(slip).getTextFromPage(1).replaceAll("\\s+", " "))
                .contains(tag, "Harbour choir", "dead", "sings no more", "dents (front left)", "remote");
    }

    private static String decoded(byte[] pdf) throws Exception {
        String squares = drawing(new PdfReader(pdf));
        Matcher square = Pattern.compile("(\\d+) (\\d+) 1 1 re").matcher(squares);
        int size = 0;
        List<int[]> dark = new java.util.ArrayList<>();
        while (square.find()) {
            int[] at = {Integer.parseInt(square.group(1)), Integer.parseInt(square.group(2))};
            dark.add(at);
            size = Math.max(size, Math.max(at[0], at[1]) + 1);
        }
        int[] low = {size, size};
        for (int[] at : dark) {
            low[0] = Math.min(low[0], at[0]);
            low[1] = Math.min(low[1], at[1]);
        }
        int modules = size - low[0];
        BitMatrix code = new BitMatrix(modules);
        for (int[] at : dark) {
            code.set(at[0] - low[0], modules - 1 - (at[1] - low[1]));
        }
        return new Decoder().decode(code).getText();
    }

    private static String drawing(PdfReader reader) throws IOException {
        for (int n = 0; n < reader.getXrefSize(); n++) {
            if (reader.getPdfObject(n) instanceof PdfStream stream
                    && PdfName.FORM.equals(stream.get(PdfName.SUBTYPE))) {
                return new String(PdfReader.getStreamBytes((PRStream) stream), StandardCharsets.ISO_8859_1);
            }
        }
        throw new IllegalStateException("The tag has a drawing on it");
    }
}
