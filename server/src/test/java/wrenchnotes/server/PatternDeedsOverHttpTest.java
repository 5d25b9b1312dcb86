package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import wrenchnotes.server.ground.DataFolder;

/** From pattern to deed in the demo shop: watch points, proposals, what a remedy costs over its term, the month's page, and open data. */
@Tag("shop")
class PatternDeedsOverHttpTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.withDemo();

    private final Client ines = SHOP.client().signedIn("ines", "quay");

    private String notes(String revision) {
        return SHOP.bean(JdbcClient.class)
                .sql("SELECT overview FROM teardown WHERE revision_id = :revision ORDER BY number DESC LIMIT 1")
                .param("revision", Long.valueOf(revision.substring(revision.lastIndexOf('/') + 1)))
                .query(String.class)
                .single();
    }

    private static Map<String, Object> word(JsonNode one, String word) {
        return body(
                "revisionId",
                one.get("revisionId").asLong(),
                "componentId",
                one.get("componentId").asLong(),
                "word",
                word,
                "words",
                one.get("words").asString());
    }

    /** Proposed with figures, accepted it stands in the notes, looking is counted, and it can end; a bench does not decide. */
    @Test
    void aWatchPointIsEarnedStandsAndEnds() {
        JsonNode earned = ines.get("/api/patterns/watch").body().get("earned").get(0);
        assertThat(earned.get("events").asInt()).isGreaterThanOrEqualTo(5);
        assertThat(earned.get("leastMinor").asLong()).isPositive();
        String revision = "/api/revisions/" + earned.get("revisionId").asLong();
        Client tobias = SHOP.client().signedIn("tobias", "quay");
        assertThat(tobias.post("/api/patterns/watch", word(earned, "STANDS")).status())
                .isEqualTo(403);
        assertThat(ines.post("/api/patterns/watch", word(earned, "STANDS")).status())
                .isEqualTo(201);
        assertThat(notes(revision)).contains(earned.get("words").asString());
        JsonNode seen = ines.get("/api/patterns/watch").body();
        assertThat(seen.get("earned").toString())
                .doesNotContain(earned.get("words").asString());
        JsonNode stands = seen.get("standing").get(0);
        assertThat(stands.get("looked").asInt()).isZero();
        long job = SHOP.bean(JdbcClient.class)
                .sql("SELECT MAX(id) FROM job WHERE revision_id = :revision AND handed_over_at IS NULL")
                .param("revision", earned.get("revisionId").asLong())
                .query(Long.class)
                .single();
        // As if it had come in after the word was said.
        SHOP.bean(JdbcClient.class)
                .sql("UPDATE job SET checked_in_at = (SELECT MAX(at) FROM watch_word) + 1 WHERE id = :job")
                .param("job", job)
                .update();
        SHOP.bean(JdbcClient.class)
                .sql("""
                        INSERT INTO component_look (job_id, component_id, good, means, at, by)
                        VALUES (:job, :component, 1, 'LOOKED', 1, 1)
                        """)
                .param("job", job)
                .param("component", earned.get("componentId").asLong())
                .update();
        stands = ines.get("/api/patterns/watch").body().get("standing").get(0);
        assertThat(stands.get("looked").asInt()).isEqualTo(1);
        assertThat(stands.get("found").asInt()).isZero();
        assertThat(ines.post("/api/patterns/watch", word(stands, "ENDED")).status())
                .isEqualTo(201);
        assertThat(notes(revision)).doesNotContain(earned.get("words").asString());
        assertThat(ines.post("/api/patterns/watch", word(earned, "STANDS")).status())
                .as("it was ended: the figures do not propose it again")
                .isEqualTo(409);
    }

    /** What the jobs say of a step waits as a proposal, once. */
    @Test
    void whatTheJobsSayOfAStepIsProposedOnce() {
        String worth = null;
        JsonNode steps = null;
        for (long revision = 1; revision <= 12 && worth == null; revision++) {
            Client.Answer answer = ines.get("/api/revisions/" + revision + "/worth-correcting");
            if (answer.status() == 200 && answer.body().size() > 0) {
                worth = "/api/revisions/" + revision;
                steps = answer.body();
            }
        }
        assertThat(steps)
                .as("some step of the demo takes longer than its notes say")
                .isNotNull();
        String step = steps.get(0).get("step").asString();
        assertThat(steps.toString()).doesNotContain("rivets not all there");
        assertThat(ines.post(worth + "/worth-correcting", body("step", step)).status())
                .isEqualTo(201);
        assertThat(ines.get(worth + "/proposals").body().toString())
                .contains(steps.get(0).get("why").asString());
        assertThat(ines.get(worth + "/worth-correcting")
                        .body()
                        .get(0)
                        .get("waits")
                        .asBoolean())
                .isTrue();
        assertThat(ines.post(worth + "/worth-correcting", body("step", step)).status())
                .isEqualTo(409);
        assertThat(ines.post(worth + "/worth-correcting", body("step", "no such step"))
                        .status())
                .isEqualTo(409);
    }

    @Test
    void atTheFindingEachRemedyHasItsTerm() {
        JsonNode belt = ines.get("/api/patterns?component=drawer%20belt")
                .body()
                .get("faults")
                .get(0);
        long component = SHOP.bean(JdbcClient.class)
                .sql("SELECT component_id FROM fault WHERE id = :id")
                .param("id", belt.get("faultId").asLong())
                .query(Long.class)
                .single();
        JsonNode told = ines.get("/api/patterns/remedies?wrong=slack&component=" + component)
                .body();
        assertThat(told.get("termDays").asInt()).isEqualTo(183);
        JsonNode replaced = told.get("remedies").get(0);
        assertThat(replaced.get("remedy").asString()).isEqualTo("REPLACED");
        assertThat(replaced.get("cheapest").asBoolean()).isTrue();
        assertThat(told.get("remedies").get(1).get("termMinor").asLong())
                .isGreaterThan(replaced.get("termMinor").asLong());
        assertThat(ines.get("/api/patterns/remedies?wrong=never&component=" + component)
                        .body()
                        .get("remedies")
                        .size())
                .isZero();
        assertThat(ines.get("/api/patterns/remedies?wrong=x&component=987654").status())
                .isEqualTo(404);
    }

    @Test
    void theMonthIsOnePageOnScreenOnPaperAndInTheOutbox() throws Exception {
        JsonNode month = ines.get("/api/patterns/month").body();
        assertThat(month.get("sections").values().stream()
                        .map(section -> section.get("title").asString()))
                .hasSize(7)
                .contains("What rose", "What came back", "Our own doing", "Money by kind of work");
        JsonNode warranties = month.get("sections").get(6).get("rows");
        assertThat(warranties.get(0).get("words").asString()).isEqualTo("repairs whose warranty runs");
        assertThat(Integer.parseInt(warranties.get(0).get("now").asString()))
                .as("what went out in the last half year, and more than one finding of some")
                .isBetween(20, handedOverWithinHalfAYear());
        assertThat(warranties.get(1).get("now").asString()).matches("EUR .*[1-9].*");
        JdbcClient jdbc = SHOP.bean(JdbcClient.class);
        int handedOver = jdbc.sql("""
                        SELECT COUNT(*) FROM job
                        WHERE STRFTIME('%Y-%m', handed_over_at / 1000, 'unixepoch', 'localtime') = :month
                        """)
                .param("month", month.get("month").asString())
                .query(Integer.class)
                .single();
        JsonNode went = month.get("sections").get(0).get("rows").get(1);
        assertThat(went.get("words").asString()).isEqualTo("handed over");
        assertThat(went.get("now").asString()).isEqualTo("" + handedOver);
        byte[] paper = ines.bytes("/api/patterns/month.pdf");
        try (var document = Loader.loadPDF(paper)) {
            assertThat(document.getNumberOfPages()).isEqualTo(1);
            assertThat(new PDFTextStripper().getText(document))
                    .contains(month.get("title").asString(), "fan bearing, dry", "rising");
        }
        assertThat(ines.post(
                                "/api/patterns/month/letter",
                                body("month", month.get("month").asString(), "to", "owner@quayside.example"))
                        .status())
                .isEqualTo(201);
        Path outbox = SHOP.bean(DataFolder.class).path().resolve("outbox");
        try (Stream<Path> letters = Files.list(outbox)) {
            assertThat(letters.map(PatternDeedsOverHttpTest::read))
                    .anyMatch(letter -> letter.contains("owner@quayside.example") && letter.contains(".pdf"));
        }
        for (String wrong : List.of("October", "2026-13", "2999-01")) {
            assertThat(ines.get("/api/patterns/month?month=" + wrong).status())
                    .as(wrong)
                    .isEqualTo(400);
        }
    }

    /** Findings of faults in what went out within half a year before this month began. */
    private static int handedOverWithinHalfAYear() {
        return SHOP.bean(JdbcClient.class).sql("""
                        SELECT COUNT(*) FROM job JOIN finding ON finding.job_id = job.id
                        WHERE struck_at IS NULL AND kind IN ('FAULT', 'OURS')
                          AND COALESCE((SELECT MAX(at) FROM sale WHERE sale.job_id = job.id), handed_over_at) / 1000
                              BETWEEN UNIXEPOCH('now', 'start of month', '-184 days') AND UNIXEPOCH('now', 'start of month', '+1 days')
                        """).query(Integer.class).single();
    }

    private static String read(Path letter) {
        try {
            return Files.readString(letter);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A line for each job that left, and nobody's name on any. */
    @Test
    void repairsLeaveAsOpenDataWithoutNames() {
        String table = ines.text("/api/patterns/repairs.csv");
        JdbcClient jdbc = SHOP.bean(JdbcClient.class);
        int left = jdbc.sql("SELECT COUNT(*) FROM job WHERE handed_over_at IS NOT NULL")
                .query(Integer.class)
                .single();
        assertThat(table.lines().count()).isEqualTo(left + 1);
        assertThat(table.lines().findFirst().orElseThrow())
                .contains("product_category", "brand", "repair_status", "spare_parts_needed", "problem");
        assertThat(table).contains("Fixed", "End of life", "capstan belt, worn");
        for (String name : jdbc.sql(
                        "SELECT name FROM owner UNION SELECT name FROM person UNION SELECT serial FROM unit WHERE serial <> ''")
                .query(String.class)
                .list()) {
            assertThat(table).doesNotContain(name);
        }
    }
}
