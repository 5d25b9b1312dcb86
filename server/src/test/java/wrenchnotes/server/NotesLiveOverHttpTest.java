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

/** What is counted and measured at the bench becomes the notes, and a unit that lies open goes on by them. */
@Tag("shop")
class NotesLiveOverHttpTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty();

    private static Client client;

    @BeforeAll
    static void aLead() {
        client = SHOP.client().asFirstLead();
    }

    private static JsonNode thing(JsonNode bench, String id) {
        return bench.get("way")
                .get("steps")
                .valueStream()
                .flatMap(step -> step.get("things").valueStream())
                .filter(thing -> thing.get("id").asString().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private static JsonNode proposals(SmallShop shop) {
        return client.get("/api/revisions/" + shop.revision + "/proposals").body();
    }

    /** Measured: a job whose unit had one screw more was locked out by the notes that its own count had made. */
    @Test
    void oneMoreThanTheNotesSayIsProposedAndTheJobGoesOnByIt() {
        SmallShop shop = new SmallShop(client);
        long job = shop.takenIn();
        shop.start(job);
        JsonNode off = client.bench(
                        job,
                        "steps/lid/in",
                        Map.of("found", List.of(Map.of("thing", "case", "toTray", 5, "missing", 0, "broken", 0))))
                .body();
        assertThat(thing(off, "case").get("count").asInt()).isEqualTo(5);
        assertThat(proposals(shop)).hasSize(1);
        assertThat(proposals(shop).get(0).get("changes").get(0).asString())
                .isEqualTo("case: 4 cross PH1, 2.9 × 12 mm, tapping, black → 5 cross PH1, 2.9 × 12 mm, tapping, black");
        JsonNode six =
                client.bench(job, "known", Map.of("thing", "case", "lying", 6)).body();
        assertThat(thing(six, "case").get("accounts").get("TRAY").asInt()).isEqualTo(6);
        assertThat(proposals(shop)).as("a lead decides once").hasSize(1);
        assertThat(client.bench(job, "known", Map.of("thing", "case", "lying", 6))
                        .detail())
                .contains("that many lie on the mat already");
        assertThat(newer(job).has("newer")).isFalse();

        client.post("/api/proposals/" + proposals(shop).get(0).get("id").asLong() + "/accept", "");
        JsonNode newer = newer(job).get("newer");
        assertThat(newer.get("number").asLong()).isEqualTo(2);
        assertThat(newer.get("asks")).isEmpty();
        Client.Answer taken = client.bench(job, "notes/newer", Map.of("steps", Map.of(), "things", Map.of()));
        assertThat(taken.status()).as(taken.body().toString()).isEqualTo(200);
        assertThat(thing(taken.body(), "case").get("accounts").get("TRAY").asInt())
                .isEqualTo(6);
        assertThat(newer(job).has("newer")).isFalse();
        assertThat(client.bench(job, "notes/newer", Map.of("steps", Map.of(), "things", Map.of()))
                        .status())
                .isEqualTo(409);
        assertThat(shop.out(job, "lid").status()).isEqualTo(200);
        JsonNode whole = client.get("/api/jobs/" + job + "/bench").body();
        assertThat(whole.get("stand").get("tallyWords").asString()).isEqualTo("nothing");
    }

    @Test
    void aStepThatTheNewerNotesCallOtherwiseIsAskedAndTheRestFindsItself() {
        SmallShop shop = new SmallShop(client);
        long job = shop.takenIn();
        shop.in(job, "lid");
        shop.in(job, "deck");
        List<Map<String, Object>> others = shop.steps();
        others.get(0).put("id", "cover");
        others.get(1).put("needs", List.of("cover"));
        // A washer that was off and back, and that the newer notes have no more.
        shop.out(job, "deck");
        others.get(1).remove("pieces");
        String notes = "/api/revisions/" + shop.revision + "/teardown";
        client.put(notes, 1, Map.of("steps", others, "why", "better words"));
        JsonNode ask = newer(job).get("newer").get("asks").get(0);
        assertThat(ask.get("words").asString()).isEqualTo("Lid off, open");
        assertThat(ask.get("choices").get(0).get("id").asString()).isEqualTo("cover");
        assertThat(client.bench(job, "notes/newer", Map.of("steps", Map.of(), "things", Map.of()))
                        .field())
                .isEqualTo("lid");
        JsonNode on = client.bench(job, "notes/newer", Map.of("steps", Map.of("lid", "cover"), "things", Map.of()))
                .body();
        assertThat(on.get("way").get("nextOut").asString()).isEqualTo("cover");
        JsonNode out = shop.out(job, "cover").body();
        assertThat(out.get("stand").get("tallyWords").asString()).isEqualTo("nothing");
    }

    /** Measured: what came off a model never seen was 2.9 × 10 mm, tapping and silver, and a real screw then fitted nowhere. */
    @Test
    void whatComesOffAModelNeverSeenSaysNothingThatNobodySaw() {
        long model = client.post("/api/models", Map.of("maker", "Cormorant Works", "name", "Skerry", "kind", "PLAYER"))
                .id();
        long revision = client.post("/api/models/" + model + "/revisions", Map.of("name", "A", "tellApart", ""))
                .id();
        SmallShop shop = new SmallShop(client);
        Map<String, Object> coming = shop.coming();
        coming.put("revisionId", revision);
        long job = SmallShop.taken(client.post("/api/jobs", coming));
        shop.start(job);
        Map<String, Object> off = SmallShop.cameOff("Back cover", 6, "");
        off.put("screws", List.of(Map.of()));
        JsonNode open = client.bench(job, "came-off", off).body();
        JsonNode screws = open.get("way").get("steps").get(0).get("things").get(0);
        assertThat(screws.get("counted").asBoolean()).isFalse();
        assertThat(open.get("stand").get("tallyWords").asString()).isEqualTo("some uncounted");
        assertThat(client.get("/api/jobs/" + job).body().get("status").toString())
                .as("as the rack has it from the ledger's rows")
                .contains("some uncounted off");
        assertThat(screws.get("notKnown").values()).hasSize(6);
        assertThat(screws.get("group").has("diameterMm")).isFalse();
        JsonNode fits = client.post("/api/jobs/" + job + "/bench/what-is-it", Map.of("lengthMm", 7))
                .body();
        assertThat(fits.get("words").asString()).contains("nobody has measured Back cover");

        String id = screws.get("id").asString();
        client.bench(job, "known", body("thing", id, "lying", 6, "head", "CROSS", "lengthMm", 7));
        client.bench(job, "known", body("thing", id, "lying", 6, "diameterMm", 2.6, "thread", "MACHINE"));
        JsonNode waiting =
                client.get("/api/revisions/" + revision + "/proposals").body();
        assertThat(waiting).hasSize(1);
        client.post("/api/proposals/" + waiting.get(0).get("id").asLong() + "/accept", "");
        assertThat(client.get("/api/revisions/" + revision + "/teardown")
                        .body()
                        .get("steps")
                        .toString())
                .contains("\"count\":6", "\"head\":\"CROSS\"", "\"lengthMm\":7", "\"diameterMm\":2.6")
                .doesNotContain("finish");
        // What was entered by mistake and taken back leaves no ghost in the notes.
        client.bench(job, "notes/newer", Map.of("steps", Map.of(), "things", Map.of()));
        client.bench(job, "came-off", SmallShop.cameOff("Wrong cover", 2, "aerial"));
        Client.Answer wrong = client.bench(job, "back", "");
        assertThat(wrong.status()).as(wrong.body().toString()).isEqualTo(200);
        JsonNode back = wrong.body();
        assertThat(back.get("way").get("steps").toString()).doesNotContain("Wrong cover");
        String written = "/api/revisions/" + revision + "/teardown";
        JsonNode notes = client.get(written).body();
        assertThat(notes.get("steps")).hasSize(1);
        assertThat(thing(back, id).get("accounts").get("TRAY").asInt()).isEqualTo(6);
        client.put(
                written,
                notes.get("number").asLong(),
                body("steps", notes.get("steps"), "overview", body("before", "lid up"), "why", "better"));

        // The step after it is written into the newer notes once the job goes by them.
        assertThat(client.bench(job, "came-off", SmallShop.cameOff("Board", 2, ""))
                        .detail())
                .contains("go on by the newer ones");
        client.bench(job, "notes/newer", Map.of("steps", Map.of(), "things", Map.of()));
        assertThat(client.bench(job, "came-off", SmallShop.cameOff("Board", 2, ""))
                        .status())
                .isEqualTo(200);
    }

    private static JsonNode newer(long job) {
        return client.get("/api/jobs/" + job + "/bench/notes/newer").body();
    }
}
