package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** What the room of patterns finds by itself in the demo shop, and that its doors take what is sent. */
@Tag("shop")
class PatternsOverHttpTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.withDemo();

    private static final String STAYS = """
            SELECT finding.revision_id, finding.fault_id, remedy, COUNT(*) AS done,
                   SUM(EXISTS (SELECT 1
                               FROM finding AS later JOIN job AS stay ON stay.id = later.job_id
                               WHERE later.unit_id = finding.unit_id AND later.component_id = finding.component_id
                                 AND later.job_id <> finding.job_id AND later.struck_at IS NULL
                                 AND later.kind IN ('FAULT', 'OURS')
                                 AND (stay.checked_in_at, stay.id) > (job.checked_in_at, job.id))) AS back
            FROM finding JOIN job ON job.id = finding.job_id
            WHERE struck_at IS NULL AND finding.kind = 'FAULT' AND failed = 0 AND remedy <> 'LEFT_AS_IT_IS'
              AND handed_over_at IS NOT NULL
            GROUP BY finding.revision_id, finding.fault_id, remedy
            """;

    private static Client ines() {
        return SHOP.client().signedIn("ines", "quay");
    }

    /** The months of a fault are the jobs that it is said to have. */
    @Test
    void eachFaultHasItsMonths() {
        JsonNode faults = ines().get("/api/patterns?months=18").body().get("faults");
        assertThat(faults.size()).isGreaterThan(20);
        for (JsonNode one : faults) {
            int jobs = one.get("byMonth").values().stream()
                    .mapToInt(JsonNode::asInt)
                    .sum();
            assertThat(one.get("byMonth").size()).isEqualTo(18);
            assertThat(jobs).isEqualTo(one.get("share").get("count").asInt());
        }
    }

    /** Measured: what was rising stood at row 31 of 31, and nothing told whose belts do not last. The demo's own two troubles are found by the room itself. */
    @Test
    void theShopFindsItsOwnTroubles() {
        JsonNode patterns = ines().get("/api/patterns?months=18").body();
        JsonNode first = patterns.get("faults").get(0);
        assertThat(first.get("component").asString()).isEqualTo("fan bearing");
        assertThat(first.get("rising").asBoolean()).isTrue();
        assertThat(first.get("q").asDouble()).isLessThan(0.05);
        assertThat(patterns.get("faults").values())
                .filteredOn(one -> one.get("rising").asBoolean())
                .hasSize(1);
        JsonNode narrowed = ines().get("/api/patterns?months=18&component=fan%20bearing&ownership=CUSTOMER")
                .body();
        assertThat(narrowed.get("faults").values())
                .allMatch(one -> one.get("component").asString().equals("fan bearing"));
        assertThat(narrowed.get("faults").get(0).get("rising").asBoolean()).isTrue();
        assertThat(patterns.get("batches")).hasSize(1);
        assertThat(patterns.get("batches").get(0).get("said").asString())
                .startsWith("Of parts from Ostervik components 6 of 9 came back; at the rate of all others");
    }

    /** The demo's revived belts last worse than its new ones, by its own curve and in one sentence; and each job behind it can be opened. */
    @Test
    void whatFailsAndWhatLastsIsToldApart() {
        Client client = ines();
        JsonNode belt = client.get("/api/patterns?component=drawer%20belt")
                .body()
                .get("faults")
                .get(0);
        String key = "on=" + belt.get("revisionId").asLong() + "&fault="
                + belt.get("faultId").asLong();
        JsonNode picked = client.get("/api/patterns/picked?" + key).body();
        assertThat(picked.get("differ").asBoolean()).isTrue();
        assertThat(picked.get("warranty").get("days").asInt()).isEqualTo(183);
        JsonNode jobs = client.get("/api/patterns/jobs?" + key).body();
        assertThat(jobs.get("all").asInt())
                .isEqualTo(belt.get("share").get("count").asInt());
        int[] byMonth = new int[18];
        jobs.get("jobs").values().forEach(job -> byMonth[job.get("month").asInt()]++);
        assertThat(belt.get("byMonth").values().stream().mapToInt(JsonNode::asInt))
                .containsExactly(box(byMonth));
        assertThat(client.get("/api/jobs/" + jobs.get("jobs").get(0).get("id").asLong())
                        .status())
                .isEqualTo(200);
        assertThat(client.get("/api/patterns?kind=TEAPOT").status()).isEqualTo(400);
        assertThat(client.get("/api/patterns?kind=TEAPOT").detail()).isEqualTo("kind cannot be TEAPOT");
        assertThat(client.get("/api/patterns?months=0").status()).isEqualTo(400);
        assertThat(client.get("/api/patterns/choices").body().get("suppliers").size())
                .isEqualTo(2);
    }

    private static Integer[] box(int[] of) {
        return Arrays.stream(of).boxed().toArray(Integer[]::new);
    }

    /** Each curve has as many stays and comebacks as the entries tell. */
    @Test
    void whatLastsIsReadFromTheEntries() {
        Client client = ines();
        Map<String, List<String>> expected = new TreeMap<>();
        SHOP.bean(JdbcClient.class).sql(STAYS).query(row -> {
            expected.computeIfAbsent(
                            "on=" + row.getLong("revision_id") + "&fault=" + row.getLong("fault_id"),
                            key -> new ArrayList<>())
                    .add(row.getString("remedy") + " " + row.getInt("done") + " " + row.getInt("back"));
        });
        assertThat(expected).hasSizeGreaterThan(15);
        expected.forEach((key, remedies) -> {
            List<String> told = client.get("/api/patterns/picked?" + key).body().get("remedies").values().stream()
                    .filter(one -> one.get("done").asInt() > 0)
                    .map(one ->
                            one.get("remedy").asString() + " " + one.get("done").asInt() + " "
                                    + one.get("cameBack").asInt())
                    .toList();
            assertThat(told).as(key).containsExactlyInAnyOrderElementsOf(remedies);
        });
    }

    @Test
    void theDoorsTakeWhatIsSent() {
        Client client = ines();
        Map<String, Object> stays = body(
                "name",
                "revived",
                "stays",
                List.of(body("days", 12, "cameBack", true), body("days", 100, "cameBack", false)));
        JsonNode survival = client.post(
                        "/api/patterns/survival", body("remedies", List.of(stays), "at", List.of(90, 183)))
                .body();
        JsonNode curve = survival.get("remedies").get(0);
        assertThat(curve.get("steps").get(0).get("survival").asDouble()).isEqualTo(0.5);
        assertThat(curve.get("medianDay").asDouble()).isEqualTo(12);
        assertThat(curve.get("at").get(0).has("beyond")).isFalse();
        assertThat(curve.get("at").get(1).get("beyond").asBoolean()).isTrue();
        assertThat(survival.has("logRank")).isFalse();
        JsonNode comebacks = client.post(
                        "/api/patterns/comebacks",
                        body("units", List.of(body("comebackDays", List.of(30, 95), "followedToDay", 400))))
                .body();
        assertThat(comebacks.get("steps").get(1).get("mean").asDouble()).isEqualTo(2);
        JsonNode rising = client.post(
                        "/api/patterns/rising",
                        body("rows", List.of(body("name", "latch", "jobs", List.of(9, 7), "faults", List.of(0, 1)))))
                .body();
        assertThat(rising.get("rows").get(0).get("method").asString()).isEqualTo("TREND");
        JsonNode warranty = client.post(
                        "/api/money/warranty",
                        body(
                                "warrantyDays",
                                183,
                                "remedies",
                                List.of(stays),
                                "units",
                                List.of(body("id", "WN-0231", "remedy", "revived", "ageDays", 0, "costMinor", 900))))
                .body();
        assertThat(warranty.get("reserveMinor").asDouble()).isEqualTo(450);
        for (String door : List.of("survival", "comebacks", "rising")) {
            assertThat(client.post("/api/patterns/" + door, body()).status())
                    .as(door)
                    .isEqualTo(400);
        }
        assertThat(client.post(
                                "/api/patterns/rising",
                                body("rows", List.of(body("name", "x", "jobs", List.of(1), "faults", List.of(2)))))
                        .status())
                .isEqualTo(400);
        assertThat(client.post("/api/money/warranty", body()).status()).isEqualTo(400);
    }
}
