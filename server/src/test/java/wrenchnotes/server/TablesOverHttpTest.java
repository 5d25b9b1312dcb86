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
import tools.jackson.databind.node.ObjectNode;

/** Tables as files: RFC 4180 (lines end in CRLF, a quote within quotes is doubled), in the shop's own numbers and days. */
@Tag("shop")
class TablesOverHttpTest {

    private static final String TABS = "text/tab-separated-values";

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty();

    private static Client client;
    private static SmallShop shop;

    @BeforeAll
    static void aShop() {
        client = SHOP.client().asFirstLead();
        shop = new SmallShop(client);
        part("9", "belt \"flat\", 5 × 0,6", "Ιμάντας; 2 lines\nof words", 1250);
        part("91", "=HYPERLINK(\"x\")", "-1+1", 0);
    }

    private static void part(String drawer, String name, String what, int each) {
        assertThat(client.post(
                                "/api/parts",
                                body("drawer", drawer, "name", name, "what", what, "eachMinor", each, "count", 3))
                        .status())
                .isEqualTo(201);
    }

    private static void writes(String decimal, String dates) {
        JsonNode now = client.get("/api/shop").body();
        ObjectNode settings = (ObjectNode) now.get("settings");
        settings.put("decimal", decimal).put("dates", dates).put("zone", "Europe/Lisbon");
        assertThat(client.put("/api/shop", now.get("version").asLong(), settings)
                        .status())
                .isEqualTo(200);
    }

    @Test
    void partsAreWrittenAsTheShopWritesNumbers() {
        writes("POINT", "DAY_FIRST");
        assertThat(client.text("/api/parts/table.csv"))
                .startsWith(
                        "\uFEFFdrawer,part,what it is,kind,as read,left,promised,cost of one,supplier's number,pack,least,place\r\n")
                .contains(
                        "9,\"belt \"\"flat\"\", 5 × 0,6\",\"Ιμάντας; 2 lines\nof words\",belt,flat,3,0,12.50,,1,,\r\n")
                // What a spreadsheet would take for a formula is words.
                .contains("91,\"'=HYPERLINK(\"\"x\"\")\",'-1+1,,,3,0,0.00,,1,,\r\n");
        writes("COMMA", "DAY_FIRST");
        assertThat(client.text("/api/parts/table.csv"))
                .startsWith(
                        "\uFEFFdrawer;part;what it is;kind;as read;left;promised;cost of one;supplier's number;pack;least;place\r\n")
                .contains(
                        "9;\"belt \"\"flat\"\", 5 × 0,6\";\"Ιμάντας; 2 lines\nof words\";belt;flat;3;0;12,50;;1;;\r\n");
        assertThat(client.text("/api/parts/table.csv", TABS))
                .startsWith(
                        "drawer\tpart\twhat it is\tkind\tas read\tleft\tpromised\tcost of one\tsupplier's number\tpack\tleast\tplace\r\n")
                .contains("\t3\t0\t12,50\t\t1\t\t\r\n");
    }

    @Test
    void daysAreWrittenInTheShopsOrder() {
        long job = SmallShop.taken(client.post("/api/jobs", shop.coming()));
        String today = client.get("/api/jobs/" + job)
                .body()
                .get("job")
                .get("brought")
                .get("checkedInAt")
                .asString()
                .substring(0, 10);
        String[] parts = today.split("-");
        Map<String, String> orders = Map.of(
                "DAY_FIRST", parts[2] + "/" + parts[1] + "/" + parts[0],
                "MONTH_FIRST", parts[1] + "/" + parts[2] + "/" + parts[0],
                "YEAR_FIRST", today);
        orders.forEach((order, written) -> {
            writes("POINT", order);
            assertThat(client.text("/api/jobs/" + job + "/story/table.csv"))
                    .contains("\r\n" + written + " ")
                    .contains(",lead,\"Taken in: Cormorant Works Tide ");
        });
    }

    /** Every table that a screen shows is there, with a line for each of its rows. */
    @Test
    void everyTableLeaves() {
        long job = SmallShop.taken(client.post("/api/jobs", shop.coming()));
        client.post(
                "/api/jobs/" + job + "/tries",
                body(
                        "down", List.of(Map.of("name", "disc one", "whole", false)),
                        "across", List.of(Map.of("name", "this unit", "whole", true)),
                        "tries", List.of(Map.of("down", 0, "across", 0, "good", false))));
        for (String path : List.of(
                "/api/rack/table.csv",
                "/api/patterns/table.csv?months=18&ownership=CUSTOMER",
                "/api/patterns/repairs.csv",
                "/api/parts/table.csv",
                "/api/jobs/" + job + "/story/table.csv",
                "/api/jobs/" + job + "/tries/table.csv",
                "/api/jobs/" + job + "/measurements/table.csv")) {
            String table = client.text(path, TABS);
            int columns = table.lines().findFirst().orElseThrow().split("\t", -1).length;
            assertThat(table.lines())
                    .as(path)
                    .allMatch(line -> line.split("\t", -1).length == columns || path.contains("parts"));
        }
        assertThat(client.text("/api/jobs/" + job + "/tries/table.csv", TABS)).contains("disc one\tthis unit\tno");
        assertThat(client.text("/api/rack/table.csv", TABS)).contains("Harbour choir\t");
    }
}
