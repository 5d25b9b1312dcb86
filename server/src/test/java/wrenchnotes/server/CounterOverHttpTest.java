package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** The counter and the drawers over the real API: nothing asked twice, nothing lost, nothing in two places. */
@Tag("shop")
class CounterOverHttpTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty();

    private static Client client;
    private static SmallShop shop;

    @BeforeAll
    static void open() {
        client = SHOP.client().asFirstLead();
        shop = new SmallShop(client);
    }

    @Test
    void aUnitIsFoundAgainByTagOrSerialHoweverItIsTyped() {
        Map<String, Object> coming = shop.coming();
        coming.put("serial", "HC-20-0093");
        Client.Answer taken = client.post("/api/jobs", coming);
        String tag = taken.body().get("tag").asString();
        String number = tag.substring("WN-".length()).replaceFirst("^0+", "");
        for (String typed : List.of(tag, tag.toLowerCase(java.util.Locale.ROOT), number, "wn" + number, "HC-20-0093")) {
            JsonNode found = client.get("/api/units?find=" + typed).body();
            assertThat(found.size()).as(typed).isEqualTo(1);
            assertThat(found.get(0).get("unit").get("tag").asString()).isEqualTo(tag);
        }
        assertThat(client.get("/api/units?find=no-such").body().size()).isZero();

        Map<String, Object> again = shop.coming();
        again.put(
                "unitId",
                client.get("/api/units?find=" + tag).body().get(0).get("unit").get("id"));
        assertThat(client.post("/api/jobs", again).detail()).contains(tag + " is in the shop already");
    }

    @Test
    void anOwnerIsFoundByTheFirstLettersAndKeptOnce() {
        Map<String, Object> coming = shop.coming();
        coming.put("ownerName", "Ferryman Odd");
        coming.put("ownerContact", "odd@example.org");
        client.post("/api/jobs", coming);
        JsonNode owners = client.get("/api/owners?find=ferry").body();
        assertThat(owners.size()).isEqualTo(1);
        coming.put("ownerId", owners.get(0).get("id"));
        coming.put("ownerName", "");
        long job = SmallShop.taken(client.post("/api/jobs", coming));
        JsonNode owner = shop.sheet(job).body().get("job").get("brought").get("owner");
        assertThat(owner.get("ways"))
                .isEqualTo(Client.json(Map.of("ways", List.of(Map.of("kind", "MAIL", "said", "odd@example.org"))))
                        .get("ways"));
        // Several ways, the first one first; what each is shows.
        String ways = "/api/owners/" + owner.get("id").asLong() + "/ways";
        String said = "0171 555 0123 after six\nodd@example.org; the bakery next door\n";
        assertThat(client.send("PUT", ways, Map.of(), Map.of("contact", said))
                        .body()
                        .valueStream()
                        .map(way -> way.get("kind").asString()))
                .containsExactly("PHONE", "MAIL", "ELSE");
        assertThat(client.get("/api/owners?find=0171555").body().size()).isEqualTo(1);
        assertThat(client.get("/api/owners?find=bakery").body().size()).isEqualTo(1);
        assertThat(client.send("PUT", ways, Map.of(), Map.of("contact", "a;b;c;d;e;f;g"))
                        .field())
                .isEqualTo("ownerContact");
        assertThat(client.get("/api/owners?find=ferry").body().size()).isEqualTo(1);
    }

    @Test
    void aResaleUnitMayBelongToNobodyOrToSomebodyItIsSoldFor() {
        Map<String, Object> own = shop.coming();
        own.put("ownership", "RESALE");
        own.put("ownerName", "");
        assertThat(shop.sheet(SmallShop.taken(client.post("/api/jobs", own)))
                        .body()
                        .get("job")
                        .get("brought")
                        .has("owner"))
                .isFalse();
        own.put("ownerName", "Widow Strand");
        JsonNode job = shop.sheet(SmallShop.taken(client.post("/api/jobs", own)))
                .body()
                .get("job")
                .get("brought");
        assertThat(job.get("ownership").asString()).isEqualTo("RESALE");
        assertThat(job.get("owner").get("name").asString()).isEqualTo("Widow Strand");
    }

    @Test
    void twoUnitsNeverStandInOneSlot() {
        Map<String, Object> first = shop.coming();
        first.put("slot", "C3");
        long job = SmallShop.taken(client.post("/api/jobs", first));
        Client.Answer refused = client.post("/api/jobs", first);
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.detail()).startsWith("Slot C3 holds WN-").endsWith("pick another");
        assertThat(strings(client.get("/api/checkin").body().get("freeSlots")))
                .doesNotContain("C3")
                .contains("C4");
        shop.mended(job, "CLEANED", null);
        assertThat(strings(client.get("/api/checkin").body().get("freeSlots")))
                .as("a handed over unit frees its slot")
                .contains("C3");
    }

    @Test
    void whatIsCorrectedAtTheCounterKeepsWhatStoodThere() {
        Map<String, Object> coming = shop.coming();
        coming.put(
                "arrival",
                body(
                        "complaint", "hums",
                        "symptoms", List.of(Map.of("name", "hums", "present", true)),
                        "marks", List.of("SEAL_WHOLE"),
                        "belongings", List.of("mains lead"),
                        "missing", List.of(Map.of("thing", "case", "count", 2))));
        long job = SmallShop.taken(client.post("/api/jobs", coming));
        long version = shop.sheet(job).body().get("job").get("version").asLong();
        Map<String, Object> correction = body(
                "serial",
                "",
                "revisionId",
                shop.revision,
                "arrival",
                body(
                        "complaint", "hums and crackles",
                        "symptoms",
                                List.of(
                                        Map.of("name", "hums", "present", true),
                                        Map.of("name", "no sound", "present", false)),
                        "marks", List.of("SEAL_BROKEN"),
                        "belongings", List.of("mains lead", "remote"),
                        "without", List.of("a foot"),
                        "missing", List.of(Map.of("thing", "case", "count", 1))));
        assertThat(client.put("/api/jobs/" + job + "/arrival", version, correction)
                        .status())
                .isEqualTo(200);
        JsonNode sheet = shop.sheet(job).body();
        assertThat(sheet.get("missing").get(0).get("count").asInt()).isEqualTo(1);
        assertThat(sheet.get("belongings").values().stream()
                        .map(thing -> thing.get("name").asString()))
                .containsExactly("mains lead", "remote", "a foot");
        assertThat(sheet.get("story").get(0).get("words").asString())
                .contains(
                        "Complaint: hums → hums and crackles",
                        "Symptom added: no sound (asked, not so)",
                        "Mark added: seal broken",
                        "Came without added: a foot",
                        "Missing: 2 × case → 1 × case",
                        "Came with it added: remote");
        // Before and after lie in the journal as data, not only as words.
        JdbcClient jdbc = SHOP.bean(JdbcClient.class);
        assertThat(jdbc.sql("""
                                SELECT json_extract(before, '$.belongings') || ' / ' ||
                                       json_extract(after, '$.belongings')
                                FROM journal
                                WHERE job_id = :job AND before IS NOT NULL
                                """).param("job", job).query(String.class).single())
                .isEqualTo("[\"mains lead\"] / [\"mains lead\",\"remote\"]");

        Map<String, Object> tooMany = shop.coming();
        tooMany.put("arrival", body("missing", List.of(Map.of("thing", "case", "count", 5))));
        assertThat(client.post("/api/jobs", tooMany).detail()).isEqualTo("5 × case missing, but there are only 4");
        shop.in(job, "lid");
        assertThat(client.put(
                                "/api/jobs/" + job + "/arrival",
                                version + 1,
                                body("serial", "", "revisionId", otherRevision(), "arrival", body("complaint", "")))
                        .detail())
                .as("the ledger runs on the notes it was opened with")
                .contains("the revision cannot change");
    }

    private static long otherRevision() {
        return client.post(
                        "/api/models/" + shop.model + "/revisions",
                        body("name", "R" + System.nanoTime(), "tellApart", ""))
                .id();
    }

    @Test
    void stockIsTheSumOfWhatCameAndWent() {
        Client.Answer part = client.post(
                "/api/parts", body("drawer", "7", "name", "fan 40 mm", "what", "", "eachMinor", 450, "count", 3));
        long id = part.id();
        assertThat(client.post(
                                "/api/parts",
                                body("drawer", "7", "name", "fan 40 mm", "what", "", "eachMinor", 1, "count", 1))
                        .status())
                .as("one line for one part in one drawer")
                .isEqualTo(400);
        assertThat(client.post("/api/parts/" + id + "/stock", body("count", 5, "why", "order came in"))
                        .body()
                        .get("count")
                        .asInt())
                .isEqualTo(8);
        long job = shop.takenIn();
        shop.in(job, "lid");
        assertThat(shop.finding(job, "dry", "REPLACED", id).status()).isEqualTo(201);
        assertThat(count(id)).isEqualTo(7);
        assertThat(shop.sheet(job).body().get("partsMinor").asLong()).isEqualTo(450);
        // What was paid stays what was paid, whatever the next one costs.
        long version = client.get("/api/parts").body().values().stream()
                .filter(one -> one.get("id").asLong() == id)
                .findFirst()
                .orElseThrow()
                .get("version")
                .asLong();
        Map<String, Object> dearer = body("drawer", "7", "name", "fan 40 mm", "what", "", "eachMinor", 900, "count", 0);
        assertThat(client.put("/api/parts/" + id, version, dearer).status()).isEqualTo(200);
        assertThat(client.put("/api/parts/" + id, version, dearer).status()).isEqualTo(412);
        assertThat(shop.sheet(job).body().get("partsMinor").asLong()).isEqualTo(450);
        assertThat(count(id))
                .as("changing what is said of a part does not change its count")
                .isEqualTo(7);
        assertThat(SHOP.bean(JdbcClient.class)
                        .sql(
                                "SELECT SUM(CASE to_account WHEN 'DRAWER' THEN count ELSE -count END) FROM part_movement WHERE part_id = :part")
                        .param("part", id)
                        .query(Integer.class)
                        .single())
                .isEqualTo(7);
    }

    private static int count(long part) {
        return client.get("/api/parts").body().values().stream()
                .filter(one -> one.get("id").asLong() == part)
                .findFirst()
                .orElseThrow()
                .get("count")
                .asInt();
    }

    private static List<String> strings(JsonNode array) {
        return StreamSupport.stream(array.values().spliterator(), false)
                .map(JsonNode::asString)
                .toList();
    }
}
