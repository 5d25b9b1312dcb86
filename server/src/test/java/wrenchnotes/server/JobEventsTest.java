package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** What happens on a job beside steps, findings and checks is kept, and heard where the next one stands. */
@Tag("shop")
class JobEventsTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty();

    private static Client client;
    private static SmallShop shop;

    @BeforeAll
    static void open() {
        client = SHOP.client().asFirstLead();
        shop = new SmallShop(client);
    }

    @Test
    void whatWasFoundInsideJoinsWhatGoesBack() {
        long job = shop.takenIn();
        Map<String, Object> coin = body("what", "COIN", "state", "bent");
        assertThat(say(job, "found-inside", coin)).isEqualTo(201);
        assertThat(say(job, "found-inside", coin)).as("the same twice").isEqualTo(400);
        assertThat(say(job, "found-inside", body("what", "INSECT", "state", "dry")))
                .isEqualTo(201);
        assertThat(say(job, "found-inside", body("what", "OTHER", "state", ""))).isEqualTo(400);
        JsonNode sheet = shop.sheet(job).body();
        assertThat(strings(sheet.get("belongings"), "name")).containsExactly("coin, bent (found inside)");
        assertThat(strings(sheet.get("story"), "words"))
                .contains("Found inside: coin, bent. It goes back", "Found inside: insect, dry");
    }

    @Test
    void whatWasDecidedIsShownToTheNextAtTheSameFork() {
        for (int n = 0; n < 5; n++) {
            long job = shop.takenIn();
            String choice = n < 4 ? "cut them" : "drill them";
            say(job, "decisions", body("fork", "Rivets", "choice", choice, "considered", "leave it", "why", "quicker"));
            if (n == 4) {
                JsonNode entries = client.get("/api/jobs/" + job + "/entries").body();
                long drilled = entries.get(entries.size() - 1).get("id").asLong();
                client.post("/api/entries/" + drilled + "/take-back", Map.of("why", "swarf everywhere"));
            }
        }
        JsonNode fork = client.get("/api/jobs/" + shop.takenIn() + "/experience")
                .body()
                .get("forks")
                .get(0);
        assertThat(fork.get("times").asInt()).isEqualTo(5);
        JsonNode cut = fork.get("choices").get(0);
        assertThat(List.of(
                        cut.get("choice").asString(),
                        cut.get("times").asInt(),
                        cut.get("regretted").asInt()))
                .containsExactly("cut them", 4, 0);
        assertThat(fork.get("choices").get(1).get("regretted").asInt()).isEqualTo(1);
        assertThat(fork.get("after").toString()).isEqualTo("[\"\"]");
    }

    /** One stands at a fork with what is open then: whoever has that open and goes on stands there too. */
    @Test
    void aDecisionIsKeptWithTheStepThatWasOpenLast() {
        long first = shop.takenIn();
        shop.in(first, "lid");
        shop.in(first, "deck");
        shop.out(first, "deck");
        say(first, "decisions", body("fork", "glued lead", "choice", "warm it", "considered", "", "why", ""));
        long next = shop.takenIn();
        assertThat(gluedLead(next).get("after").toString()).isEqualTo("[\"lid\"]");
        assertThat(gluedLead(next).has("here")).isFalse();
        say(next, "decisions", body("fork", "Glued lead", "choice", "cut it", "considered", "", "why", ""));
        assertThat(gluedLead(next).get("here").asString()).isEqualTo("cut it");
        assertThat(gluedLead(next).get("times").asInt()).isEqualTo(1);
    }

    private static JsonNode gluedLead(long job) {
        return client.get("/api/jobs/" + job + "/experience").body().get("forks").values().stream()
                .filter(one -> one.get("fork").asString().equals("glued lead"))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void anObservationStandsBesideThatOfAGoodUnit() {
        Map<String, Object> tray = body(
                "what",
                "tray at half travel",
                "expected",
                "goes on",
                "found",
                "goes on",
                "good",
                true,
                "condition",
                "cold");
        say(shop.takenIn(), "observations", tray);
        long job = shop.takenIn();
        say(job, "observations", body("what", "Tray at half travel", "found", "stops", "good", false));
        JsonNode good = client.get("/api/jobs/" + job + "/experience").body().get("good");
        assertThat(strings(good, "found")).containsExactly("goes on");
        assertThat(strings(shop.sheet(job).body().get("story"), "words"))
                .contains("Not good: Tray at half travel: stops");
    }

    @Test
    void whatIsNotAsMadeOpensTheUnitsNextStay() {
        long job = shop.takenIn();
        shop.in(job, "lid");
        shop.in(job, "deck");
        shop.out(job, "deck");
        client.bench(
                job,
                "steps/lid/out",
                Map.of(
                        "settled",
                        List.of(body(
                                "thing",
                                "case",
                                "back",
                                2,
                                "replaced",
                                2,
                                "leftOut",
                                0,
                                "reason",
                                "",
                                "instead",
                                "screws M3 × 8"))));
        say(job, "alterations", body("where", "lamp", "now", "white instead of amber"));
        shop.finding(job, "slack", "REVIVED", null);
        shop.leaves(job);

        String tag = shop.sheet(job).body().get("job").get("unit").get("tag").asString();
        JsonNode known = client.get("/api/units?find=" + tag).body().get(0);
        assertThat(strings(known.get("marks"), "words"))
                .as("at the counter")
                .containsExactly("case: now screws M3 × 8", "lamp: now white instead of amber", "belt: revived");
        long next = again(
                known.get("unit").get("id").asLong(),
                known.get("unit").get("revisionId").asLong());
        JsonNode bench = client.get("/api/jobs/" + next + "/bench").body();
        assertThat(bench.get("unit").get("altered").values())
                .as("at the bench")
                .extracting(JsonNode::asString)
                .containsExactly("case: now screws M3 × 8", "lamp: now white instead of amber");
        assertThat(bench.get("way")
                        .get("steps")
                        .get(0)
                        .get("things")
                        .get(0)
                        .get("altered")
                        .asString())
                .as("and what the notes expect of it")
                .isEqualTo("screws M3 × 8");
        shop.finding(next, "slack", "REPLACED", shop.part);
        assertThat(strings(shop.sheet(next).body().get("unitMarks"), "words"))
                .as("a new belt is not revived any more")
                .doesNotContain("belt: revived");
    }

    @Test
    void ourOwnIsInNeitherCustomersNorResaleFigures() {
        Map<String, Object> ours = new HashMap<>(shop.coming());
        ours.put("ownership", "OWN");
        ours.remove("ownerName");
        long job = SmallShop.taken(client.post("/api/jobs", ours));
        client.post(
                "/api/jobs/" + job + "/findings",
                body("component", "own lamp", "wrong", "blown", "remedy", "REPLACED", "remark", ""));
        shop.in(job, "lid");
        shop.out(job, "lid");
        shop.leaves(job);
        JsonNode lamp = client.get("/api/patterns").body().get("faults").values().stream()
                .filter(fault -> fault.get("component").asString().equals("own lamp"))
                .findFirst()
                .orElseThrow();
        assertThat(List.of(
                        lamp.get("customer").asInt(),
                        lamp.get("resale").asInt(),
                        lamp.get("share").get("count").asInt()))
                .containsExactly(0, 0, 1);
    }

    @Test
    void aUnitIsTakenInBeforeAnybodyKnowsWhatItIsAndMovedLater() {
        long revision =
                client.post("/api/models/not-known", Map.of("kind", "COMPUTER")).id();
        assertThat(client.post("/api/models/not-known", Map.of("kind", "COMPUTER"))
                        .id())
                .as("one for each kind")
                .isEqualTo(revision);
        Map<String, Object> coming = new HashMap<>(shop.coming());
        coming.put("revisionId", revision);
        long job = SmallShop.taken(client.post("/api/jobs", coming));
        JsonNode before = shop.sheet(job).body().get("job");
        Client.Answer moved = client.put(
                "/api/jobs/" + job + "/arrival",
                before.get("version").asLong(),
                body(
                        "serial",
                        "",
                        "revisionId",
                        shop.revision,
                        "arrival",
                        body("complaint", "does nothing", "symptoms", List.of())));
        assertThat(moved.status()).as(moved.body().toString()).isEqualTo(200);
        assertThat(shop.sheet(job)
                        .body()
                        .get("job")
                        .get("unit")
                        .get("revisionId")
                        .asLong())
                .isEqualTo(shop.revision);
    }

    @Test
    void aLaterWordIsAddedAndFlagsWhatItUndoes() {
        long job = shop.takenIn();
        long finding = shop.finding(job, "slack", "CLEANED", null).id();
        assertThat(say(job, "later-words", body("words", "still skips")))
                .as("it is still here")
                .isEqualTo(409);
        shop.in(job, "lid");
        shop.out(job, "lid");
        shop.leaves(job);
        assertThat(say(job, "later-words", body("words", "it was the disc", "undoes", finding + 999)))
                .isEqualTo(400);
        assertThat(say(job, "later-words", body("words", "it was the disc", "undoes", finding)))
                .isEqualTo(201);
        JsonNode found = shop.sheet(job).body().get("findings").get(0);
        assertThat(found.get("undoneBy").asString()).isEqualTo("it was the disc");
    }

    private static int say(long job, String what, Map<String, Object> said) {
        return client.post("/api/jobs/" + job + "/" + what, said).status();
    }

    private static long again(long unit, long revision) {
        Map<String, Object> coming = new HashMap<>(shop.coming());
        coming.put("unitId", unit);
        coming.put("revisionId", revision);
        return SmallShop.taken(client.post("/api/jobs", coming));
    }

    private static List<String> strings(JsonNode rows, String field) {
        return rows.values().stream().map(row -> row.get(field).asString()).toList();
    }
}
