package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Waits, and power, over HTTP: what was said of them stands, by whichever door somebody comes. */
@Tag("shop")
class HoldsOverHttpTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.with(new SetClock());

    private static Client client;
    private static Client bench;
    private SmallShop shop;

    @BeforeAll
    static void aLeadAndABench() {
        client = SHOP.client().asFirstLead();
        client.post("/api/people", body("name", "wren", "password", "quay lantern", "roles", List.of("BENCH")));
        bench = SHOP.client().signedIn("wren", "quay lantern");
    }

    @BeforeEach
    void aShop() {
        shop = new SmallShop(client);
    }

    @AfterEach
    void now() {
        SetClock.HANDS.off(Duration.ZERO);
    }

    @Test
    void holdsAndTheRackSayWhatWaits() {
        long job = shop.takenIn();
        long hold = client.post("/api/jobs/" + job + "/holds", Map.of("kind", "PART", "why", "belt from afar"))
                .id();
        JsonNode waiting = client.get("/api/rack").body().get("waiting");
        assertThat(waiting.toString()).contains("Waits: for a part. belt from afar");
        assertThat(client.post("/api/holds/" + hold + "/end", "").status()).isEqualTo(200);
        assertThat(client.post("/api/holds/" + hold + "/end", "").status()).isEqualTo(409);
        JsonNode row = row(job);
        assertThat(row.get("reason").asString()).isEqualTo("The wait is over: belt from afar");
    }

    @Test
    void aCautionsWaitHoldsItsStepAndCannotBeShortened() {
        List<Map<String, Object>> steps = shop.steps();
        steps.get(1).put("waitHours", 24);
        client.put("/api/revisions/" + shop.revision + "/teardown", 1, Map.of("steps", steps, "why", "tube"));
        long job = shop.takenIn();
        shop.start(job);
        shop.in(job, "lid");
        assertThat(shop.in(job, "deck").detail()).contains("not over yet").contains("cannot be shortened");
        Instant hourAgo = Instant.now().minus(Duration.ofHours(1)).truncatedTo(ChronoUnit.SECONDS);
        assertThat(client.bench(
                                job,
                                "left-off",
                                Map.of("since", Instant.now().plusSeconds(600).toString()))
                        .field())
                .isEqualTo("since");
        client.bench(job, "left-off", Map.of("since", hourAgo.toString()));
        assertThat(shop.in(job, "deck").detail()).contains("not over yet").contains("cannot be shortened");
        assertThat(shop.standing(job)).isEqualTo("WAITING");
        JsonNode hold = timer(job);
        assertThat(hold.get("caution").asBoolean()).isTrue();
        assertThat(Instant.parse(hold.get("until").asString())).isEqualTo(hourAgo.plus(Duration.ofHours(24)));
        assertThat(client.post("/api/holds/" + hold.get("id").asLong() + "/end", "")
                        .detail())
                .contains("cannot be shortened");

        long rested = shop.takenIn();
        shop.start(rested);
        shop.in(rested, "lid");
        client.bench(
                rested,
                "left-off",
                Map.of("since", Instant.now().minus(Duration.ofDays(2)).toString()));
        Client.Answer folded = client.bench(rested, "steps/deck/in", Map.of("found", List.of(), "acknowledged", true));
        assertThat(folded.status())
                .as("the key that does the step acknowledges nothing")
                .isEqualTo(409);
        assertThat(folded.detail()).contains("Say first that the caution of");
        assertThat(client.bench(rested, "steps/deck/heed", "").status()).isEqualTo(200);
        assertThat(shop.in(rested, "deck").status()).isEqualTo(200);
    }

    private JsonNode timer(long job) {
        return client.get("/api/holds").body().values().stream()
                .filter(one -> one.get("jobId").asLong() == job)
                .findFirst()
                .orElseThrow();
    }

    private JsonNode row(long job) {
        return client.get("/api/rack").body().get("next").values().stream()
                .filter(row -> row.get("jobId").asLong() == job)
                .findFirst()
                .orElseThrow();
    }

    private long held(long job, Map<String, Object> said) {
        Client.Answer set = client.post("/api/jobs/" + job + "/holds", said);
        assertThat(set.status()).as(set.body().toString()).isEqualTo(201);
        return set.id();
    }

    private static Client.Answer answered(Client by, long hold, String answer, String why) {
        return by.post("/api/holds/" + hold + "/end", body("answer", answer, "why", why));
    }

    @Test
    void aWaitForAPartGetsNoEndByNotYet() {
        long hold = held(shop.takenIn(), body("kind", "PART", "why", "belt"));
        assertThat(answered(client, hold, "NOT_YET", "").detail()).contains("until it is ended");
        assertThat(answered(client, hold, "YES", "").status()).isEqualTo(200);
    }

    @Test
    void whatCuresIsEndedEarlyByALeadAloneAndAsksWhenItIsOver() {
        long job = shop.takenIn();
        String until = Instant.now().plus(Duration.ofHours(8)).toString();
        long hold = held(job, body("kind", "CURE", "why", "resin", "until", until));
        assertThat(answered(bench, hold, "YES", "looks hard").status()).isEqualTo(403);
        assertThat(answered(client, hold, "YES", "").field()).isEqualTo("why");
        assertThat(answered(client, hold, "NOT_YET", "").detail())
                .as("it would have become shorter")
                .contains("does not ask yet");
        assertThat(shop.in(job, "lid").detail()).contains("It still waits, curing: resin");
        SetClock.HANDS.off(Duration.ofHours(9));
        assertThat(shop.in(job, "lid").detail()).contains("Is the witness hard?");
        assertThat(answered(bench, hold, "NOT_YET", "").status()).isEqualTo(200);
        assertThat(shop.in(job, "lid").detail()).contains("It still waits");
        SetClock.HANDS.off(Duration.ofHours(12));
        assertThat(answered(bench, hold, "YES", "").status()).isEqualTo(200);
        assertThat(shop.in(job, "lid").status()).isEqualTo(200);
    }

    /** The notes end, and what comes off next is written down as it comes: that is a step in like any other. */
    @Test
    void whatIsHeldIsNotOpenedByTheDoorForWhatTheNotesDoNotKnow() {
        long job = shop.takenIn();
        shop.in(job, "lid");
        shop.in(job, "deck");
        held(
                job,
                body(
                        "kind",
                        "CURE",
                        "why",
                        "resin",
                        "until",
                        Instant.now().plusSeconds(7200).toString()));
        Client.Answer off = client.bench(job, "came-off", SmallShop.cameOff("Back cover", 6, ""));
        assertThat(off.status()).isEqualTo(409);
        assertThat(off.detail()).contains("It still waits, curing: resin");
        assertThat(client.get("/api/revisions/" + shop.revision + "/teardown")
                        .body()
                        .get("number")
                        .asInt())
                .as("and the notes did not grow by it")
                .isEqualTo(1);
    }

    @Test
    void itIsMadeLiveOncePerPowerUp() {
        long job = shop.takenIn();
        tried(job);
        tried(job);
        assertThat(powerOf(job)).containsExactly("Power: live, plays");
        shop.start(job);
        tried(job);
        assertThat(powerOf(job)).as("a run begins unplugged").hasSize(2);
        assertThat(client.bench(job, "power", body("power", "LIVE", "why", "")).detail())
                .contains("It is live already");
        client.bench(job, "power", body("power", "UNPLUGGED", "why", ""));
        assertThat(powerOf(job)).endsWith("Power: off and unplugged");
    }

    private void tried(long job) {
        Client.Answer tried = client.post(
                "/api/jobs/" + job + "/checks",
                body("stage", "ARRIVAL", "verdict", "PASSED", "what", "plays", "load", "", "times", 1, "remark", ""));
        assertThat(tried.status()).isEqualTo(201);
    }

    private List<String> powerOf(long job) {
        return client.get("/api/jobs/" + job + "/entries").body().values().stream()
                .filter(entry -> entry.get("kind").asString().equals("POWER"))
                .map(entry -> entry.get("words").asString())
                .toList();
    }

    /** An operation of an hour and a half without a press vanished; whoever did it says so by one press, and it stays as it was said. */
    @Test
    void aLongGapInTheWorkIsShownAndCountsAsSomebodySays() {
        long job = shop.takenIn();
        shop.start(job);
        shop.in(job, "lid");
        SetClock.HANDS.off(Duration.ofMinutes(95));
        shop.in(job, "deck");
        JsonNode time = client.get("/api/jobs/" + job + "/time").body();
        assertThat(time.get("minutes").asDouble()).isLessThan(2);
        JsonNode gap = time.get("gaps").get(0);
        assertThat(gap.has("minutes")).isFalse();
        assertThat(gap.get("offers").get(2).asInt()).isBetween(94, 95);

        String from = gap.get("from").asString();
        JsonNode said = bench.post("/api/jobs/" + job + "/time/gaps", body("from", from, "minutes", 60))
                .body();
        assertThat(said.get("minutes").asDouble()).isBetween(60.0, 62.0);
        assertThat(said.get("gaps").get(0).get("minutes").asInt()).isEqualTo(60);
        assertThat(client.post("/api/jobs/" + job + "/time/gaps", body("from", from, "minutes", 400))
                        .field())
                .isEqualTo("minutes");
        assertThat(client.post("/api/jobs/" + job + "/time/gaps", body("from", Instant.EPOCH.toString(), "minutes", 4))
                        .detail())
                .contains("No gap begins then");
        assertThat(client.post("/api/jobs/" + job + "/time/gaps", body("from", from, "minutes", 0))
                        .body()
                        .get("minutes")
                        .asDouble())
                .as("the last word stands")
                .isLessThan(2);
    }
}
