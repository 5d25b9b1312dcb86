package wrenchnotes.server.browser;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import wrenchnotes.server.Client;

/** Units of one model: layer under layer, an idler under the last, which was found glazed before and whose part lies in a drawer. */
final class Layers {

    private final Client lead;
    private final long revision;

    /** @param layers each of three screws; the third has a caution, the last a plug */
    Layers(Client lead, int layers) {
        this.lead = lead;
        long model = lead.post("/api/models", Map.of("maker", "Cormorant Works", "name", "Onion 5", "kind", "PLAYER"))
                .id();
        revision = lead.post("/api/models/" + model + "/revisions", Map.of("name", "A", "tellApart", ""))
                .id();
        long idler = lead.post("/api/models/" + model + "/components", Map.of("name", "idler"))
                .id();
        long part = lead.post(
                        "/api/parts",
                        body("drawer", "4", "name", "idler tyre 13 mm", "what", "", "eachMinor", 120, "count", 6))
                .id();
        List<Map<String, Object>> steps = new ArrayList<>();
        for (int n = 1; n <= layers; n++) {
            Map<String, Object> step =
                    TakenIn.step("s" + n, "Layer " + n + " off", n == 1 ? List.of() : List.of("s" + (n - 1)));
            step.remove("pieces");
            step.put("fasteners", List.of(body("id", "f" + n, "label", "layer " + n, "count", 3)));
            if (n == 3) {
                step.put("caution", "Springs under it: mind your eyes.");
            }
            if (n == layers) {
                step.put("connectors", List.of(Map.of("id", "plug", "label", "motor plug", "mark", "red to the edge")));
                step.put("exposes", List.of(idler));
            }
            steps.add(step);
        }
        Map<String, Object> overview = body(
                "checks",
                List.of(
                        Map.of("stage", "BEFORE_CLOSING", "what", "lamp lights", "load", "", "times", 1),
                        Map.of("stage", "AFTER_CLOSING", "what", "plays to the end", "load", "", "times", 1)));
        Client.Answer saved = lead.put(
                "/api/revisions/" + revision + "/teardown", 0, body("overview", overview, "steps", steps, "why", ""));
        assertThat(saved.status()).as(saved.body().toString()).isEqualTo(200);
        long before = takenIn();
        lead.post(
                "/api/jobs/" + before + "/findings",
                body(
                        "component",
                        "idler",
                        "wrong",
                        "glazed",
                        "remedy",
                        "REPLACED",
                        "parts",
                        List.of(Map.of("partId", part, "count", 1, "cameFrom", "DRAWER")),
                        "remark",
                        ""));
    }

    /** @return the id of its job */
    long takenIn() {
        Client.Answer taken = lead.post(
                "/api/jobs",
                body(
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
                        body("complaint", "silent", "symptoms", List.of(), "marks", List.of())));
        assertThat(taken.status()).as(taken.body().toString()).isEqualTo(201);
        return taken.body().get("jobId").asLong();
    }
}
