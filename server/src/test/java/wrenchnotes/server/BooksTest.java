package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.quoted;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;
import wrenchnotes.server.ground.DataFolder;
import wrenchnotes.server.ground.PenResolver;
import wrenchnotes.server.ground.Soundness;

/** How the books are kept: in the order of writing, each write once, and with nothing in them that must be forgotten. */
@Tag("shop")
class BooksTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.with(new SetClock());

    private static Client client;
    private static SmallShop shop;
    private static JdbcClient jdbc;

    @BeforeAll
    static void aShop() {
        client = SHOP.client().asFirstLead();
        shop = new SmallShop(client);
        jdbc = SHOP.bean(JdbcClient.class);
    }

    @AfterEach
    void theClockIsRightAgain() {
        SetClock.HANDS.off(Duration.ZERO);
    }

    /** Measured before: set back three days, a newer pass was invisible and the unit could not be closed. */
    @Test
    void aClockSetBackChangesNoOrder() {
        long job = shop.takenIn();
        shop.in(job, "lid");
        shop.check(job, "BEFORE_CLOSING", "FAILED");
        SetClock.HANDS.off(Duration.ofDays(-3));
        shop.finding(job, "slack", "CLEANED", null);
        assertThat(shop.check(job, "BEFORE_CLOSING", "PASSED").status()).isEqualTo(201);
        shop.out(job, "lid");
        assertThat(client.bench(job, "close", "").status()).isEqualTo(200);
        SetClock.HANDS.off(Duration.ofDays(-5));
        shop.check(job, "AFTER_CLOSING", "PASSED");
        client.post("/api/jobs/" + job + "/outcome", Map.of("outcome", "FIXED", "remark", ""));
        assertThat(client.post("/api/jobs/" + job + "/handover", "").status()).isEqualTo(200);
        // No entry of the job is dated before the one before it, and the last outcome given is the one that stands.
        List<Long> dates = jdbc.sql("SELECT at FROM journal WHERE job_id = :job ORDER BY id")
                .param("job", job)
                .query(Long.class)
                .list();
        assertThat(dates).isSorted().hasSizeGreaterThan(7);
        assertThat(jdbc.sql("SELECT moment FROM journal ORDER BY id")
                        .query(Long.class)
                        .list())
                .as("each write has the next number")
                .isSorted();
        SetClock.HANDS.off(Duration.ZERO);
        assertThat(client.get("/api/patterns?months=1").body().toString()).contains("slack");
    }

    /** A wait that is a caution is measured by the clock, not by the date of the last entry. */
    @Test
    void aClockSetBackShortensNoWait() {
        SmallShop tubes = new SmallShop(client);
        List<Map<String, Object>> steps = tubes.steps();
        steps.get(0).put("waitHours", 24);
        steps.get(0).put("caution", "The tube holds a charge.");
        assertThat(client.put("/api/revisions/" + tubes.revision + "/teardown", 1, Map.of("steps", steps, "why", ""))
                        .status())
                .isEqualTo(200);
        long job = tubes.takenIn();
        SetClock.HANDS.off(Duration.ofDays(3));
        tubes.start(job);
        SetClock.HANDS.off(Duration.ZERO);
        assertThat(client.bench(job, "left-off", Map.of("since", Instant.now().toString()))
                        .status())
                .isEqualTo(200);
        Client.Answer in = client.bench(job, "steps/lid/in", Map.of("found", List.of(), "acknowledged", true));
        assertThat(in.status()).isEqualTo(409);
        assertThat(in.detail()).contains("not over yet");
        SetClock.HANDS.off(Duration.ofHours(25));
        assertThat(client.bench(job, "steps/lid/heed", "").status()).isEqualTo(200);
        assertThat(client.bench(job, "steps/lid/in", Map.of("found", List.of())).status())
                .isEqualTo(200);
        // Power and acknowledgement are entries of their own, and the story reads them.
        JsonNode entries = client.get("/api/jobs/" + job + "/entries").body();
        assertThat(entries.values())
                .extracting(entry -> entry.get("kind").asString())
                .containsExactly("POWER_OFF", "ACKNOWLEDGED");
        assertThat(tubes.sheet(job).body().get("story").toString())
                .contains("Heeded, for \\\"Lid off\\\": The tube holds a charge.");
    }

    @Test
    void aRetryIsAnsweredByReadingAnewWhatTheFirstMade() {
        long job = shop.takenIn();
        shop.start(job);
        long version =
                client.get("/api/jobs/" + job + "/bench").body().get("version").asLong();
        Map<String, String> once = Map.of("If-Match", "\"" + version + "\"", "Idempotency-Key", "press-" + job);
        Client.Answer first = client.post("/api/jobs/" + job + "/bench/steps/lid/in", Map.of("found", List.of()), once);
        shop.in(job, "deck");
        Client.Answer again = client.post("/api/jobs/" + job + "/bench/steps/lid/in", Map.of("found", List.of()), once);
        assertThat(again.status()).isEqualTo(200);
        assertThat(again.body().get("version").asLong())
                .as("the bench as it is by now")
                .isEqualTo(version + 2);
        assertThat(first.body().get("version").asLong()).isEqualTo(version + 1);
        assertThat(client.post("/api/jobs/" + job + "/bench/steps/deck/in", Map.of("found", List.of()), once)
                        .detail())
                .contains("another request");
        assertThat(jdbc.sql("SELECT MAX(length(CAST(made AS TEXT)) + length(fingerprint)) FROM answered")
                        .query(Integer.class)
                        .single())
                .as("bytes kept of an answer")
                .isLessThan(100);
    }

    @Test
    void keptAnswersAreForgottenAfterSevenDaysAndHoldNoSecret() {
        Client.Answer address = client.post("/api/calendar", "", Map.of("Idempotency-Key", "calendar-1"));
        String token = address.body().get("path").asString().replaceAll(".*token=", "");
        assertThat(jdbc.sql("SELECT COUNT(*) FROM answered WHERE request = 'calendar-1'")
                        .query(Integer.class)
                        .single())
                .isZero();
        for (String table : List.of("journal", "answered", "calendar")) {
            assertThat(jdbc.sql("SELECT * FROM " + table).query().listOfRows().toString())
                    .doesNotContain(token);
        }
        client.post("/api/lots", quoted("{'source':'yard'}"), Map.of("Idempotency-Key", "lot-1"));
        SetClock.HANDS.off(Duration.ofDays(8));
        client.post("/api/lots", quoted("{'source':'quay'}"), Map.of("Idempotency-Key", "lot-2"));
        SHOP.bean(PenResolver.class).forgetOldAnswers();
        assertThat(jdbc.sql("SELECT request FROM answered WHERE request LIKE 'lot-%'")
                        .query(String.class)
                        .list())
                .containsExactly("lot-2");
    }

    @Test
    void anOwnerIsNamedByIdAndReadByTheNameOfToday() {
        Map<String, Object> coming = shop.coming();
        coming.put("ownerName", "Osei Language School");
        coming.put("ownerContact", "0123 456");
        long job = SmallShop.taken(client.post("/api/jobs", coming));
        client.put(
                "/api/jobs/" + job + "/arrival",
                1,
                quoted("{'serial':'','revisionId':" + shop.revision
                        + ",'arrival':{'complaint':'my aunt sat on it','symptoms':[]}}"));
        assertThat(jdbc.sql("SELECT group_concat(words || COALESCE(before, '') || COALESCE(after, '')) FROM journal")
                        .query(String.class)
                        .single())
                .doesNotContain("Osei")
                .doesNotContain("0123 456")
                .doesNotContain("my aunt");
        assertThat(words(job)).anyMatch(words -> words.endsWith("Osei Language School"));
        assertThat(words(job)).anyMatch(words -> words.contains("does nothing → my aunt sat on it"));
        // Made anonymous: the rows beside are emptied, what was written once stays as it was.
        jdbc.sql("UPDATE owner SET name = 'an owner', contact = '' WHERE name = 'Osei Language School'")
                .update();
        jdbc.sql("UPDATE journal_private SET words = ''").update();
        assertThat(words(job).toString())
                .doesNotContain("Osei")
                .doesNotContain("aunt")
                .contains(", an owner");
    }

    @Test
    void aRemarkIsTakenBackOnceAndStaysStruck() {
        long job = shop.takenIn();
        client.bench(job, "notes", Map.of("words", "smells of toast"));
        JsonNode entry = client.get("/api/jobs/" + job + "/entries").body().get(0);
        String takeBack = "/api/entries/" + entry.get("id") + "/take-back";
        Client.Answer taken = client.post(takeBack, Map.of("why", "it was lunch"));
        assertThat(taken.body().get("takenBack").asString()).isEqualTo("it was lunch");
        assertThat(client.post(takeBack, Map.of("why", "again")).status()).isEqualTo(409);
        JsonNode story = shop.sheet(job).body().get("story");
        assertThat(story.get(0).get("words").asString()).isEqualTo("Taken back: it was lunch");
        assertThat(story.get(1).get("words").asString()).isEqualTo("smells of toast (at: lid off)");
        assertThat(story.get(1).get("struckWhy").asString()).isEqualTo("it was lunch");
    }

    private static List<String> words(long job) {
        return shop.sheet(job).body().get("story").values().stream()
                .map(line -> line.get("words").asString())
                .toList();
    }

    /** A check that reads beside a writer must not take what was written since for damage: it would stop the whole shop. */
    @Test
    void aLookBesideAWriterFindsNoDamage() throws Exception {
        long job = shop.takenIn();
        TransactionTemplate writing = new TransactionTemplate(SHOP.bean(PlatformTransactionManager.class));
        AtomicBoolean stop = new AtomicBoolean();
        Thread writer = new Thread(() -> {
            while (!stop.get()) {
                writing.executeWithoutResult(status -> jdbc.sql("UPDATE job SET complaint = complaint WHERE id = :job")
                        .param("job", job)
                        .update());
            }
        });
        writer.start();
        try {
            for (int look = 0; look < 60; look++) {
                assertThat(Soundness.damage(SHOP.bean(DataFolder.class).database()))
                        .as("look " + look)
                        .isEmpty();
            }
        } finally {
            stop.set(true);
            writer.join();
        }
    }
}
