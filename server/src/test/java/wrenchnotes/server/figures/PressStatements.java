package wrenchnotes.server.figures;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;
import wrenchnotes.server.Client;

/** How many statements one press on the bench asks of the database, and what a press takes over HTTP. */
final class PressStatements {

    private static final int PRESSES = 400;

    private PressStatements() {}

    /** @param shop with an {@link Overhearing.Ear}, and a unit that lies open with a step to do */
    static void measure(ConfigurableApplicationContext shop, Client client, long job) {
        saysItIsSafe(client, job);
        Overhearing.Ear ear = shop.getBean(Overhearing.Ear.class);
        List<Integer> in = new ArrayList<>();
        List<Integer> back = new ArrayList<>();
        for (int n = 0; n < 6; n++) {
            JsonNode bench = client.get("/api/jobs/" + job + "/bench").body();
            long version = bench.get("version").asLong();
            ear.heard();
            press(client, job, "steps/" + bench.get("way").get("nextIn").asString() + "/in", version, n);
            in.add(ear.heard().size());
            press(client, job, "back", version + 1, n);
            back.add(ear.heard().size());
        }
        System.out.printf(
                "statements a press, job with %d things: step in %s, taken back %s%n",
                things(client, job), in.get(in.size() - 1), back.get(back.size() - 1));
    }

    /** Without an ear: what one press takes from request to answer. */
    static Times time(Client client, long job) {
        saysItIsSafe(client, job);
        long[] nanos = new long[PRESSES];
        JsonNode bench = client.get("/api/jobs/" + job + "/bench").body();
        long version = bench.get("version").asLong();
        String step = bench.get("way").get("nextIn").asString();
        for (int n = -PRESSES; n < PRESSES; n++) {
            long begin = System.nanoTime();
            press(client, job, n % 2 == 0 ? "steps/" + step + "/in" : "back", version++, n + PRESSES + 100);
            if (n >= 0) {
                nanos[n] = System.nanoTime() - begin;
            }
        }
        return new Times(nanos);
    }

    /** What has to be said before hands go in is said first, by its own presses. */
    private static void saysItIsSafe(Client client, long job) {
        for (int asked = 0; asked < 20; asked++) {
            JsonNode way = client.get("/api/jobs/" + job + "/bench").body().get("way");
            JsonNode first = null;
            for (JsonNode step : way.get("steps")) {
                if (step.get("id").asString().equals(way.get("nextIn").asString())) {
                    first = step.get("sayFirst");
                }
            }
            if (first == null || first.isNull()) {
                return;
            }
            Client.Answer said = first.get("what").asString().equals("UNPLUG")
                    ? client.bench(job, "power", Map.of("power", "UNPLUGGED", "why", ""))
                    : client.bench(
                            job, "steps/" + first.get("hazard").get("step").asString() + "/heed", "");
            if (said.status() != 200) {
                throw new IllegalStateException("Not safe to press: " + said.body());
            }
        }
    }

    private static void press(Client client, long job, String act, long version, int number) {
        Client.Answer answer = client.post(
                "/api/jobs/" + job + "/bench/" + act,
                act.equals("back") ? "" : Map.of("found", List.of()),
                Map.of("If-Match", "\"" + version + "\"", "Idempotency-Key", act + job + "-" + number + "-" + version));
        if (answer.status() != 200) {
            throw new IllegalStateException(act + ": " + answer.body());
        }
    }

    private static int things(Client client, long job) {
        int things = 0;
        for (JsonNode step : client.get("/api/jobs/" + job + "/bench")
                .body()
                .get("way")
                .get("steps")
                .values()) {
            things += step.get("things").size();
        }
        return things;
    }
}
