package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** A shop with one model, one revision with two steps of notes, and one part: made over the API, as a person would. */
public final class SmallShop {

    final Client client;
    final long model;
    final long revision;
    final long belt;
    final long part;

    public SmallShop(Client client) {
        this.client = client;
        model = made(
                "/api/models",
                Map.of("maker", "Cormorant Works", "name", "Tide " + System.nanoTime(), "kind", "PLAYER"));
        revision = made("/api/models/" + model + "/revisions", Map.of("name", "A", "tellApart", "blue feet"));
        belt = made("/api/models/" + model + "/components", Map.of("name", "belt"));
        Client.Answer saved =
                client.put("/api/revisions/" + revision + "/teardown", 0, Map.of("steps", steps(), "why", ""));
        if (saved.status() != 200) {
            throw new IllegalStateException("Notes not saved: " + saved.body());
        }
        part = made(
                "/api/parts",
                body("drawer", "1", "name", "belt " + System.nanoTime(), "what", "", "eachMinor", 140, "count", 2));
    }

    private SmallShop(SmallShop shop, Client client) {
        this.client = client;
        this.model = shop.model;
        this.revision = shop.revision;
        this.belt = shop.belt;
        this.part = shop.part;
    }

    /** The same shop in somebody else's hands. */
    SmallShop by(Client other) {
        return new SmallShop(this, other);
    }

    List<Map<String, Object>> steps() {
        Map<String, Object> screws = body(
                "id",
                "case",
                "label",
                "case",
                "head",
                "CROSS",
                "size",
                "PH1",
                "thread",
                "TAPPING",
                "diameterMm",
                2.9,
                "lengthMm",
                12,
                "finish",
                "BLACK",
                "count",
                4);
        Map<String, Object> lid = body(
                "id",
                "lid",
                "title",
                "Lid off",
                "side",
                "BOTTOM",
                "tool",
                "PH1",
                "minutes",
                2,
                "fasteners",
                List.of(screws));
        Map<String, Object> deck = body(
                "id",
                "deck",
                "title",
                "Deck out",
                "needs",
                List.of("lid"),
                "side",
                "TOP",
                "tool",
                "",
                "minutes",
                3,
                "connectors",
                List.of(Map.of("id", "lead", "label", "motor lead", "mark", "red to the rim")),
                "pieces",
                List.of(Map.of("id", "washer", "label", "thrust washer", "hint", "", "count", 1)),
                "exposes",
                List.of(belt));
        return List.of(lid, deck);
    }

    Map<String, Object> coming() {
        return body(
                "serial",
                "",
                "revisionId",
                revision,
                "ownership",
                "CUSTOMER",
                "ownerName",
                "Harbour choir",
                "ownerContact",
                "",
                "arrival",
                body("complaint", "does nothing", "symptoms", List.of(Map.of("name", "dead", "present", true))));
    }

    /** @return the id of its job */
    public long takenIn() {
        return taken(client.post("/api/jobs", coming()));
    }

    static long taken(Client.Answer answer) {
        if (answer.status() != 201) {
            throw new IllegalStateException("Not taken in: " + answer.body());
        }
        return answer.body().get("jobId").asLong();
    }

    /** Off and unplugged; why it is opened again is said whether or not it was closed before. */
    public Client.Answer start(long job) {
        return client.bench(
                job,
                "start",
                body("targets", List.of(), "off", true, "missing", List.of(), "rework", "SECOND_FAULT", "words", ""));
    }

    /** One step in, on a run that is begun if there is none. */
    Client.Answer in(long job, String step) {
        if (client.get("/api/jobs/" + job + "/bench").body().path("run").isMissingNode()) {
            start(job);
        }
        return client.bench(job, "steps/" + step + "/in", Map.of("found", List.of()));
    }

    Client.Answer out(long job, String step) {
        return client.bench(job, "steps/" + step + "/out", Map.of("settled", List.of()));
    }

    Client.Answer check(long job, String stage, String verdict) {
        return client.post(
                "/api/jobs/" + job + "/checks",
                body(
                        "stage", stage, "verdict", verdict, "what", "plays", "powered", false, "load", "", "times", 1,
                        "remark", ""));
    }

    /** How a run is begun. */
    static Map<String, Object> starting(boolean off, List<Long> targets, String rework) {
        return body("targets", targets, "off", off, "missing", List.of(), "rework", rework, "words", "");
    }

    /** What came off a unit that no notes know: a step in plain words. */
    static Map<String, Object> cameOff(String title, int screws, String plugs) {
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

    /** What is known of a unit of the revision at the counter. */
    JsonNode outlook(String query) {
        Client.Answer answer = client.get("/api/revisions/" + revision + "/outlook" + query);
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body();
    }

    /** The belt of a job, seen good; the look's number. */
    long look(long job) {
        return client.post(
                        "/api/jobs/" + job + "/looks",
                        body("componentId", belt, "good", true, "means", "MEASURED", "words", "springs back"))
                .body()
                .get("looks")
                .get(0)
                .get("id")
                .asLong();
    }

    /** Some of a part, as a finding says it. */
    static Map<String, Object> fromDrawer(long part, int count) {
        return body("partId", part, "count", count, "cameFrom", "DRAWER");
    }

    Client.Answer finding(long job, String wrong, String remedy, Long partId) {
        return client.post(
                "/api/jobs/" + job + "/findings",
                body(
                        "component",
                        "belt",
                        "wrong",
                        wrong,
                        "remedy",
                        remedy,
                        "parts",
                        partId == null ? List.of() : List.of(fromDrawer(partId, 1)),
                        "remark",
                        ""));
    }

    Client.Answer sheet(long job) {
        return client.get("/api/jobs/" + job);
    }

    String standing(long job) {
        return sheet(job).body().get("status").get("standing").asString();
    }

    /** Opens, mends, closes, checks, hands over. */
    void mended(long job, String remedy, Long partId) {
        in(job, "lid");
        in(job, "deck");
        finding(job, "slack", remedy, partId);
        out(job, "deck");
        leaves(job);
    }

    /** One whose deck is back: the lid on if it is off, closed, checked, and handed over as mended. */
    void leaves(long job) {
        check(job, "BEFORE_CLOSING", "PASSED");
        if (client.get("/api/jobs/" + job + "/bench").body().get("way").has("nextOut")) {
            out(job, "lid");
        }
        Client.Answer closed = client.bench(job, "close", "");
        if (closed.status() != 200) {
            throw new IllegalStateException("Not closed: " + closed.body());
        }
        check(job, "AFTER_CLOSING", "PASSED");
        client.post("/api/jobs/" + job + "/outcome", Map.of("outcome", "FIXED", "remark", ""));
        Client.Answer handed = client.post("/api/jobs/" + job + "/handover", "");
        if (handed.status() != 200) {
            throw new IllegalStateException("Not handed over: " + handed.body());
        }
    }

    private long made(String path, Object body) {
        Client.Answer answer = client.post(path, body);
        if (answer.status() != 201) {
            throw new IllegalStateException(path + ": " + answer.body());
        }
        return answer.id();
    }
}
