package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** A supply of one rail, 5 V, as it is read and kept in a job. */
final class ReadRails {

    private ReadRails() {}

    static Map<String, Object> rails(double five, String stage, boolean goodUnit) {
        Map<String, Object> rail = body("name", "5 V", "kind", "REGULATED", "nominal", 5, "measured", five);
        Map<String, Object> asked = body("mains", body("nominal", 230, "measured", 231), "rails", List.of(rail));
        return body(
                "asked",
                body("rails", asked),
                "typed",
                body("mains", "231", "lines", List.of(body("name", "5 V", "measured", five + " V"))),
                "place",
                "supply board",
                "stage",
                stage,
                "goodUnit",
                goodUnit,
                "instrument",
                "bench meter");
    }

    static JsonNode saved(Client client, long job, Map<String, Object> measured) {
        Client.Answer answer = client.post("/api/jobs/" + job + "/measurements", measured);
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(201);
        return answer.body();
    }
}
