package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wrenchnotes.server.Client.body;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Past jobs from a spreadsheet: looked through before anything is taken, counted while its one row says so. */
@Tag("shop")
class BroughtOverHttpTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty();

    private static Client lead;

    @BeforeAll
    static void first() {
        lead = SHOP.client().asFirstLead();
    }

    /** Of four that take no disc, three had a worn belt; one row in six cannot be read. */
    static String jobs(int rows) {
        StringBuilder csv = new StringBuilder("Date;Customer;Model;Complaint;Fault;Repair;Part;Cost;Result\n");
        for (int n = 0; n < rows; n++) {
            boolean belt = n % 4 != 3;
            csv.append("%02d.%02d.20%02d;Fröhlich;Cormorant Tide 4;%s;%s;%s;%s;%s;%s\n"
                    .formatted(
                            1 + n % 28,
                            1 + n % 12,
                            10 + n % 10,
                            "takes no disc",
                            belt ? "belt worn" : "lens dirty",
                            belt ? "new one" : "cleaned",
                            belt ? "belt 60" : "",
                            belt ? "4,50" : "",
                            "repaired"));
        }
        return csv.toString();
    }

    private JsonNode read(String csv, Charset charset) {
        Client.Answer read = lead.postBytes("/api/brought?name=jobs.csv", csv.getBytes(charset));
        assertThat(read.status()).as(read.body().toString()).isEqualTo(201);
        return read.body();
    }

    private JsonNode rows(long list) {
        return lead.get("/api/brought/" + list + "/rows").body();
    }

    private JsonNode whenItStands(long list) throws InterruptedException {
        for (int n = 0; n < 600; n++) {
            JsonNode now = lead.get("/api/brought/" + list).body();
            if (!now.get("state").asString().equals("GOING")) {
                return now;
            }
            Thread.sleep(50);
        }
        throw new IllegalStateException("It goes on and on");
    }

    /** How often a fault is said to have been found on the model, as the patterns tell it. */
    private String patterns() {
        return lead.get("/api/patterns?months=240").body().get("faults").toString();
    }

    @Test
    void aListIsLookedThroughTakenCountedAndUndone() throws Exception {
        String csv = jobs(48) + "never;;Cormorant Tide 4;;;;;;\n1.2.2012;;;;belt worn;did it;;much;so so\n";
        // Written by an older spreadsheet: an umlaut is one byte.
        long list = read(csv, Charset.forName("windows-1252")).get("id").asLong();
        JsonNode dry = rows(list);
        assertThat(dry.get("columns").size()).isEqualTo(9);
        assertThat(dry.get("good").asInt()).isEqualTo(48);
        assertThat(dry.get("wrong").asInt()).isEqualTo(2);
        assertThat(dry.get("first").get(0).get("job").get("owner").asString()).isEqualTo("Fröhlich");
        assertThat(dry.get("bad").get(1).get("wrong").size()).isEqualTo(4);
        assertThat(dry.get("newModels").toString()).isEqualTo("[\"Cormorant Tide 4\"]");
        assertThat(lead.get("/api/models").body().size())
                .as("nothing is made yet")
                .isZero();

        assertThat(lead.post("/api/brought/" + list + "/start", "").status()).isEqualTo(200);
        assertThat(whenItStands(list).get("state").asString()).isEqualTo("DONE");
        assertThat(lead.get("/api/models")
                        .body()
                        .get(0)
                        .get("model")
                        .get("name")
                        .asString())
                .isEqualTo("Tide 4");
        String counted = patterns();
        assertThat(counted).contains("worn").contains("dirty");
        assertThat(lead.post("/api/brought/" + list + "/start", "").status())
                .as("not taken twice")
                .isEqualTo(409);

        assertThat(lead.post("/api/brought/" + list + "/undo", "").status()).isEqualTo(200);
        assertThat(patterns()).doesNotContain("worn");
        assertThat(lead.post("/api/brought/" + list + "/start", "").status()).isEqualTo(200);
        assertThat(whenItStands(list).get("state").asString()).isEqualTo("DONE");
        assertThat(patterns()).isEqualTo(counted);
        theOddsLearnedFromIt();
    }

    /** What it teaches: three of four units of the model that say so had the belt. */
    private static void theOddsLearnedFromIt() {
        long revision = lead.get("/api/models")
                .body()
                .get(0)
                .get("revisions")
                .get(0)
                .get("id")
                .asLong();
        JsonNode odds = lead.get("/api/revisions/" + revision + "/outlook?present=takes+no+disc")
                .body()
                .get("odds");
        assertThat(odds.get("ofRevision").asInt()).isEqualTo(48);
        JsonNode belt = odds.get("faults").get(0);
        assertThat(belt.toString()).as("the likeliest").contains("\"belt\"").contains("\"worn\"");
        assertThat(belt.get("probability").asDouble()).as(odds.toString()).isCloseTo(0.75, within(0.1));
    }

    @Test
    void whatIsNoTableIsRefusedAndColumnsAreSaidByHand() {
        assertThat(lead.postBytes("/api/brought?name=x", "hello".getBytes(StandardCharsets.UTF_8))
                        .status())
                .isEqualTo(400);
        long list = read(
                        "when,what,of\n2020-01-02,belt worn,Tide 4\n2020-01-03,lens dirty,Tide 4\n",
                        StandardCharsets.UTF_8)
                .get("id")
                .asLong();
        assertThat(rows(list).get("unsettled").asString()).contains("model");
        assertThat(lead.post("/api/brought/" + list + "/start", "").status()).isEqualTo(400);
        Map<String, Object> said = body("columns", Map.of("DATE", 0, "MODEL", 2), "kind", "PLAYER");
        assertThat(lead.send("PUT", "/api/brought/" + list + "/columns", Map.of(), said)
                        .status())
                .isEqualTo(200);
        assertThat(rows(list).get("good").asInt()).isEqualTo(2);
        Map<String, Object> far = body("columns", Map.of("DATE", 0, "MODEL", 9), "kind", "PLAYER");
        assertThat(lead.send("PUT", "/api/brought/" + list + "/columns", Map.of(), far)
                        .status())
                .isEqualTo(400);
    }
}
