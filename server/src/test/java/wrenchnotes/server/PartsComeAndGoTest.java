package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** How parts come into the drawers by a list, what is stuck on them, and which of them must not leave. */
@Tag("shop")
class PartsComeAndGoTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty();

    private static Client client;
    private static SmallShop shop;

    @BeforeAll
    static void open() {
        client = SHOP.client().asFirstLead();
        shop = new SmallShop(client);
    }

    /** A list comes in whole, without the rows that cannot be read; what left here comes back as known. */
    @Test
    void aListOfPartsIsLookedThroughAndThenTakenIn() {
        String list = """
                Drawer;Part;What it is;Left;Cost of one;Supplier number;Pack;Least
                71;belt 53 × 1.2 square;;12;1,45;SQ-53;5;3
                71;fuse T2A 5 × 20;250 V, glass;8;0,22;;;
                71;;nameless;1;1;;;
                71;gear 9 teeth;;many;0,50;;;
                71;belt 53 x 1.2 round;;1;dear;;;
                71;fuse T2A 5 × 20;;1;1;;;
                """;
        byte[] bytes = list.getBytes(StandardCharsets.UTF_8);
        JsonNode seen = client.postBytes("/api/parts/list", bytes).body();
        assertThat(List.of(
                        seen.get("rows").asInt(),
                        seen.get("fresh").asInt(),
                        seen.get("wrong").asInt()))
                .containsExactly(6, 2, 4);
        assertThat(seen.get("refused").toString())
                .contains("No part is said", "is no count from 0", "No price", "stands twice", "\"row\":7");
        assertThat(client.get("/api/drawers/one?drawer=71").body().size())
                .as("only looked through")
                .isZero();
        JsonNode taken = client.postBytes("/api/parts/list?take=true", bytes).body();
        assertThat(taken.get("known").asInt()).isEqualTo(2);
        JsonNode belt = client.get("/api/drawers/one?drawer=71").body().get(0).get("part");
        assertThat(belt.get("count").asInt()).isEqualTo(12);
        assertThat(belt.get("eachMinor").asLong()).isEqualTo(145);
        assertThat(belt.get("spec").get("figures").get("CIRCUMFERENCE").asDouble())
                .isEqualTo(53);
        assertThat(belt.get("care").get("minimum").asInt()).isEqualTo(3);
        byte[] own = client.bytes("/api/parts/table.csv");
        JsonNode back = client.postBytes("/api/parts/list", own).body();
        assertThat(back.get("fresh").asInt()).isZero();
        assertThat(back.get("wrong").asInt()).as(back.toString()).isZero();
        assertThat(client.postBytes("/api/parts/list", "a,b\n1,2\n".getBytes(StandardCharsets.UTF_8))
                        .detail())
                .contains("drawer", "part");
    }

    /** A scanner reads off a label what opens the part, or the drawer. */
    @Test
    void labelsAreReadByAScanner() {
        long part = client.post(
                        "/api/parts",
                        body("drawer", "72", "name", "lamp 12 V 50 mA", "what", "", "eachMinor", 35, "count", 2))
                .id();
        byte[] label = client.bytes("/api/parts/" + part + "/label.pdf");
        assertThat(PaperRead.scanned(label)).isEqualTo("P" + part);
        assertThat(PaperRead.text(label)).contains("lamp 12 V 50 mA", "drawer 72");
        byte[] drawer = client.bytes("/api/drawers/labels.pdf?drawer=72");
        assertThat(PaperRead.scanned(drawer)).isEqualTo("D:72");
        assertThat(PaperRead.text(drawer)).contains("72 lamp", "P" + part);
        assertThat(client.get("/api/drawers/labels.pdf?drawer=none").status()).isEqualTo(404);
    }

    /** What is for a test only says so on the job, and keeps its unit in the shop until it is out again. */
    @Test
    void aPartForTestsOnlyKeepsItsUnitHere() {
        Map<String, Object> care = body("place", "", "supplierNumber", "", "pack", 1, "gone", false, "temporary", true);
        long board = client.post(
                        "/api/parts",
                        body(
                                "drawer",
                                "73",
                                "name",
                                "supply board, ours",
                                "what",
                                "",
                                "eachMinor",
                                0,
                                "count",
                                1,
                                "care",
                                care))
                .id();
        long job = shop.takenIn();
        long found = shop.finding(job, "slack", "REPLACED", board).id();
        JsonNode sheet = shop.sheet(job).body();
        assertThat(sheet.get("parts").get(0).get("marks").toString()).contains("for a test only");
        assertThat(sheet.get("inTheWay").toString()).contains("must not leave the shop: supply board, ours");
        assertThat(client.post("/api/jobs/" + job + "/handover", "").detail()).contains("supply board, ours");
        client.post("/api/findings/" + found + "/correction", Map.of("why", "out again"));
        assertThat(shop.sheet(job).body().get("inTheWay").toString()).doesNotContain("supply board");
    }
}
