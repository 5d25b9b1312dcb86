package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What a lead sets for the whole shop is heard in the other rooms. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
@Tag("shop")
class ShopOverHttpTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty();

    private static Client lead;

    @BeforeAll
    static void first() {
        lead = SHOP.client().asFirstLead();
    }

    private static Client.Answer set(String field, Object value) {
        JsonNode now = lead.get("/api/shop").body();
        ObjectNode said = (ObjectNode) now.get("settings");
        said.putPOJO(field, value);
        return lead.put("/api/shop", now.get("version").asLong(), said);
    }

    @Test
    void settingsAreKeptTwoLeadsDoNotOverwriteEachOtherAndWhatCannotBeIsSaid() {
        assertThat(set("name", "Harbour repairs").status()).isEqualTo(200);
        assertThat(lead.get("/api/session").body().get("shop").get("name").asString())
                .isEqualTo("Harbour repairs");
        JsonNode now = lead.get("/api/shop").body();
        assertThat(lead.put("/api/shop", now.get("version").asLong() - 1, now.get("settings"))
                        .status())
                .isEqualTo(412);
        assertThat(set("zone", "Europe/Nowhere").field()).isEqualTo("zone");
        assertThat(set("currency", "QQQ").field()).isEqualTo("currency");
        assertThat(set("currency", "XAU").field()).as("gold has no minor units").isEqualTo("currency");
        assertThat(set("open", Map.of("days", Map.of("MONDAY", Map.of("from", "18:00", "to", "09:00"))))
                        .status())
                .isEqualTo(400);
    }

    /** A promise for a day ends when the shop closes on it, where the shop is: tzdata has Kiritimati at UTC+14, always. */
    @Test
    void aPromiseEndsWhenTheShopCloses() {
        assertThat(set("zone", "Pacific/Kiritimati").status()).isEqualTo(200);
        assertThat(set("open", Map.of("days", Map.of("FRIDAY", Map.of("from", "10:00", "to", "16:30"))))
                        .status())
                .isEqualTo(200);
        SmallShop shop = new SmallShop(lead);
        Map<String, Object> coming = shop.coming();
        coming.put("due", "2031-03-07");
        long friday = SmallShop.taken(lead.post("/api/jobs", coming));
        assertThat(Instant.parse(shop.sheet(friday)
                        .body()
                        .get("job")
                        .get("brought")
                        .get("dueAt")
                        .asString()))
                .isEqualTo("2031-03-07T02:30:00Z");
        lead.bench(friday, "start", body("targets", List.of(), "off", true, "missing", List.of(), "words", ""));
        assertThat(lead.bench(friday, "left-off", body("since", "2026-01-31T23:30:00Z"))
                        .status())
                .isEqualTo(200);
        assertThat(shop.sheet(friday).body().get("story").toString()).contains("Off since 2026-02-01 13:30");
    }

    /** First: the other tests keep sums. */
    @Test
    @Order(1)
    void theCurrencyCanChangeUntilASumIsKeptAndHasItsOwnDigits() {
        assertThat(set("currency", "JPY").status()).isEqualTo(200);
        SmallShop shop = new SmallShop(lead);
        Map<String, Object> coming = shop.coming();
        coming.remove("ownerName");
        coming.put("ownership", "RESALE");
        coming.put("paidMinor", 1500);
        long job = SmallShop.taken(lead.post("/api/jobs", coming));
        lead.post("/api/jobs/" + job + "/outcome", body("outcome", "NOT_WORTH_IT", "remark", ""));
        assertThat(lead.post("/api/jobs/" + job + "/sale", body("minor", 2500)).status())
                .isEqualTo(201);
        assertThat(shop.sheet(job).body().get("story").get(0).get("words").asString())
                .isEqualTo("Sold as it is for JPY 2500");
        assertThat(set("currency", "EUR").detail()).contains("keeps sums in JPY");
        assertThat(lead.get("/api/shop").body().get("currencyIsFixed").asBoolean())
                .isTrue();
    }

    @Test
    void slotsAreAddedRenamedAndTakenAwayWhenEmpty() {
        assertThat(lead.post("/api/shop/slots", body("name", "F1")).status()).isEqualTo(200);
        assertThat(lead.post("/api/shop/slots", body("name", "f1")).field()).isEqualTo("name");
        SmallShop shop = new SmallShop(lead);
        Map<String, Object> coming = shop.coming();
        coming.put("slot", "F1");
        long job = SmallShop.taken(lead.post("/api/jobs", coming));
        String tag = shop.sheet(job).body().get("job").get("unit").get("tag").asString();
        assertThat(lead.delete("/api/shop/slots/F1").detail()).contains(tag + " stands in F1");
        assertThat(lead.send("PUT", "/api/shop/slots/F1", Map.of(), body("name", "G1"))
                        .status())
                .isEqualTo(200);
        assertThat(shop.sheet(job).body().get("job").get("brought").get("slot").asString())
                .isEqualTo("G1");
        assertThat(lead.delete("/api/shop/slots/A6").status()).isEqualTo(200);
        assertThat(lead.get("/api/checkin").body().get("freeSlots").toString()).doesNotContain("A6", "F1");
        assertThat(lead.post("/api/shop/slots", body("name", "A6")).status()).isEqualTo(200);
        assertThat(lead.get("/api/checkin").body().get("freeSlots").toString()).contains("A6");
        // A name that was taken away before can be given again, and the slot stands on the shelf of its name.
        assertThat(lead.delete("/api/shop/slots/A6").status()).isEqualTo(200);
        JsonNode renamed = lead.send("PUT", "/api/shop/slots/G1", Map.of(), body("name", "A6"))
                .body();
        assertThat(renamed.get("slots").values())
                .anySatisfy(slot -> assertThat(slot.toString()).contains("\"name\":\"A6\"", "\"shelf\":\"A\"", tag));
        assertThat(shop.sheet(job).body().get("job").get("brought").get("slot").asString())
                .isEqualTo("A6");
    }
}
