package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.ValidationWarnings;
import biweekly.component.VEvent;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import wrenchnotes.server.teardown.Assembly;

/** Runs of a bench over HTTP: begun, turned, held by a caution, ended for now and for good, opened again. */
class RunsOverHttpTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.with(SetClock.class);

    private static Client client;
    private SmallShop shop;

    @BeforeAll
    static void aLead() {
        client = SHOP.client().asFirstLead();
    }

    @BeforeEach
    void aShop() {
        shop = new SmallShop(client);
    }

    @Test
    void nothingIsOpenedBeforeItIsOffAndTheWayIsTheOneThatWasChosen() {
        long job = shop.takenIn();
        assertThat(client.bench(job, "steps/lid/in", Map.of("found", List.of())).detail())
                .contains("Start the run first");
        assertThat(client.bench(job, "start", start(false, List.of(), null)).detail())
                .contains("unplug it first");
        JsonNode begun = client.bench(job, "start", start(true, List.of(shop.belt), null))
                .body();
        assertThat(begun.get("run").get("route").values())
                .extracting(JsonNode::asString)
                .containsExactly("lid", "deck");
        assertThat(client.bench(job, "start", start(true, List.of(), null)).detail())
                .contains("under way already");
        // Skipped with its reason: what needs it may be done all the same, and it need not go back.
        JsonNode skipped = client.bench(job, "steps/lid/skip", Map.of("reason", "was off when it came"))
                .body();
        assertThat(skipped.get("way").get("nextIn").asString()).isEqualTo("deck");
        assertThat(shop.in(job, "deck").body().get("way").has("nextIn")).isFalse();
        assertThat(shop.sheet(job).body().get("story").toString()).contains("Skipped: Lid off. was off when it came");
        client.bench(job, "pause", "");
        assertThat(client.get("/api/jobs/" + job + "/bench").body().get("run").has("pausedSince"))
                .isTrue();
        assertThat(client.bench(job, "back", "").body().get("run").has("pausedSince"))
                .isFalse();
    }

    @Test
    void aCautionsWaitHoldsItsStepAndCannotBeShortened() {
        List<Map<String, Object>> steps = shop.steps();
        steps.get(1).put("waitHours", 24);
        client.put("/api/revisions/" + shop.revision + "/teardown", 1, Map.of("steps", steps, "why", "tube"));
        long job = shop.takenIn();
        shop.start(job);
        shop.in(job, "lid");
        assertThat(shop.in(job, "deck").detail()).contains("say since when it is off");
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
        // Neither an earlier beginning nor ending the hold gets around it.
        assertThat(client.bench(job, "left-off", Map.of("since", "2001-01-01T00:00:00Z"))
                        .detail())
                .contains("cannot be shortened");
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
        assertThat(shop.in(rested, "deck").detail()).contains("Say that the wait was kept");
        Client.Answer kept = client.bench(rested, "steps/deck/in", Map.of("found", List.of(), "acknowledged", true));
        assertThat(kept.status()).isEqualTo(200);
    }

    private JsonNode timer(long job) {
        return client.get("/api/holds").body().values().stream()
                .filter(one -> one.get("jobId").asLong() == job)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void closedForNowIsFlaggedPutRightFirstAndOnlyThenClosedForGood() {
        long job = shop.takenIn();
        shop.in(job, "lid");
        shop.in(job, "deck");
        client.bench(job, "temporary", Map.of("words", "band for the belt"));
        client.bench(job, "fragments", body("what", "gear teeth", "expected", 3, "found", 1, "explained", ""));
        out(
                job,
                "deck",
                body(
                        "thing",
                        "lead",
                        "back",
                        0,
                        "replaced",
                        0,
                        "leftOut",
                        0,
                        "forNow",
                        1,
                        "reason",
                        "new lead is coming"));
        shop.out(job, "lid");
        shop.check(job, "BEFORE_CLOSING", "PASSED");
        Client.Answer notYet = client.bench(job, "close-for-now", Map.of("reason", "concert tonight"));
        assertThat(notYet.body().get("reasons").toString())
                .contains("For the test only: band for the belt")
                .contains("gear teeth: 2 of 3 pieces not found")
                .doesNotContain("motor lead");
        JsonNode gate = client.get("/api/jobs/" + job + "/bench").body().get("gate");
        assertThat(gate.get("reasons").toString()).contains("1 × motor lead, left out for now");
        client.bench(job, "temporary/" + gate.get("temporary").get(0).get("id").asLong() + "/right", "");
        long teeth = gate.get("fragments").get(0).get("id").asLong();
        assertThat(client.bench(job, "fragments/" + teeth, body("found", 0, "explained", ""))
                        .field())
                .isEqualTo("found");
        client.bench(job, "fragments/" + teeth, body("found", 3, "explained", ""));
        assertThat(client.bench(job, "close", "").body().get("reasons").values())
                .hasSize(1);
        assertThat(client.bench(job, "close-for-now", Map.of("reason", "concert tonight"))
                        .status())
                .isEqualTo(200);
        assertThat(shop.standing(job)).isEqualTo("CLOSED_FOR_NOW");
        JsonNode row = client.get("/api/rack").body().get("next").values().stream()
                .filter(one -> one.get("jobId").asLong() == job)
                .findFirst()
                .orElseThrow();
        assertThat(row.get("forNow").asBoolean()).isTrue();
        assertThat(shop.sheet(job).body().get("forNow").asBoolean()).isTrue();
        client.post("/api/jobs/" + job + "/outcome", Map.of("outcome", "FIXED", "remark", ""));
        assertThat(client.post("/api/jobs/" + job + "/handover", "").body().toString())
                .contains("closed for now only (concert tonight)");

        // The next run needs no excuse; the one after a closing for good does, and is counted.
        assertThat(client.bench(job, "start", start(true, List.of(), null)).status())
                .isEqualTo(200);
        shop.in(job, "lid");
        shop.in(job, "deck");
        out(
                job,
                "deck",
                body(
                        "thing",
                        "lead",
                        "back",
                        0,
                        "replaced",
                        1,
                        "leftOut",
                        0,
                        "reason",
                        "",
                        "instead",
                        "a longer lead"));
        shop.out(job, "lid");
        shop.check(job, "BEFORE_CLOSING", "PASSED");
        assertThat(client.bench(job, "close", "").status()).isEqualTo(200);
        assertThat(client.bench(job, "start", start(true, List.of(), null)).field())
                .isEqualTo("rework");
        JsonNode again =
                client.bench(job, "start", start(true, List.of(), "WRONG_PART")).body();
        assertThat(again.get("stand").get("reworks").values())
                .extracting(JsonNode::asString)
                .containsExactly("the wrong part was put in");
        assertThat(shop.sheet(job).body().get("rework").asInt()).isEqualTo(1);
        // What went back as something else waits to be taken into the notes.
        assertThat(client.get("/api/revisions/" + shop.revision + "/proposals")
                        .body()
                        .toString())
                .contains("In place of 1 × motor lead: a longer lead");
    }

    @Test
    void whatWasToldAndNotCountedIsShownAndMayTurnOutNeverToHaveBeenThere() {
        long job = shop.takenIn();
        shop.start(job);
        client.bench(job, "steps/lid/in", body("found", List.of(), "basis", "TOLD"));
        out(job, "lid", body("thing", "case", "back", 3, "replaced", 0, "leftOut", 0, "reason", ""));
        assertThat(client.get("/api/jobs/" + job + "/bench")
                        .body()
                        .get("gate")
                        .get("bothWays")
                        .toString())
                .contains("case: 4 off (told, not counted), 3 back");
        JsonNode answer = client.post(
                        "/api/jobs/" + job + "/bench/what-is-it",
                        body("head", "CROSS", "lengthMm", 12, "finish", "BLACK"))
                .body();
        assertThat(answer.get("words").asString()).isEqualTo("It belongs to: case.");
        assertThat(client.bench(
                                job,
                                "moves",
                                body(
                                        "thing",
                                        "case",
                                        "from",
                                        "TRAY",
                                        "to",
                                        "MISSING_ON_ARRIVAL",
                                        "count",
                                        1,
                                        "reason",
                                        ""))
                        .status())
                .isEqualTo(200);
    }

    @Test
    void aModelNeverSeenIsWrittenDownAsItComesApart() {
        long model = client.post("/api/models", Map.of("maker", "Cormorant Works", "name", "Unseen", "kind", "PLAYER"))
                .id();
        long revision = client.post("/api/models/" + model + "/revisions", Map.of("name", "A", "tellApart", ""))
                .id();
        Map<String, Object> coming = shop.coming();
        coming.put("revisionId", revision);
        long job = SmallShop.taken(client.post("/api/jobs", coming));
        shop.start(job);
        assertThat(client.bench(job, "came-off", cameOff("Back cover", 0, "")).field())
                .isEqualTo("screws");
        // Begun ten minutes ago, with four of them paused: six were worked.
        JdbcClient jdbc = SHOP.bean(JdbcClient.class);
        long begun = Instant.now().minus(Duration.ofMinutes(10)).toEpochMilli();
        jdbc.sql("UPDATE run SET started_at = :at WHERE job_id = :job")
                .param("at", begun)
                .param("job", job)
                .update();
        jdbc.sql("INSERT INTO pause (job_id, from_at, to_at, by) VALUES (:job, :from, :to, 1)")
                .param("job", job)
                .param("from", begun + 2 * MINUTE)
                .param("to", begun + 6 * MINUTE)
                .update();
        client.bench(job, "came-off", cameOff("Back cover", 6, ""));
        JsonNode open = client.bench(job, "came-off", cameOff("Board", 2, "speaker plug, aerial"))
                .body();
        assertThat(open.get("stand").get("tallyWords").asString()).isEqualTo("8 fasteners, 2 plugs");
        JsonNode notes = client.get("/api/revisions/" + revision + "/teardown").body();
        assertThat(notes.get("number").asLong()).isEqualTo(2);
        assertThat(notes.get("steps").values())
                .extracting(step -> step.get("title").asString())
                .containsExactly("Back cover", "Board");
        assertThat(notes.get("steps").get(0).get("minutes").asDouble()).isEqualTo(6.0);
        assertThat(notes.get("steps").get(1).get("minutes").asDouble()).isEqualTo(0.5);
        assertThat(notes.get("steps").get(1).get("needs").get(0).asString())
                .isEqualTo(notes.get("steps").get(0).get("id").asString());
        // Where the notes go on, the bench goes by them.
        long next = SmallShop.taken(client.post("/api/jobs", coming));
        shop.start(next);
        assertThat(client.bench(next, "came-off", cameOff("Cover", 6, "")).detail())
                .contains("know what comes next");
    }

    private static final long MINUTE = 60_000;

    private static Map<String, Object> cameOff(String title, int screws, String plugs) {
        return body(
                "title",
                title,
                "side",
                "BACK",
                "tool",
                "PH1",
                "screws",
                screws == 0 ? List.of() : List.of(Map.of("head", "CROSS", "count", screws)),
                "plugs",
                plugs.isEmpty() ? List.of() : List.of(plugs.split(", ")),
                "pieces",
                List.of());
    }

    /** Whatever is pressed, it was pressed on some sight of the bench: an older one is refused, and nothing is done. */
    @Test
    void everyPressSaysWhatItHasSeenAndAnOlderSightDoesNothing() {
        long job = shop.takenIn();
        shop.in(job, "lid");
        String bench = "/api/jobs/" + job + "/bench";
        long now = client.get(bench).body().get("version").asLong();
        int told = client.get("/api/jobs/" + job).body().get("story").size();
        Map<String, Object> presses = body(
                "start",
                start(true, List.of(), null),
                "turn",
                body("targets", List.of()),
                "left-off",
                body("since", "2026-01-01T00:00:00Z"),
                "steps/deck/in",
                body("found", List.of()),
                "steps/lid/out",
                body("settled", List.of()),
                "steps/deck/skip",
                body("reason", "not needed"),
                "back",
                "",
                "pause",
                "",
                "go-on",
                "",
                "notes",
                body("words", "a remark"),
                "moves",
                body("thing", "case", "from", "TRAY", "to", "LOST", "count", 1, "reason", ""),
                "fitted",
                body("component", shop.belt, "revision", shop.revision),
                "temporary",
                body("words", "magnet"),
                "temporary/1/right",
                "",
                "fragments",
                body("what", "teeth", "expected", 2, "found", 0, "explained", ""),
                "fragments/1",
                body("found", 1, "explained", ""),
                "looked",
                body("component", shop.belt),
                "came-off",
                cameOff("Cover", 2, ""),
                "close",
                "",
                "close-for-now",
                body("reason", "needed tonight"));
        presses.forEach((act, said) -> {
            assertThat(client.post(bench + "/" + act, said).status())
                    .as(act + " without a version")
                    .isEqualTo(428);
            Client.Answer older = client.post(bench + "/" + act, said, Map.of("If-Match", "\"" + (now - 1) + "\""));
            assertThat(older.status()).as(act + " on an older sight").isEqualTo(412);
            assertThat(older.detail()).contains("changed by somebody else meanwhile");
        });
        assertThat(client.get(bench).body().get("version").asLong()).isEqualTo(now);
        assertThat(client.get("/api/jobs/" + job).body().get("story").size()).isEqualTo(told);
        // On the sight as it is now, one press counts once however often it is sent.
        Map<String, String> once = Map.of("If-Match", "\"" + now + "\"", "Idempotency-Key", "press-" + job);
        for (int sent = 0; sent < 3; sent++) {
            assertThat(client.post(bench + "/steps/deck/in", body("found", List.of()), once)
                            .status())
                    .isEqualTo(200);
        }
        assertThat(client.get(bench).body().get("version").asLong()).isEqualTo(now + 1);
    }

    /** Presses at known times: what the plans learn from is what was worked. */
    @Test
    void minutesAreMeasuredFromTheBeginningOfTheRunWithPausesLeftOut() {
        SmallShop other = new SmallShop(client);
        SetClock.Hands clock = SetClock.HANDS;
        Instant noon = Instant.parse("2026-03-02T12:00:00Z");
        clock.still(noon);
        long job = other.takenIn();
        other.start(job);
        clock.still(noon.plus(Duration.ofMinutes(5)));
        other.in(job, "lid");
        clock.still(noon.plus(Duration.ofMinutes(7)));
        client.bench(job, "pause", "");
        clock.still(noon.plus(Duration.ofMinutes(17)));
        client.bench(job, "go-on", "");
        clock.still(noon.plus(Duration.ofMinutes(21)));
        other.in(job, "deck");
        Map<String, List<Double>> times = SHOP.bean(Assembly.class).times(other.revision, List.of());
        assertThat(times).containsOnly(Map.entry("lid", List.of(5.0)), Map.entry("deck", List.of(6.0)));
        // A step that was taken back says nothing, nor does one that took until the next day.
        client.bench(job, "back", "");
        assertThat(SHOP.bean(Assembly.class).times(other.revision, List.of())).containsOnlyKeys("lid");
        clock.still(noon.plus(Duration.ofHours(10)));
        other.in(job, "deck");
        assertThat(SHOP.bean(Assembly.class).times(other.revision, List.of())).containsOnlyKeys("lid");
        clock.off(Duration.ZERO);
    }

    /** Read back by a library that knows iCalendar (published: RFC 5545), not by us. */
    @Test
    void endsOfWaitsAndPromisedDaysAreAnyCalendars() {
        long job = shop.takenIn();
        Instant until = Instant.now().plus(Duration.ofHours(3)).truncatedTo(ChronoUnit.SECONDS);
        client.post(
                "/api/jobs/" + job + "/holds",
                body("kind", "CURE", "why", "resin, on \"the gear\"; sets", "until", until.toString()));
        String path = client.post("/api/calendar", "").body().get("path").asString();
        Client stranger = new Client(SHOP.url());
        ICalendar calendar = Biweekly.parse(stranger.text(path)).first();
        ValidationWarnings warnings = calendar.validate(biweekly.ICalVersion.V2_0);
        assertThat(warnings.isEmpty()).as(warnings.toString()).isTrue();
        VEvent end = calendar.getEvents().stream()
                .filter(event -> event.getDescription().getValue().contains("resin, on \"the gear\"; sets"))
                .findFirst()
                .orElseThrow();
        assertThat(end.getDateStart().getValue().toInstant()).isEqualTo(until);
        assertThat(end.getAlarms()).hasSize(1);
        client.delete("/api/calendar");
        assertThat(stranger.get(path).status()).isEqualTo(404);
        assertThat(stranger.get("/api/calendar.ics").status()).isEqualTo(404);
        // The usual length of a cure is common practice until three have ended here.
        JsonNode cure = client.get("/api/jobs/" + job + "/holds/usual").body().get(0);
        assertThat(cure.get("kind").asString()).isEqualTo("CURE");
        assertThat(cure.get("minutes").asLong()).isPositive();
    }

    private void out(long job, String step, Map<String, Object> settled) {
        Client.Answer answer = client.bench(job, "steps/" + step + "/out", Map.of("settled", List.of(settled)));
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
    }

    private static Map<String, Object> start(boolean off, List<Long> targets, String rework) {
        return body("targets", targets, "off", off, "missing", List.of(), "rework", rework, "words", "");
    }
}
