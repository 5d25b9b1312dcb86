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

/** Notes over HTTP: plans, revisions that share, versions. */
@Tag("shop")
class NotesOverHttpTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty();

    private static Client client;
    private static SmallShop small;

    @BeforeAll
    static void aShop() {
        client = SHOP.client().asFirstLead();
        small = new SmallShop(client);
    }

    @Test
    void plansBeforeAnythingIsSaved() {
        Map<String, Object> plan = body(
                "steps",
                List.of(
                        body(
                                "id",
                                "foot",
                                "needs",
                                List.of(),
                                "side",
                                "bottom",
                                "tool",
                                "PH1",
                                "minutes",
                                3,
                                "exposes",
                                List.of(),
                                "insteadOf",
                                null,
                                "partsCost",
                                0,
                                "reversible",
                                true),
                        body(
                                "id",
                                "cut",
                                "needs",
                                List.of("foot"),
                                "side",
                                "BOTTOM",
                                "tool",
                                "cutter",
                                "minutes",
                                4,
                                "exposes",
                                List.of("lens"),
                                "insteadOf",
                                "plate",
                                "partsCost",
                                0,
                                "reversible",
                                false),
                        body(
                                "id",
                                "swap",
                                "needs",
                                List.of("foot"),
                                "side",
                                "BOTTOM",
                                "tool",
                                "PH1",
                                "minutes",
                                40,
                                "exposes",
                                List.of("lens"),
                                "insteadOf",
                                "plate",
                                "partsCost",
                                3200,
                                "reversible",
                                true)),
                "targets",
                List.of("lens"),
                "flipMinutes",
                0.5,
                "toolMinutes",
                0.25,
                "startSide",
                "TOP");
        JsonNode answer = client.post("/api/teardown/plan", plan).body();
        assertThat(answer.get("exact").asBoolean()).isTrue();
        assertThat(answer.get("best").get("order").values())
                .extracting(JsonNode::asString)
                .containsExactly("foot", "cut");
        assertThat(answer.get("best").get("minutes").asDouble()).isEqualTo(8.0);
        assertThat(answer.get("lowerBound").asDouble()).isEqualTo(8.0);
        assertThat(answer.get("offers").get("undo").get("partsCost").asLong()).isEqualTo(3200);
        assertThat(answer.get("offers").get("parts").get("flips").asInt()).isEqualTo(1);

        Client.Answer unreachable = client.post(
                "/api/teardown/plan",
                body(
                        "steps",
                        List.of(body("id", "a", "needs", List.of("b"), "side", "TOP", "minutes", 1)),
                        "targets",
                        List.of("lens"),
                        "startSide",
                        "TOP"));
        assertThat(unreachable.status()).isEqualTo(400);
        assertThat(unreachable.field()).isEqualTo("steps[0].needs");
    }

    @Test
    void aRevisionStartsAsACopyAndAFixIsOfferedToTheOther() {
        Client.Answer copy = client.post(
                "/api/models/" + small.model + "/revisions",
                body("name", "B", "tellApart", "smooth foot", "copyOf", small.revision));
        assertThat(copy.body().get("notes").asLong()).isEqualTo(1);
        String b = "/api/revisions/" + copy.id();
        String a = "/api/revisions/" + small.revision;
        assertThat(client.get(b + "/differences?from=" + small.revision)
                        .body()
                        .get("steps")
                        .size())
                .isZero();

        JsonNode steps = client.get(a + "/teardown").body().get("steps");
        ((tools.jackson.databind.node.ObjectNode) steps.get(0)).put("minutes", 6);
        Client.Answer saved = client.put(a + "/teardown", 1, body("steps", steps, "why", "six minutes, not two"));
        assertThat(saved.status()).isEqualTo(200);
        JsonNode diff = client.get(a + "/teardown/differences?from=1&to=2").body();
        assertThat(diff.get("steps").get(0).get("changes").get(0).asString()).isEqualTo("minutes: 2 → 6");
        assertThat(client.get(a + "/teardown/versions").body().get(0).get("why").asString())
                .isEqualTo("six minutes, not two");

        JsonNode offer = client.get(a + "/teardown/offers").body().get(0);
        assertThat(offer.get("revision").asString()).isEqualTo("B");
        Map<String, Object> take = body(
                "from",
                small.revision,
                "steps",
                List.of(offer.get("steps").get(0).get("id")));
        assertThat(client.post(b + "/teardown/take-over", take, Map.of("If-Match", "\"0\""))
                        .status())
                .isEqualTo(412);
        assertThat(client.post(b + "/teardown/take-over", take, Map.of("If-Match", "\"1\""))
                        .status())
                .isEqualTo(200);
        assertThat(client.get(b + "/differences?from=" + small.revision)
                        .body()
                        .get("steps")
                        .size())
                .isZero();
    }

    @Test
    void theWayToAComponentComesFromTheNotes() {
        JsonNode way = client.get("/api/revisions/" + small.revision + "/access?targets=" + small.belt)
                .body()
                .get("time");
        assertThat(way.get("plan").get("order").values())
                .extracting(JsonNode::asString)
                .containsExactly("lid", "deck");
        assertThat(way.get("connectors").asInt()).isEqualTo(1);
        assertThat(client.get("/api/revisions/" + small.revision + "/access?targets=99999")
                        .field())
                .isEqualTo("targets");
    }

    @Test
    void aBenchProposesAndALeadDecides() {
        client.post(
                "/api/people", body("name", "wren", "password", "quay lantern", "roles", java.util.List.of("BENCH")));
        Client bench = SHOP.client().signedIn("wren", "quay lantern");
        SmallShop own = new SmallShop(client);
        long job = own.takenIn();
        String notes = "/api/revisions/" + own.revision;
        JsonNode lid = client.get(notes + "/teardown").body().get("steps").get(0);
        ((tools.jackson.databind.node.ObjectNode) lid.get("fasteners").get(0)).put("count", 5);
        Client.Answer proposed =
                bench.post(notes + "/proposals", body("step", lid, "why", "five screws, not four", "jobId", job));
        assertThat(proposed.status()).as(proposed.body().toString()).isEqualTo(201);
        assertThat(bench.post("/api/proposals/" + proposed.id() + "/accept", "").status())
                .isEqualTo(403);

        JsonNode waiting = client.get(notes + "/proposals").body().get(0);
        assertThat(waiting.get("tag").asString()).startsWith("WN-");
        assertThat(waiting.get("changes").get(0).asString()).contains("4 cross").contains("→ 5 cross");
        Client.Answer accepted = client.post("/api/proposals/" + proposed.id() + "/accept", "");
        assertThat(accepted.body().get("notes").asLong()).isEqualTo(2);
        assertThat(client.get(notes + "/teardown").body().get("why").asString())
                .startsWith("five screws, not four (wren, seen on WN-");
        assertThat(client.get(notes + "/proposals").body().size()).isZero();

        // A second one, made from what the notes said before, would undo the first.
        ((tools.jackson.databind.node.ObjectNode) lid).put("minutes", 3);
        Client.Answer second = bench.post(notes + "/proposals", body("step", lid, "why", "three minutes"));
        ((tools.jackson.databind.node.ObjectNode) lid).put("minutes", 9);
        JsonNode steps = client.get(notes + "/teardown").body().get("steps");
        client.put(notes + "/teardown", 2, body("steps", List.of(lid, steps.get(1)), "why", "nine"));
        assertThat(client.post("/api/proposals/" + second.id() + "/accept", "").detail())
                .startsWith("This step was changed since");
        assertThat(client.post("/api/proposals/" + second.id() + "/decline", body("why", "it is nine"))
                        .status())
                .isEqualTo(200);
    }

    /** Steps of another model: what they expose is called the same here, and made where nothing is called so. */
    @Test
    void stepsOfALikeModelAreTakenAsABlock() {
        SmallShop shop = new SmallShop(client);
        long model = client.post("/api/models", Map.of("maker", "Cormorant Works", "name", "Like it", "kind", "PLAYER"))
                .id();
        long revision = client.post("/api/models/" + model + "/revisions", Map.of("name", "A", "tellApart", ""))
                .id();
        String to = "/api/revisions/" + revision + "/teardown/block";
        Map<String, Object> said = body("from", shop.revision, "steps", List.of("lid", "deck"));
        Map<String, String> none = Map.of("If-Match", "\"0\"");
        JsonNode taken = client.post(to, said, none).body();
        assertThat(taken.get("steps").valueStream().map(step -> step.get("title")
                        .asString()))
                .containsExactly("Lid off", "Deck out");
        assertThat(taken.get("why").asString()).startsWith("2 steps as in ");
        assertThat(client.get("/api/models/" + model)
                        .body()
                        .get("components")
                        .valueStream()
                        .map(one -> one.get("name").asString()))
                .containsExactly("belt");
        assertThat(client.post(to, said, none).status())
                .as("somebody else wrote meanwhile")
                .isEqualTo(412);
        JsonNode again = client.post(to, said, Map.of("If-Match", "\"1\"")).body();
        assertThat(again.get("steps").valueStream().map(step -> step.get("id").asString()))
                .containsExactly("lid", "deck", "lid-2", "deck-2");
        assertThat(client.post(to, body("from", shop.revision, "steps", List.of("roof")), Map.of("If-Match", "\"2\""))
                        .status())
                .isEqualTo(400);
    }
}
