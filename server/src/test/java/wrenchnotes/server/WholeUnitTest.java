package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** A drive that is a model of its own inside a player, and what the notes say of a revision as a whole. */
@Tag("shop")
class WholeUnitTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty();

    private static Client client;

    @BeforeAll
    static void aShop() {
        client = SHOP.client().asFirstLead();
    }

    @Test
    void theVariantIsPickedOnceTheUnitIsOpenAndTheRunGoesThroughBoth() {
        SmallShop player = new SmallShop(client);
        SmallShop drive = new SmallShop(client);
        // The belt of the player is a drive, a model of its own.
        Client.Answer inside = client.put(
                "/api/components/" + player.belt,
                1,
                body("name", "tape drive", "aliases", List.of("transport"), "inside", drive.model));
        assertThat(inside.status()).as(inside.body().toString()).isEqualTo(200);
        String fitted = player.belt + ":" + drive.revision;

        JsonNode whole = client.get("/api/revisions/" + player.revision + "/whole?fitted=" + fitted)
                .body();
        assertThat(whole.get("steps").values())
                .extracting(step -> step.get("id").asString())
                .containsExactly("lid", "deck", player.belt + ":lid", player.belt + ":deck");
        JsonNode way = client.get(
                        "/api/revisions/" + player.revision + "/access?targets=" + drive.belt + "&fitted=" + fitted)
                .body()
                .get("time")
                .get("plan");
        assertThat(way.get("order").values())
                .extracting(JsonNode::asString)
                .containsExactly("lid", "deck", player.belt + ":lid", player.belt + ":deck");
        assertThat(client.get("/api/revisions/" + player.revision + "/access?targets=" + drive.belt)
                        .field())
                .isEqualTo("targets");

        long job = player.takenIn();
        Map<String, Object> pick = body("component", player.belt, "revision", drive.revision);
        assertThat(client.bench(job, "fitted", pick).detail()).contains("Start the run first");
        player.start(job);
        assertThat(client.bench(job, "fitted", pick).detail()).contains("cannot be seen yet");
        player.in(job, "lid");
        JsonNode open = player.in(job, "deck").body();
        assertThat(open.get("inside").get(0).get("name").asString()).isEqualTo("tape drive");
        assertThat(open.get("inside")
                        .get(0)
                        .get("variants")
                        .get(0)
                        .get("revision")
                        .asLong())
                .isEqualTo(drive.revision);
        assertThat(client.bench(job, "fitted", body("component", player.belt, "revision", player.revision))
                        .field())
                .isEqualTo("fitted");
        JsonNode joined = client.bench(job, "fitted", pick).body();
        assertThat(joined.get("way").get("nextIn").asString()).isEqualTo(player.belt + ":lid");
        JsonNode inner = player.in(job, player.belt + ":lid").body();
        assertThat(inner.get("stand").get("tally").get("fasteners").asInt()).isEqualTo(8);
        assertThat(player.out(job, "deck").detail()).contains("must go back in before");
        assertThat(client.bench(job, "fitted", pick).detail()).contains("taken apart already");
        player.out(job, player.belt + ":lid");
        assertThat(player.out(job, "deck").status()).isEqualTo(200);

        // In the next unit of its kind the one seen before is offered first.
        long next = player.takenIn();
        player.in(next, "lid");
        assertThat(player.in(next, "deck")
                        .body()
                        .get("inside")
                        .get(0)
                        .get("usual")
                        .asLong())
                .isEqualTo(drive.revision);
        assertThat(client.put(
                                "/api/components/" + drive.belt,
                                1,
                                body("name", "belt", "aliases", List.of(), "inside", player.model))
                        .detail())
                .contains("nothing is inside itself");
    }

    @Test
    void oneNameAndItsAliasesAreOneComponent() {
        SmallShop shop = new SmallShop(client);
        client.put("/api/components/" + shop.belt, 1, body("name", "belt", "aliases", List.of("capstan belt")));
        assertThat(client.post("/api/models/" + shop.model + "/components", body("name", "Capstan Belt"))
                        .id())
                .isEqualTo(shop.belt);
        Client.Answer other = client.post("/api/models/" + shop.model + "/components", body("name", "idler"));
        assertThat(client.put("/api/components/" + other.id(), 1, body("name", "idler", "aliases", List.of("belt")))
                        .detail())
                .isEqualTo("\"belt\" is what the belt is called already");
        assertThat(client.put("/api/components/" + shop.belt, 1, body("name", "x", "aliases", List.of()))
                        .status())
                .isEqualTo(412);
    }

    @Test
    void theWholeIsSavedAndComparedWithTheSteps() {
        SmallShop shop = new SmallShop(client);
        String notes = "/api/revisions/" + shop.revision + "/teardown";
        Map<String, Object> overview = body(
                "before",
                "tape out, then unplug",
                "modes",
                List.of(body("name", "lamp test", "keys", "hold stop at power-up", "shows", "all lamps")),
                "checks",
                List.of(body("stage", "AFTER_CLOSING", "what", "plays", "load", "tape two", "times", 2)),
                "watch",
                List.of(body("component", shop.belt, "words", "pull it: does it come back?")));
        Client.Answer saved =
                client.put(notes, 1, body("overview", overview, "steps", shop.steps(), "why", "said at last"));
        assertThat(saved.status()).as(saved.body().toString()).isEqualTo(200);
        // Who saves steps only leaves the rest as it was.
        client.put(notes, 2, body("steps", shop.steps().subList(0, 1), "why", "deck is gone"));
        JsonNode now = client.get(notes).body();
        assertThat(now.get("overview").get("modes").get(0).get("keys").asString())
                .isEqualTo("hold stop at power-up");
        assertThat(client.get(notes + "/differences?from=1&to=3")
                        .body()
                        .get("whole")
                        .values())
                .extracting(JsonNode::asString)
                .contains("watch point added: pull it: does it come back?");
        long job = shop.takenIn();
        assertThat(client.get("/api/jobs/" + job + "/bench")
                        .body()
                        .at("/unit/before")
                        .asString())
                .isEqualTo("tape out, then unplug");
        Map<String, Object> strange = body("watch", List.of(body("component", 99_999, "words", "look")));
        assertThat(client.put(notes, 3, body("overview", strange, "steps", shop.steps()))
                        .field())
                .isEqualTo("overview.watch");
    }

    /** Five closed up, and not one's own proposal: our rule; common practice has no number. */
    @Test
    void aBenchThatKnowsTheModelDecidesToo() {
        client.post(
                "/api/people",
                body("name", "tern", "password", "quay lantern", "roles", java.util.List.of("BENCH", "COUNTER")));
        Client bench = SHOP.client().signedIn("tern", "quay lantern");
        SmallShop shop = new SmallShop(client);
        SmallShop hands = shop.by(bench);
        String notes = "/api/revisions/" + shop.revision;
        JsonNode lid = client.get(notes + "/teardown").body().get("steps").get(0);
        ((tools.jackson.databind.node.ObjectNode) lid).put("minutes", 7);
        Client.Answer first = client.post(notes + "/proposals", body("step", lid, "why", "seven minutes"));
        for (int n = 0; n < 5; n++) {
            assertThat(bench.get(notes + "/proposals")
                            .body()
                            .get(0)
                            .get("yours")
                            .asBoolean())
                    .as("after closing %d", n)
                    .isFalse();
            hands.mended(hands.takenIn(), "CLEANED", null);
        }
        assertThat(bench.get(notes + "/proposals").body().get(0).get("yours").asBoolean())
                .isTrue();
        assertThat(bench.post("/api/proposals/" + first.id() + "/accept", "").status())
                .isEqualTo(200);
        ((tools.jackson.databind.node.ObjectNode) lid).put("minutes", 8);
        Client.Answer own = bench.post(notes + "/proposals", body("step", lid, "why", "eight, rather"));
        assertThat(bench.post("/api/proposals/" + own.id() + "/accept", "").status())
                .isEqualTo(403);
    }
}
