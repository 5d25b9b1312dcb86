package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A press on an older sight of the bench. */
@Tag("shop")
class OlderSightOverHttpTest {

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
                SmallShop.starting(true, List.of(), null),
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
                SmallShop.cameOff("Cover", 2, ""),
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
}
