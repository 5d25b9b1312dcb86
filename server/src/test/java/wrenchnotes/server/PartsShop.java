package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import wrenchnotes.server.diagnosis.Book;
import wrenchnotes.server.ground.Snapshot;

/** A small shop with washers in a drawer, and units that bear one each. */
final class PartsShop {

    static final long EACH = 140;
    static final String PIECE = "washer";

    final Client client;
    final SmallShop shop;
    final long part;
    private final RunningShop running;

    PartsShop(RunningShop running) {
        this.running = running;
        client = running.client().asFirstLead();
        shop = new SmallShop(client);
        part = client.post(
                        "/api/parts",
                        body("drawer", "2", "name", "washer 8 mm", "what", "", "eachMinor", EACH, "count", 900))
                .id();
    }

    long opened() {
        long job = shop.takenIn();
        shop.in(job, "lid");
        shop.in(job, "deck");
        return job;
    }

    /** The unit of a job that has left comes in again, and is opened. */
    long openedAgain(long job) {
        Map<String, Object> coming = shop.coming();
        coming.put(
                "unitId",
                shop.sheet(job).body().get("job").get("unit").get("id").asLong());
        long again = SmallShop.taken(client.post("/api/jobs", coming));
        shop.in(again, "lid");
        shop.in(again, "deck");
        return again;
    }

    Client.Answer replacedOut(long job) {
        Map<String, Object> replaced =
                body("thing", PIECE, "back", 0, "replaced", 1, "leftOut", 0, "reason", "", "partId", part);
        return client.bench(job, "steps/deck/out", Map.of("settled", List.of(replaced)));
    }

    Client.Answer found(long job, String remedy, int count) {
        return client.post(
                "/api/jobs/" + job + "/findings",
                body(
                        "component",
                        "thrust washer",
                        "wrong",
                        "worn",
                        "remedy",
                        remedy,
                        "parts",
                        List.of(SmallShop.fromDrawer(part, count)),
                        "remark",
                        ""));
    }

    void strike(long job) {
        JsonNode findings = shop.sheet(job).body().get("findings");
        long last = findings.get(findings.size() - 1).get("id").asLong();
        assertThat(client.post("/api/findings/" + last + "/correction", Map.of("why", "not so"))
                        .status())
                .isEqualTo(200);
    }

    /** What the last closed job's parts cost, as the odds and estimates read it. */
    long learned() {
        return running.bean(Snapshot.class)
                .read(() -> running.bean(Book.class).read((closed, names) -> closed.partsMinor(closed.size() - 1)));
    }

    int stock() {
        return client.get("/api/parts").body().values().stream()
                .filter(one -> one.get("id").asLong() == part)
                .findFirst()
                .orElseThrow()
                .get("count")
                .asInt();
    }

    long cost(long job) {
        return shop.sheet(job).body().get("partsMinor").asLong();
    }

    JsonNode bench(long job) {
        return client.get("/api/jobs/" + job + "/bench").body();
    }

    String account(long job) {
        return account(job, PIECE);
    }

    /** The one account that holds a thing. */
    String account(long job, String thing) {
        return bench(job).get("way").get("steps").values().stream()
                .flatMap(step -> step.get("things").values().stream())
                .filter(one -> one.get("id").asString().equals(thing))
                .map(one -> one.get("accounts").propertyNames().iterator().next())
                .findFirst()
                .orElseThrow();
    }
}
