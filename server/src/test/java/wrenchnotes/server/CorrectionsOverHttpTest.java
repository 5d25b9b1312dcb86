package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Nothing is lost: what was entered wrongly is struck with a reason and stays to be read, whoever corrects it, and only once. */
@Tag("shop")
class CorrectionsOverHttpTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty();

    private static Client client;
    private static SmallShop shop;

    @BeforeAll
    static void open() {
        client = SHOP.client().asFirstLead();
        shop = new SmallShop(client);
    }

    private static List<JsonNode> story(long job) {
        return StreamSupport.stream(shop.sheet(job).body().get("story").spliterator(), false)
                .toList();
    }

    private static JsonNode line(long job, String words) {
        return story(job).stream()
                .filter(line -> line.get("words").asString().startsWith(words))
                .findFirst()
                .orElseThrow(() -> new AssertionError("no line \"" + words + "\" in " + story(job)));
    }

    @Test
    void aCheckIsCorrectedAndBothCanBeRead() {
        long job = shop.takenIn();
        long check = shop.check(job, "ARRIVAL", "PASSED").id();
        Map<String, Object> instead = body(
                "stage", "ARRIVAL", "verdict", "FAILED", "what", "plays", "load", "tape 3", "times", 2, "remark",
                "squeals");
        Client.Answer corrected = client.post(
                "/api/checks/" + check + "/correction", body("why", "it was the other unit", "instead", instead));
        assertThat(corrected.body().get("check").get("verdict").asString()).isEqualTo("FAILED");
        assertThat(line(job, "Check on arrival, plays: passed").get("struckWhy").asString())
                .isEqualTo("it was the other unit");
        assertThat(line(job, "Corrected to: check on arrival, plays: failed (2 times). squeals")
                        .has("struckWhy"))
                .isFalse();
        Client.Answer late =
                client.post("/api/checks/" + check + "/correction", body("why", "again", "instead", instead));
        assertThat(late.status()).isEqualTo(412);
        assertThat(late.body().get("current").size())
                .as("what stands now is told")
                .isEqualTo(2);

        client.post("/api/checks/" + corrected.id() + "/correction", Map.of("why", "nobody tried it"));
        assertThat(line(job, "Struck: on arrival, plays: failed").get("words").asString())
                .endsWith("Why: nobody tried it");
        JsonNode checks = shop.sheet(job).body().get("checks");
        assertThat(checks).allMatch(row -> row.has("struckWhy")).hasSize(2);
        assertThat(client.post("/api/checks/999999/correction", Map.of("why", "x"))
                        .status())
                .isEqualTo(404);
        assertThat(client.post("/api/checks/" + check + "/correction", Map.of("why", " "))
                        .field())
                .isEqualTo("why");
    }

    @Test
    void aFindingIsCorrectedAndItsPartGoesBackToTheDrawer() {
        long job = shop.takenIn();
        long finding = shop.finding(job, "slack", "REPLACED", shop.part).id();
        int left = stock();
        Map<String, Object> instead = body("component", "belt", "wrong", "tar", "remedy", "CLEANED", "remark", "");
        Client.Answer corrected = client.post(
                "/api/findings/" + finding + "/correction", body("why", "it was only dirty", "instead", instead));
        assertThat(corrected.status()).isEqualTo(200);
        assertThat(stock()).as("the part is back").isEqualTo(left + 1);
        assertThat(line(job, "Found: belt, slack").get("struckWhy").asString()).isEqualTo("it was only dirty");
        assertThat(line(job, "Corrected to: belt, tar").has("struckWhy")).isFalse();
        client.post("/api/findings/" + corrected.id() + "/correction", Map.of("why", "wrong unit"));
        assertThat(shop.sheet(job).body().get("findings")).allMatch(row -> row.has("struckWhy"));
        assertThat(stock()).isEqualTo(left + 1);
    }

    private static int stock() {
        JsonNode parts = client.get("/api/parts").body();
        return StreamSupport.stream(parts.spliterator(), false)
                .filter(part -> part.get("id").asLong() == shop.part)
                .findFirst()
                .orElseThrow()
                .get("count")
                .asInt();
    }

    @Test
    void aLookIsStruckAndStandsInTheStoryOnly() {
        long job = shop.takenIn();
        long look = shop.look(job);
        JsonNode evidence = client.get("/api/jobs/" + job + "/evidence").body();
        assertThat(evidence.toString()).contains("springs back");
        assertThat(client.delete("/api/jobs/" + job + "/looks/" + look).status())
                .isEqualTo(200);
        assertThat(client.get("/api/jobs/" + job + "/evidence").body().toString())
                .doesNotContain("springs back");
        assertThat(client.delete("/api/jobs/" + job + "/looks/" + look).status())
                .as("it is struck already")
                .isIn(404, 409, 412);
        assertThat(story(job).toString()).contains("springs back");
    }

    @Test
    void whatWasSaidAtTheCounterIsCorrectedBySeenVersionOnly() {
        long job = shop.takenIn();
        JsonNode sheet = shop.sheet(job).body();
        long version = sheet.get("job").get("version").asLong();
        Map<String, Object> said = body(
                "serial",
                "SN 7",
                "revisionId",
                shop.revision,
                "arrival",
                body("complaint", "does nothing at all", "symptoms", List.of(Map.of("name", "hums", "present", true))));
        assertThat(client.put("/api/jobs/" + job + "/arrival", version, said).status())
                .isEqualTo(200);
        JsonNode after = shop.sheet(job).body();
        assertThat(after.get("job").get("brought").get("complaint").asString()).isEqualTo("does nothing at all");
        assertThat(after.get("job").get("unit").get("serial").asString()).isEqualTo("SN 7");
        Client.Answer stale = client.put("/api/jobs/" + job + "/arrival", version, said);
        assertThat(stale.status()).isEqualTo(412);
        assertThat(stale.body().get("current").get("version").asLong()).isGreaterThan(version);
        assertThat(client.send("PUT", "/api/jobs/" + job + "/arrival", Map.of(), said)
                        .status())
                .as("who does not say what was seen changes nothing")
                .isEqualTo(428);
    }
}
