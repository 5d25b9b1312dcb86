package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The gauges as another program would ask them; what is left out or null is taken as usual, what cannot be is named. */
@Tag("shop")
class GaugesOverHttpTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.withDemo();

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static Client client;

    @BeforeAll
    static void aBench() {
        client = SHOP.client().signedIn("wren", "quay");
    }

    private static JsonNode ask(String gauge, String said) {
        Client.Answer answer = client.post("/api/gauges/" + gauge, JSON.readTree(said));
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body();
    }

    @Test
    void aBeltIsLookedForInTheDrawers() {
        JsonNode found = ask("belt", """
                {"path":{"driverMm":6,"drivenMm":6,"centresMm":18,"crossed":false},
                 "section":{"shape":"SQUARE","widthMm":1.2,"thicknessMm":1.2}}
                """);
        assertThat(found.get("basis").asString()).isEqualTo("PATH");
        JsonNode first = found.get("candidates").get(0);
        assertThat(first.get("part").asString()).isEqualTo("belt 50 × 1.2 square");
        assertThat(first.get("verdict").asString()).isEqualTo("GOOD");
        assertThat(first.get("stretchPercent").asDouble()).isBetween(5.0, 15.0);
        assertThat(ask("belt", "{\"worn\":{\"method\":\"FLAT\",\"valueMm\":57.0}}")
                        .get("wornCircumferenceMm")
                        .asDouble())
                .isEqualTo(114);
    }

    @Test
    void everyGaugeAnswersWithReasons() {
        assertThat(ask("gear", "{\"teeth\":20,\"outsideDiameterMm\":11,\"splined\":false}")
                        .get("preferredModule")
                        .asDouble())
                .isEqualTo(0.5);
        assertThat(ask("thread", "{\"diameterMm\":2.9,\"threads\":{\"count\":10,\"overMm\":11}}")
                        .get("found")
                        .get("goesInto")
                        .asString())
                .isEqualTo("PLASTIC_OR_SHEET_METAL");
        assertThat(ask("rails", """
                        {"mains":{"nominal":230,"measured":236},
                         "rails":[{"name":"9 V~","from":null,"kind":"SECONDARY_AC","nominal":9,"tolerancePercent":null,"measured":2},
                                  {"name":"5 V","from":"9 V~","kind":"REGULATED","nominal":5,"measured":1}]}
                        """).get("culprit").asString()).isEqualTo("9 V~");
        JsonNode logic = ask("logic", """
                {"chip":"7406","rule":"BENCH","supply":5.0,"pins":{"1":{"volts":3.4},"2":{"state":"NOISY"}}}
                """);
        assertThat(logic.get("gates").get(0).get("verdict").asString()).isEqualTo("BAD");
        assertThat(logic.get("levels").get("2").asString()).isEqualTo("NOISY");
        assertThat(ask("chain", """
                        {"stages":[{"name":"a","in":"GOOD","out":"UNKNOWN"},{"name":"b","in":"UNKNOWN","out":"BAD"}]}
                        """).get("probeAfter").asInt()).isZero();
        assertThat(ask("spindle", """
                        {"nominalRpm":300,"bars":null,"flashesPerSecond":100,"driftBarsPerSecond":0.4,"direction":"FORWARD"}
                        """).get("errorPercent").asDouble()).isCloseTo(0.4, within(1e-9));
        assertThat(ask("bleed", "{\"microfarads\":470,\"ohms\":10000,\"volts\":325}")
                        .get("cautions")
                        .size())
                .isPositive();
        JsonNode filter = ask("capacitor", """
                {"original":{"microfarads":0.1,"volts":250,"kind":"SAFETY_X","safetyClass":"X2"}}
                """);
        assertThat(filter.get("drawer").get(0).get("part").asString()).isEqualTo("inlet filter X2");
        assertThat(filter.get("found").has("verdict")).isFalse();
        assertThat(ask(
                                "limit",
                                "{\"readings\":[79.2,78.8],\"limit\":{\"min\":null,\"max\":80},\"uncertainty\":0.5,\"unit\":\"%\"}")
                        .get("verdict")
                        .asString())
                .isEqualTo("GOOD");
    }

    @Test
    void whatCannotBeIsNamedByFieldAndRange() {
        Client.Answer far = client.post(
                "/api/gauges/belt",
                JSON.readTree("{\"path\":{\"driverMm\":6,\"drivenMm\":18,\"centresMm\":2,\"crossed\":false}}"));
        assertThat(far.status()).isEqualTo(400);
        assertThat(far.body().toString()).contains("path.centresMm is 2.0; with these pulleys it must be above 12.0");
        Client.Answer none = client.post("/api/gauges/bleed", JSON.readTree("{\"microfarads\":470,\"volts\":325}"));
        assertThat(none.status()).isEqualTo(400);
        assertThat(none.body().toString()).contains("ohms");
        assertThat(client.post("/api/gauges/logic", JSON.readTree("{\"chip\":\"ABC\",\"rule\":\"BENCH\",\"pins\":{}}"))
                        .body()
                        .toString())
                .contains("00, 02, 04");
    }
}
