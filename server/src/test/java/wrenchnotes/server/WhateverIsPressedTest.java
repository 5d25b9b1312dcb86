package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import java.time.Duration;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/**
 * Whatever is pressed in whatever order, by the doors that people use: a slate beside the shop keeps what was said of power, cautions, waits,
 * checks and loans, and nothing that the shop lets through goes against it.
 */
@Tag("shop")
class WhateverIsPressedTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.with(new SetClock());

    private static Client client;
    private static Client bench;
    private static SmallShop shop;

    @BeforeAll
    static void aTubeUnderTheLid() {
        client = SHOP.client().asFirstLead();
        client.post(
                "/api/people", body("name", "wren", "password", "quay lantern", "roles", List.of("BENCH", "COUNTER")));
        bench = SHOP.client().signedIn("wren", "quay lantern");
        SmallShop leads = new SmallShop(client);
        List<Map<String, Object>> steps = leads.steps();
        steps.get(0).put("caution", "The tube holds a charge.");
        client.put("/api/revisions/" + leads.revision + "/teardown", 1, Map.of("steps", steps, "why", "tube"));
        shop = leads.by(bench);
    }

    @AfterEach
    void now() {
        SetClock.HANDS.off(Duration.ZERO);
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void nothingGoesAgainstWhatWasSaid(long seed) {
        Slate slate = new Slate(bench, shop, new Random(seed));
        for (int n = 0; n < 90 && !slate.gone(); n++) {
            slate.press();
        }
        LET_THROUGH.addAll(slate.seen());
    }

    private static final Set<String> LET_THROUGH = new HashSet<>();

    /** What is never let through proves nothing. */
    @AfterAll
    static void eachWasLetThroughAtLeastOnce() {
        assertThat(LET_THROUGH)
                .contains("in", "out", "heed", "live", "close", "lend", "back from loan", "hold", "ended", "skip");
    }

    /** The bench, the rack and the sheet tell one story of a job on loan. */
    @Test
    void everyRoomSaysThatItIsOut() {
        long job = shop.takenIn();
        assertThat(bench.post("/api/jobs/" + job + "/loan", body("notFor", "damp rooms"))
                        .status())
                .isEqualTo(200);
        JsonNode bench = client.get("/api/jobs/" + job + "/bench").body().get("stand");
        assertThat(bench.get("status").get("standing").asString())
                .isEqualTo(shop.standing(job))
                .isEqualTo("ON_LOAN");
        assertThat(bench.get("loan").get("notFor").asString()).isEqualTo("damp rooms");
    }
}
