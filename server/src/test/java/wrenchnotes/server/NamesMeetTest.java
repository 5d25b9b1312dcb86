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

/** Names, other names and shipped words are one vocabulary, and nothing that was said is rewritten for it. */
@Tag("shop")
class NamesMeetTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty();

    private static Client client;
    private static SmallShop shop;

    @BeforeAll
    static void open() {
        client = SHOP.client().asFirstLead();
        shop = new SmallShop(client);
        JsonNode belt = component();
        client.put(
                "/api/components/" + shop.belt,
                belt.get("version").asLong(),
                body("name", "tray band", "aliases", List.of("belt")));
    }

    private static JsonNode component() {
        return client.get("/api/models/" + shop.model).body().get("components").values().stream()
                .filter(one -> one.get("id").asLong() == shop.belt)
                .findFirst()
                .orElseThrow();
    }

    private static void mended(int times, String wrong) {
        for (int n = 0; n < times; n++) {
            long job = shop.takenIn();
            client.post(
                    "/api/jobs/" + job + "/findings",
                    body("component", "tray band", "wrong", wrong, "remedy", "CLEANED", "remark", ""));
            shop.in(job, "lid");
            shop.leaves(job);
        }
    }

    /** "tray band" and the shipped "belt" stood beside one another, and each took of the other's odds. */
    @Test
    void aComponentAndTheShippedWordForItAreOne() {
        mended(3, "slack");
        List<String> told = odds();
        assertThat(told).contains("tray band: slack").doesNotContain("belt: slack");

        mended(2, "Tar");
        assertThat(count("tray band", "slack")).isEqualTo(3);
        assertThat(client.post("/api/wrong-words/merge", body("word", "tar", "into", "slack"))
                        .status())
                .isEqualTo(200);
        assertThat(count("tray band", "slack")).as("counted together").isEqualTo(5);
        assertThat(odds()).doesNotContain("tray band: tar");
        assertThat(client.get("/api/models/" + shop.model).body().get("faults").values())
                .as("what was said stays as it was said")
                .extracting(fault -> fault.get("wrong").asString())
                .contains("Tar");
        client.post("/api/wrong-words/split", Map.of("word", "Tar"));
        assertThat(count("tray band", "slack")).isEqualTo(3);
        assertThat(client.post("/api/wrong-words/merge", body("word", "tar", "into", "unheard of"))
                        .field())
                .isEqualTo("into");
    }

    private static JsonNode faults() {
        return shop.outlook("").get("odds").get("faults");
    }

    private static List<String> odds() {
        return faults().values().stream()
                .map(one -> one.get("fault").get("component").asString() + ": "
                        + one.get("fault").get("wrong").asString())
                .toList();
    }

    private static int count(String component, String wrong) {
        return faults().values().stream()
                .filter(one -> one.get("fault").get("component").asString().equals(component)
                        && one.get("fault").get("wrong").asString().equalsIgnoreCase(wrong))
                .mapToInt(one -> one.get("behind").get("count").asInt())
                .findFirst()
                .orElse(0);
    }
}
