package wrenchnotes.server.browser;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import java.util.List;
import java.util.Map;
import wrenchnotes.server.Client;

/** A unit of a model that is made for one test, come over the counter. */
final class TakenIn {

    private TakenIn() {}

    /**
     * @param marks of its state
     * @return the id of its job
     */
    static long job(
            Client lead,
            String model,
            String kind,
            Map<String, Object> overview,
            List<Map<String, Object>> steps,
            List<String> marks) {
        long made = lead.post("/api/models", Map.of("maker", "Cormorant Works", "name", model, "kind", kind))
                .id();
        long revision = lead.post("/api/models/" + made + "/revisions", Map.of("name", "A", "tellApart", ""))
                .id();
        Client.Answer saved = lead.put(
                "/api/revisions/" + revision + "/teardown", 0, body("overview", overview, "steps", steps, "why", ""));
        assertThat(saved.status()).as(saved.body().toString()).isEqualTo(200);
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
                        body("complaint", "silent", "symptoms", List.of(), "marks", marks)));
        assertThat(taken.status()).as(taken.body().toString()).isEqualTo(201);
        return taken.body().get("jobId").asLong();
    }

    /** A step that takes off one loose piece. */
    static Map<String, Object> step(String id, String title, List<String> needs) {
        return body(
                "id",
                id,
                "title",
                title,
                "side",
                "TOP",
                "tool",
                "",
                "minutes",
                2,
                "needs",
                needs,
                "pieces",
                List.of(Map.of("id", id + "-p", "label", id, "hint", "", "count", 1)));
    }
}
