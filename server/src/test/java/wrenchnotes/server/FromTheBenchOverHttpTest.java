package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import wrenchnotes.server.teardown.Assembly;

/** What the notes and the plans learn from what is pressed at the bench. */
@Tag("shop")
class FromTheBenchOverHttpTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.with(new SetClock());

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
    void aModelNeverSeenIsWrittenDownAsItComesApart() {
        long model = client.post("/api/models", Map.of("maker", "Cormorant Works", "name", "Unseen", "kind", "PLAYER"))
                .id();
        long revision = client.post("/api/models/" + model + "/revisions", Map.of("name", "A", "tellApart", ""))
                .id();
        Map<String, Object> coming = shop.coming();
        coming.put("revisionId", revision);
        long job = SmallShop.taken(client.post("/api/jobs", coming));
        shop.start(job);
        assertThat(client.bench(job, "came-off", SmallShop.cameOff(" ", 0, "")).field())
                .isEqualTo("title");
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
        client.bench(job, "came-off", SmallShop.cameOff("Back cover", 6, ""));
        JsonNode open = client.bench(job, "came-off", SmallShop.cameOff("Board", 2, "speaker plug, aerial"))
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
        assertThat(client.bench(next, "came-off", SmallShop.cameOff("Cover", 6, ""))
                        .detail())
                .contains("know what comes next");
    }

    private static final long MINUTE = 60_000;

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
}
