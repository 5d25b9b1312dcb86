package wrenchnotes.server.browser;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import tools.jackson.databind.JsonNode;
import wrenchnotes.server.Client;

/** Every address of the application, in the demo shop. */
final class Addresses {

    private static final List<String> GAUGES =
            List.of("belt", "gear", "thread", "rails", "logic", "chain", "spindle", "bleed", "capacitor", "limit");
    private static final List<String> VIEWS = List.of("", "/way", "/notes", "/whole", "/differences");

    private Addresses() {}

    /** What a page is, whichever unit or model it shows. */
    static String kind(String address) {
        return address.replaceAll("\\d+", "n");
    }

    /** One job of each standing, every gauge with a job and without, two models in each of their views. */
    static List<String> of(Client client) {
        List<String> all = new ArrayList<>(List.of(
                "/rack",
                "/checkin",
                "/words",
                "/lots",
                "/bench",
                "/models",
                "/drawers",
                "/drawers?part=1",
                "/drawers?drawer=21",
                "/drawers?orders=&order=14",
                "/drawers?donors=",
                "/drawers?list=",
                "/drawers?unread=",
                "/drawers?add=",
                "/patterns",
                "/patterns?component=drawer%20belt&ownership=CUSTOMER",
                "/patterns/month",
                "/team",
                "/team/gate",
                "/team/journal",
                "/team/kept"));
        all.add("/drawers?donors=&donor="
                + client.get("/api/donors").body().get(0).get("unitId").asLong());
        JsonNode rack = client.get("/api/rack").body();
        TreeSet<String> standings = new TreeSet<>();
        List<Long> jobs = new ArrayList<>();
        for (String heap : List.of("next", "waiting", "ready")) {
            rack.path(heap).forEach(row -> {
                if (standings.add(row.path("status")
                        .path("standing")
                        .asString(row.path("standing").asString("")))) {
                    jobs.add(row.get("jobId").asLong());
                }
            });
        }
        jobs.add(1L);
        jobs.forEach(job -> all.addAll(List.of("/jobs/" + job, "/bench/" + job)));
        GAUGES.forEach(gauge -> all.add("/gauges/" + gauge));
        all.add("/gauges/rails?job=" + jobs.get(0));
        client.get("/api/lots")
                .body()
                .forEach(lot -> all.add("/lots/" + lot.path("id").asLong(1)));
        for (int at = 0; at < 2; at++) {
            JsonNode model = client.get("/api/models").body().get(at);
            String one = "/models/" + model.get("model").get("id").asLong() + "/"
                    + model.get("revisions").get(0).get("id").asLong();
            VIEWS.forEach(view -> all.add(one + view));
        }
        return all.stream().distinct().toList();
    }
}
