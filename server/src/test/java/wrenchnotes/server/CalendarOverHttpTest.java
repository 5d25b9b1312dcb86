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
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Ends of waits and promised days, for any calendar. */
@Tag("shop")
class CalendarOverHttpTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty();

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
}
