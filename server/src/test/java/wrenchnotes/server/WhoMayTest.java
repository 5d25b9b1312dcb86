package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.team.Role;

/**
 * Who may do what: every door of the API that writes is tried by somebody of each role, and the matrix that comes out is the one that
 * docs/who-may.md promises. {@code make types} renews that file; what it says is to be read by a person before it is committed.
 */
@Tag("shop")
class WhoMayTest {

    private static final Path FILE = Path.of("../docs/who-may.md");
    private static final boolean RENEW = Boolean.getBoolean("openapi.renew");

    /** Itself for practice: one that opens another would make a demo shop for half a minute. */
    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty().set("wrenchnotes.practice=true");

    private static final String EVERYBODY =
            Stream.of(Role.values()).map(Role::words).collect(Collectors.joining(", "));

    private static Client lead;

    @BeforeAll
    static void first() {
        lead = SHOP.client().asFirstLead();
    }

    @Test
    void eachDoorOpensForWhomTheListSays() throws IOException {
        Map<Role, Client> people = new LinkedHashMap<>();
        for (Role role : Role.values()) {
            String name = "a " + role.words();
            assertThat(lead.post("/api/people", body("name", name, "password", "quay lantern", "roles", List.of(role)))
                            .status())
                    .isEqualTo(201);
            people.put(role, SHOP.client().signedIn(name, "quay lantern"));
        }
        List<String> lines = new ArrayList<>(List.of(
                "# Who may",
                "",
                "`core.team.Act` is the whole table; `server.team.Doorkeeper` asks at every door. A lead may do all of it, and can",
                "give anybody more roles. This file is held to the running application by `WhoMayTest`; `make types` renews it.",
                "",
                "| Act: who may … | Roles |",
                "|---|---|"));
        for (Act act : Act.values()) {
            lines.add("| %s | %s |".formatted(act.words(), act.who()));
        }
        lines.addAll(List.of("", "| Door | Roles |", "|---|---|"));
        lead.get("/api/openapi.json").body().get("paths").properties().forEach(path -> path.getValue()
                .properties()
                .forEach(door -> {
                    String method = door.getKey().toUpperCase(java.util.Locale.ROOT);
                    if (path.getKey().startsWith("/api/session")) {
                        return;
                    }
                    String who = let(people, method, path.getKey());
                    // What everybody of the shop may look at is not listed.
                    if (!method.equals("GET") || !who.equals(EVERYBODY)) {
                        lines.add("| %s %s | %s |".formatted(method, path.getKey(), who));
                    }
                    strangers(method, path.getKey());
                }));
        String now = String.join("\n", lines) + "\n";
        if (RENEW) {
            Files.writeString(FILE, now);
        }
        assertThat(lines).hasSizeGreaterThan(100);
        assertThat(Files.readString(FILE))
                .as("docs/who-may.md is out of date: run make types, and read it")
                .isEqualTo(now);
    }

    /** Nobody who is not signed in comes through, but to three doors that are for them. */
    private static void strangers(String method, String path) {
        if (!Set.of("/api/calendar.ics", "/api/network/root.crt").contains(path)) {
            Client.Answer answer =
                    SHOP.client().send(method, path.replaceAll("\\{[^}]*}", "424242"), Map.of(), Map.of());
            assertThat(answer.status()).as(method + " " + path).isEqualTo(401);
        }
    }

    /** Those who were let in: whatever came of it then. */
    private static String let(Map<Role, Client> people, String method, String path) {
        return people.entrySet().stream()
                .filter(one -> {
                    String at = path.replaceAll("\\{[^}]*}", "424242");
                    if (method.equals("GET")) {
                        return one.getValue().status(at) != 403;
                    }
                    Client.Answer answer = one.getValue().send(method, at, Map.of(), Map.of());
                    if (answer.status() == 403) {
                        assertThat(answer.detail()).as(path).contains("lead");
                    }
                    assertThat(answer.status()).as(method + " " + path).isLessThan(500);
                    return answer.status() != 403;
                })
                .map(one -> one.getKey().words())
                .collect(Collectors.joining(", "));
    }

    @Test
    void aLeadGivesRolesAndTheLastLeadStays() {
        JsonNode wim = lead.post(
                        "/api/people", body("name", "wim", "password", "quay lantern", "roles", List.of("COUNTER")))
                .body();
        Client his = SHOP.client().signedIn("wim", "quay lantern");
        String hold = "/api/jobs/424242/holds";
        assertThat(his.send("POST", hold, Map.of(), Map.of()).status()).isEqualTo(403);
        String roles = "/api/people/" + wim.get("id").asLong() + "/roles";
        assertThat(lead.send("PUT", roles, Map.of(), body("roles", List.of("COUNTER", "BENCH")))
                        .status())
                .isEqualTo(200);
        // At once, in the session that he has.
        assertThat(his.send("POST", hold, Map.of(), Map.of()).status()).isNotEqualTo(403);
        assertThat(his.get("/api/session").body().get("may").values())
                .extracting(JsonNode::asString)
                .contains("HOLD", "CHECK_IN")
                .doesNotContain("PEOPLE");
        long me = lead.get("/api/session").body().get("person").get("id").asLong();
        for (JsonNode other : lead.get("/api/people").body().values()) {
            if (other.get("id").asLong() != me) {
                lead.send(
                        "PUT",
                        "/api/people/" + other.get("id").asLong() + "/roles",
                        Map.of(),
                        body("roles", List.of("BENCH")));
            }
        }
        assertThat(lead.send("PUT", "/api/people/" + me + "/roles", Map.of(), body("roles", List.of("BENCH")))
                        .detail())
                .contains("Somebody has to be the lead");
    }

    /** One's own may be put right by whoever entered it; somebody else's by a lead only. */
    @Test
    void whatSomebodyElseEnteredIsALeadsToCorrect() {
        SmallShop shop = new SmallShop(lead);
        long job = shop.takenIn();
        Client one = bench("bo");
        Client other = bench("cy");
        long finding = shop.by(one).finding(job, "slack", "CLEANED", null).id();
        long look = shop.by(one).look(job);
        long price = lead.get("/api/parts").body().get(0).get("eachMinor").asLong();
        Map<String, Object> struck = body("why", "wrong unit");
        String correction = "/api/findings/" + finding + "/correction";

        assertThat(other.post(correction, struck).detail()).contains("correct what somebody else entered", "lead may");
        assertThat(other.delete("/api/jobs/" + job + "/looks/" + look).status()).isEqualTo(403);
        assertThat(one.post(correction, struck).status()).isEqualTo(200);
        assertThat(lead.delete("/api/jobs/" + job + "/looks/" + look).status()).isEqualTo(200);
        JsonNode part = lead.get("/api/parts").body().get(0);
        Map<String, Object> dearer =
                body("drawer", part.get("drawer"), "name", part.get("name"), "what", part.get("what"), "count", 0);
        dearer.put("eachMinor", price + 100);
        String at = "/api/parts/" + part.get("id").asLong();
        assertThat(one.put(at, part.get("version").asLong(), dearer).detail()).contains("set prices");
        dearer.put("eachMinor", price);
        assertThat(one.put(at, part.get("version").asLong(), dearer).status()).isEqualTo(200);
    }

    private static Client bench(String name) {
        lead.post("/api/people", body("name", name, "password", "quay lantern", "roles", List.of("BENCH")));
        return SHOP.client().signedIn(name, "quay lantern");
    }
}
