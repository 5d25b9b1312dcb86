package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Teardowns out of the demo shop and back into it. */
@Tag("shop")
class ExchangeTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.withDemo();

    private static Client client;

    @BeforeAll
    static void signIn() {
        client = SHOP.client().signedIn("ines", "quay");
    }

    @Test
    void aRoundTripLosesNothing() {
        for (JsonNode view : client.get("/api/models").body().values()) {
            for (JsonNode revision : view.get("revisions").values()) {
                String text = client.text("/api/revisions/" + revision.get("id").asLong() + "/export.json");
                // Into a model of another maker, so that everything has to be made anew.
                String elsewhere = text.replaceFirst("\"maker\" : \"[^\"]+\"", "\"maker\" : \"Elsewhere\"");
                Client.Answer taken = client.post("/api/import/teardown", elsewhere);
                assertThat(taken.status()).as(taken.body().toString()).isEqualTo(201);
                String back = client.text(
                        "/api/revisions/" + taken.body().get("revisionId").asLong() + "/export.json");
                assertThat(back).isEqualTo(elsewhere);
            }
        }
    }

    /** What is not known is left out of the file, and is not known in the shop that takes it in either. */
    @Test
    void whatIsNotKnownStaysSo() {
        String known = client.text("/api/revisions/1/export.json").replaceFirst("\"Q2\"", "\"Q8\"");
        String open = known.replaceAll("\"(head|thread|finish)\" : \"[A-Z_]+\",\\s*", "")
                .replaceAll("\"(diameterMm|lengthMm)\" : [\\d.]+,\\s*", "")
                .replaceAll("\"count\" : \\d+,\\s*", "");
        assertThat(open).isNotEqualTo(known);
        Client.Answer taken = client.post("/api/import/teardown", open);
        assertThat(taken.status()).as(taken.body().toString()).isEqualTo(201);
        long revision = taken.body().get("revisionId").asLong();
        JsonNode group = client.get("/api/revisions/" + revision + "/teardown")
                .body()
                .get("steps")
                .valueStream()
                .flatMap(step -> step.get("fasteners").valueStream())
                .findFirst()
                .orElseThrow();
        assertThat(group.has("head") || group.has("count") || group.has("lengthMm"))
                .isFalse();
        assertThat(JsonMapper.shared().readTree(client.text("/api/revisions/" + revision + "/export.json")))
                .isEqualTo(JsonMapper.shared().readTree(open));
    }

    @Test
    void aWrongFileIsRefusedAsAWholeWithLineAndReason() {
        JdbcClient jdbc = SHOP.bean(JdbcClient.class);
        long models = jdbc.sql("SELECT COUNT(*) FROM model").query(Long.class).single();
        String good = client.text("/api/revisions/1/export.json").replaceFirst("\"Q2\"", "\"Q9\"");
        refused(good.replaceFirst("\"count\" : \\d+", "\"count\" : -3"), "line ", "count");
        refused(good.replaceFirst("\"minutes\" : [\\d.]+", "\"minutes\" : \"three\""), "minutes", "line ");
        refused(good.replaceFirst("\"side\"", "\"wrong way up\""), "wrong way up");
        refused(good.substring(0, good.length() / 2), "not JSON", "line ");
        refused(good.replaceFirst("\"needs\" : \\[ \"foot\" \\]", "\"needs\" : [ \"nowhere\" ]"), "nowhere");
        refused("[]", "object");
        assertThat(jdbc.sql("SELECT COUNT(*) FROM model").query(Long.class).single())
                .isEqualTo(models);
    }

    private static void refused(String file, String... words) {
        Client.Answer answer = client.post("/api/import/teardown", file);
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(400);
        assertThat(answer.detail()).contains(words);
    }

    /** Types and properties as https://schema.org/HowTo, HowToStep, HowToTip and HowToTool have them (published). */
    @Test
    void otherSoftwareCanReadTheHowTo() {
        JsonNode howTo = JsonMapper.shared().readTree(client.text("/api/revisions/2/export.jsonld"));
        assertThat(howTo.get("@context").asString()).isEqualTo("https://schema.org");
        assertThat(howTo.get("@type").asString()).isEqualTo("HowTo");
        assertThat(howTo.get("totalTime").asString()).matches("PT(\\d+H)?(\\d+M)?(\\d+S)?");
        assertThat(howTo.get("tool").values())
                .allMatch(tool -> tool.get("@type").asString().equals("HowToTool"))
                .anyMatch(tool -> tool.get("name").asString().equals("side cutter"));
        JsonNode first = howTo.get("step").get(0);
        assertThat(first.get("@type").asString()).isEqualTo("HowToStep");
        assertThat(first.get("itemListElement").get(0).get("@type").asString()).isEqualTo("HowToTip");
        assertThat(first.get("itemListElement").get(0).get("text").asString()).contains("Unplug");
    }

    /** CommonMark 0.31.2, 2.4: what is escaped by a backslash is itself. */
    @Test
    void wordsOfTheNotesAreWordsInTheMarkdown() {
        String file = client.text("/api/revisions/2/export.json")
                .replaceFirst("\"Q2\"", "\"Q8\"")
                .replaceFirst("\"title\" : \"[^\"]*\"", "\"title\" : \"<b>Lid</b> [a](b) *off*\"");
        long revision = client.post("/api/import/teardown", file)
                .body()
                .get("revisionId")
                .asLong();
        assertThat(client.text("/api/revisions/" + revision + "/export.md"))
                .contains("\\<b\\>Lid\\</b\\> \\[a\\](b) \\*off\\*")
                .doesNotContain("<b>");
    }

    @Test
    void peopleCanReadTheMarkdown() {
        assertThat(client.text("/api/revisions/2/export.md"))
                .startsWith("# Quistral Q2, revision B\n")
                .contains("**Mind:** Mains inside.")
                .contains("- Off: foot plate rivets: 6 rivet, 3 × 5 mm, black")
                .contains("- Needs first: any of “foot plate”")
                .contains("- Can be undone: no");
    }
}
