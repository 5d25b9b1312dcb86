package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** What was said once, in whatever room, is found again by the beginning of a word. */
@Tag("shop")
class FoundAgainOverHttpTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty();

    private static Client client;
    private static SmallShop shop;
    private static long job;
    private static long finding;

    @BeforeAll
    static void aJobOfWhichMuchWasSaid() {
        client = SHOP.client().asFirstLead();
        shop = new SmallShop(client);
        Map<String, Object> coming = shop.coming();
        coming.put("ownerName", "Tern rowing club");
        coming.put("ownerContact", "0171 555 0123, bosun@tern.example");
        coming.put(
                "arrival",
                body(
                        "complaint",
                        "warbles",
                        "symptoms",
                        List.of(),
                        "condition",
                        "marmalade on the fascia",
                        "belongings",
                        List.of("walnut stand")));
        job = SmallShop.taken(client.post("/api/jobs", coming));
        shop.in(job, "lid");
        finding = shop.finding(job, "perished", "CLEANED", null).id();
        client.bench(job, "notes", Map.of("words", "quince jelly on the spindle"));
        client.post("/api/jobs/" + job + "/outcome", Map.of("outcome", "FIXED", "remark", "crackles when cold"));
    }

    private static JsonNode find(String words) {
        return client.get("/api/find?q=" + URLEncoder.encode(words, StandardCharsets.UTF_8))
                .body();
    }

    private static void found(String words, String kind, long id) {
        JsonNode answer = find(words);
        assertThat(answer.get("groups")
                        .valueStream()
                        .filter(group -> group.get("kind").asString().equals(kind))
                        .flatMap(group -> group.get("found").valueStream())
                        .map(one -> one.get("id").asLong()))
                .as(words + " in " + answer)
                .contains(id);
    }

    /** Measured: of nine words said in findings, steps and parts, nine found nothing. */
    @Test
    void whateverWasSaidLeadsBackToWhereItWasSaid() {
        found("marmal", "UNIT", job);
        found("walnut", "UNIT", job);
        found("perish", "FINDING", finding);
        found("cormorant perished", "FINDING", finding);
        found("perished", "COMPONENT", shop.belt);
        found("deck out", "STEP", shop.revision);
        found("thrust wash", "STEP", shop.revision);
        found("blue feet", "MODEL", shop.model);
        found("belt", "PART", shop.part);
        found("bosun", "OWNER", ownerOf());
        found("0123", "UNIT", job);
        assertThat(find("quince").get("groups").get(0).get("kind").asString()).isEqualTo("SAID");
        assertThat(find("quince")
                        .get("groups")
                        .get(0)
                        .get("found")
                        .get(0)
                        .get("jobId")
                        .asLong())
                .isEqualTo(job);
        assertThat(find("crackl").get("groups").get(0).get("kind").asString()).isEqualTo("OUTCOME");
        assertThat(find("thrust")
                        .get("groups")
                        .get(0)
                        .get("found")
                        .get(0)
                        .get("title")
                        .asString())
                .as("the step that says so")
                .isEqualTo("Deck out");
        assertThat(find("cormorant").get("groups").valueStream().map(group -> group.get("kind")
                        .asString()))
                .as("what is only about a model is not listed for its name")
                .doesNotContain("FINDING", "COMPONENT", "STEP");
    }

    /** What was tried, waited for or brought along. */
    @Test
    void checksHoldsAndPastJobsAreFoundToo() throws InterruptedException {
        Map<String, Object> check =
                body("stage", "BEFORE_CLOSING", "verdict", "NOT_TESTED", "what", "turns the platter", "powered", false);
        check.putAll(body("load", "shellac", "times", 0, "remark", "no stylus"));
        Client.Answer kept = client.post("/api/jobs/" + job + "/checks", check);
        assertThat(kept.status()).as(kept.body().toString()).isLessThan(300);
        found(
                "shellac",
                "CHECK",
                SHOP.bean(JdbcClient.class)
                        .sql("SELECT MAX(id) FROM check_entry")
                        .query(Long.class)
                        .single());
        Client.Answer held =
                client.post("/api/jobs/" + job + "/holds", body("kind", "PART", "why", "sapphire from the coast"));
        assertThat(held.status()).as(held.body().toString()).isLessThan(300);
        assertThat(find("sapphir").get("groups").get(0).get("kind").asString()).isEqualTo("HOLD");

        long list = client.postBytes(
                        "/api/brought?name=old.csv",
                        "date,model,fault,remedy\n2019-05-04,Heron 2,treadle belt slipped,replaced\n"
                                .getBytes(StandardCharsets.UTF_8))
                .id();
        client.post("/api/brought/" + list + "/start", "");
        for (int n = 0;
                n < 200
                        && !client.get("/api/brought/" + list)
                                .body()
                                .get("state")
                                .asString()
                                .equals("DONE");
                n++) {
            Thread.sleep(50);
        }
        assertThat(find("treadl slip").get("groups").valueStream().map(group -> group.get("kind")
                        .asString()))
                .contains("PAST");
        client.post("/api/brought/" + list + "/undo", "");
        assertThat(find("treadl slip").get("groups").valueStream().map(group -> group.get("kind")
                        .asString()))
                .as("what is undone is not found as a job")
                .doesNotContain("PAST");
    }

    private static long ownerOf() {
        return SHOP.bean(JdbcClient.class)
                .sql("SELECT id FROM owner WHERE name = 'Tern rowing club'")
                .query(Long.class)
                .single();
    }

    /** One letter wrong in short words, two in longer ones; what was meant is said. */
    @Test
    void aSlipOfTheFingerFindsTheNearestWord() {
        for (String slip : List.of("marmelade", "marmalde", "mramalade", "perishd", "qince")) {
            JsonNode answer = find(slip);
            assertThat(answer.get("groups")).as(slip).isNotEmpty();
            assertThat(answer.get("meant").asString()).isIn("marmalade", "perished", "quince");
        }
        assertThat(find("xylophone").get("groups")).isEmpty();
    }

    @Test
    void whatWasTakenBackOrRenamedIsFoundAsItIsNow() {
        long other = shop.takenIn();
        shop.in(other, "lid");
        long wrong = shop.finding(other, "gnawed", "CLEANED", null).id();
        found("gnawed", "FINDING", wrong);
        client.post("/api/findings/" + wrong + "/correction", Map.of("why", "it was another unit"));
        assertThat(find("gnawed").get("groups").valueStream().map(group -> group.get("kind")
                        .asString()))
                .doesNotContain("FINDING");
        JdbcClient jdbc = SHOP.bean(JdbcClient.class);
        jdbc.sql("UPDATE part SET what = 'fits the idler too' WHERE id = :id")
                .param("id", shop.part)
                .update();
        found("idler", "PART", shop.part);
    }
}
