package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** A unit goes out unfinished with its owner, or with work on its mains side: what was said of it goes with it and comes back. */
@Tag("shop")
class LoansOverHttpTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty();

    private static Client client;
    private SmallShop shop;

    @BeforeAll
    static void aLead() {
        client = SHOP.client().asFirstLead();
    }

    @BeforeEach
    void aShop() {
        shop = new SmallShop(client);
    }

    /** A band for the belt until the belt comes: common practice, no source. */
    @Test
    void aBandStaysInHonestlyUntilItsPartComes() {
        long job = shop.takenIn();
        shop.in(job, "lid");
        shop.in(job, "deck");
        client.bench(job, "temporary", Map.of("words", "band for the belt"));
        client.bench(job, "fragments", body("what", "teeth", "expected", 2, "found", 2, "explained", ""));
        long band = bench(job).get("gate").get("temporary").get(0).get("id").asLong();
        assertThat(shop.out(job, "deck").detail()).contains("Out of reach later: For the test only: band for the belt");
        assertThat(bench(job).get("way").get("endsUnder")).hasSize(1);
        assertThat(client.bench(job, "temporary/" + band + "/stays", Map.of("why", "until the belt comes"))
                        .status())
                .isEqualTo(200);
        shop.out(job, "deck");
        shop.out(job, "lid");
        shop.check(job, "BEFORE_CLOSING", "PASSED");
        assertThat(client.bench(job, "close", "").detail()).contains("For now only: band for the belt");
        assertThat(lend(job, "long tapes").detail()).contains("It is open: close it");
        client.post("/api/jobs/" + job + "/holds", body("kind", "PART", "why", "belt"));
        assertThat(client.bench(job, "close-for-now", Map.of("reason", "she needs it"))
                        .status())
                .isEqualTo(200);
        assertThat(lend(job, "long tapes").detail()).contains("Nobody has checked it closed");
        shop.check(job, "AFTER_CLOSING", "PASSED");
        assertThat(lend(job, " ").field()).isEqualTo("notFor");
        Client.Answer lent = lend(job, "long tapes: the band is weak");
        assertThat(lent.status()).as(lent.body().toString()).isEqualTo(200);
        assertThat(lend(job, "again").detail()).contains("on loan");

        assertThat(shop.standing(job)).isEqualTo("ON_LOAN");
        assertThat(client.get("/api/rack").body().get("waiting").toString())
                .contains("On loan with its owner. Not for: long tapes: the band is weak");
        assertThat(shop.start(job).detail()).as("nobody has it in hand").contains("is on loan with its owner");
        assertThat(shop.finding(job, "slack", "CLEANED", null).status()).isEqualTo(409);
        assertThat(shop.check(job, "AFTER_CLOSING", "PASSED").status()).isEqualTo(409);
        assertThat(client.post("/api/jobs/" + job + "/handover", "").detail()).contains("on loan");
        assertThat(shop.sheet(job).body().get("holds").get(0).get("active").asBoolean())
                .as("its part is still waited for, and may come")
                .isTrue();
        assertThat(client.post("/api/jobs/" + job + "/holds", body("kind", "OWNER", "why", "price"))
                        .status())
                .isEqualTo(201);
        assertThat(client.post("/api/jobs", again(job)).detail()).contains("on loan");

        assertThat(client.post("/api/jobs/" + job + "/loan/back", "").status()).isEqualTo(200);
        assertThat(client.post("/api/jobs/" + job + "/loan/back", "").detail()).contains("not on loan");
        JsonNode back = bench(job);
        assertThat(back.get("stand").get("loan").get("notFor").asString()).contains("long tapes");
        assertThat(back.get("stand").get("loan").hasNonNull("back")).isTrue();
        assertThat(back.get("gate")
                        .get("temporary")
                        .get(0)
                        .get("stays")
                        .get("why")
                        .asString())
                .isEqualTo("until the belt comes");
        shop.sheet(job)
                .body()
                .get("holds")
                .values()
                .forEach(hold ->
                        client.post("/api/holds/" + hold.get("hold").get("id").asLong() + "/end", ""));
        shop.in(job, "lid");
        shop.in(job, "deck");
        assertThat(shop.out(job, "deck").detail()).as("said on a run before").contains("Out of reach later");
        client.bench(job, "temporary/" + band + "/right", "");
        assertThat(shop.out(job, "deck").status()).isEqualTo(200);
    }

    private Map<String, Object> again(long job) {
        Map<String, Object> coming = shop.coming();
        coming.put(
                "unitId",
                shop.sheet(job).body().get("job").get("unit").get("id").asLong());
        return coming;
    }

    /** Earth, insulation and lead after work on the mains side: common practice, no source. */
    @Test
    void afterWorkOnTheMainsSideItIsMeasuredBeforeItLeaves() {
        long job = shop.takenIn();
        shop.in(job, "lid");
        client.post(
                "/api/jobs/" + job + "/findings",
                body("component", "mains inlet", "wrong", "loose", "remedy", "RESOLDERED", "remark", ""));
        shop.check(job, "BEFORE_CLOSING", "PASSED");
        shop.out(job, "lid");
        client.bench(job, "close", "");
        shop.check(job, "AFTER_CLOSING", "PASSED");
        client.post("/api/jobs/" + job + "/outcome", Map.of("outcome", "FIXED", "remark", ""));
        assertThat(client.post("/api/jobs/" + job + "/handover", "").detail())
                .contains("Worked on its mains side (mains inlet: loose)");
        assertThat(lend(job, "nothing").detail()).contains("Worked on its mains side");
        assertThat(bench(job).get("stand").get("status").get("standing").asString())
                .as("the bench reads the same facts")
                .isEqualTo(shop.standing(job))
                .isNotEqualTo("READY");
        assertThat(measured(job, body("protection", "EARTHED", "insulationMohm", 50, "leadSound", true, "words", ""))
                        .field())
                .isEqualTo("earthOhm");
        JsonNode bad = measured(job, earthed(0.9)).body();
        assertThat(bad.get("passed").asBoolean()).isFalse();
        assertThat(client.post("/api/jobs/" + job + "/handover", "").detail())
                .contains("FAILED: earth 0.9 Ω, insulation 50 MΩ");
        client.post("/api/jobs/" + job + "/outcome", Map.of("outcome", "NOT_FIXED", "remark", ""));
        assertThat(paper(job)).contains("DO NOT PLUG IT IN");
        client.post("/api/jobs/" + job + "/outcome", Map.of("outcome", "FIXED", "remark", ""));
        assertThat(measured(job, earthed(0.12)).body().get("passed").asBoolean())
                .isTrue();
        assertThat(shop.standing(job)).isEqualTo("READY");
        assertThat(client.post("/api/jobs/" + job + "/handover", "").status()).isEqualTo(200);
        assertThat(paper(job)).contains("earth 0.12 Ω, insulation 50 MΩ").doesNotContain("DO NOT PLUG");
    }

    /** Replaced in the ledger and nowhere else: it is work on the mains side all the same. */
    @Test
    void aFuseThatTheLedgerReplacedIsWorkOnTheMainsSideToo() {
        List<Map<String, Object>> steps = shop.steps();
        steps.get(1).put("pieces", List.of(Map.of("id", "fuse", "label", "mains fuse", "hint", "", "count", 1)));
        client.put("/api/revisions/" + shop.revision + "/teardown", 1, Map.of("steps", steps, "why", "fuse"));
        long job = shop.takenIn();
        shop.in(job, "lid");
        shop.in(job, "deck");
        client.bench(
                job,
                "steps/deck/out",
                Map.of(
                        "settled",
                        List.of(body("thing", "fuse", "back", 0, "replaced", 1, "leftOut", 0, "reason", ""))));
        assertThat(shop.sheet(job).body().get("mains").asString()).contains("mains fuse replaced");
        client.bench(job, "back", "");
        assertThat(shop.sheet(job).body().path("mains").asString(""))
                .as("taken back, it never happened")
                .isEmpty();
        assertThat(bench(job).get("stand").get("status").get("standing").asString())
                .isEqualTo(shop.standing(job));
    }

    private Client.Answer lend(long job, String notFor) {
        return client.post(
                "/api/jobs/" + job + "/loan",
                body("notFor", notFor, "due", LocalDate.now().plusDays(9).toString()));
    }

    private static Map<String, Object> earthed(double ohm) {
        return body("protection", "EARTHED", "earthOhm", ohm, "insulationMohm", 50, "leadSound", true, "words", "");
    }

    private static Client.Answer measured(long job, Map<String, Object> said) {
        return client.post("/api/jobs/" + job + "/electrical", said);
    }

    private static JsonNode bench(long job) {
        return client.get("/api/jobs/" + job + "/bench").body();
    }

    private static String paper(long job) {
        return PaperRead.text(client.bytes("/api/jobs/" + job + "/papers/leaving.pdf"));
    }
}
