package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wrenchnotes.server.Client.body;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Odds of a model that is sent along. */
@Tag("shop")
class DiagnosisOverHttpTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty();

    private static Client client;

    @BeforeAll
    static void aLead() {
        client = SHOP.client().asFirstLead();
    }

    /**
     * Two causes of one symptom, by hand: belt 0.2 causes it in 0.9, motor 0.1 in 0.5, leak 0.1. The four sets weigh
     * 0.8·0.9·0.1 = 0.072, 0.2·0.9·0.91 = 0.1638, 0.8·0.1·0.55 = 0.044 and 0.2·0.1·0.955 = 0.0191; together 0.2989.
     */
    /** One sale at twice the kind, as PriceTest works it out; unrounded. */
    @Test
    void whatTheNextSaleFetches() {
        JsonNode price = client.post(
                        "/api/money/price",
                        body(
                                "salesMinor",
                                List.of(16_000),
                                "kindLogMean",
                                Math.log(8000),
                                "kindLogVariance",
                                0.09,
                                "withinVariance",
                                0.04))
                .body();
        double left = 1 / (25 + 1 / 0.09) + 0.04;
        double median = 8000 * Math.pow(2, 25 / (25 + 1 / 0.09));
        assertThat(price.get("medianMinor").asDouble()).isCloseTo(median, within(1e-6));
        assertThat(price.get("meanMinor").asDouble()).isCloseTo(median * Math.exp(left / 2), within(1e-6));
        assertThat(price.get("lowMinor").asDouble())
                .isCloseTo(median * Math.exp(-1.2816 * Math.sqrt(left)), within(1e-6));
        assertThat(client.post(
                                "/api/money/price",
                                body(
                                        "salesMinor",
                                        List.of(0),
                                        "kindLogMean",
                                        9,
                                        "kindLogVariance",
                                        0.09,
                                        "withinVariance",
                                        0.04))
                        .field())
                .isEqualTo("salesMinor[0]");
    }

    @Test
    void theOddsOfAModelThatIsSentAlong() {
        JsonNode odds = client.post("/api/diagnosis/odds", model(List.of("slow"), List.of()))
                .body();
        assertThat(probability(odds, 0)).isCloseTo((0.1638 + 0.0191) / 0.2989, within(1e-9));
        assertThat(probability(odds, 1)).isCloseTo((0.044 + 0.0191) / 0.2989, within(1e-9));
        assertThat(odds.get("leftOut").asDouble()).isZero();
        JsonNode likeliest = odds.get("sets").get(0);
        assertThat(likeliest.get("faults").values())
                .extracting(JsonNode::asString)
                .containsExactly("belt");
        assertThat(likeliest.get("probability").asDouble()).isCloseTo(0.1638 / 0.2989, within(1e-9));
        assertThat(odds.get("sets").values().stream()
                        .mapToDouble(set -> set.get("probability").asDouble())
                        .sum())
                .isCloseTo(1, within(1e-9));
        JsonNode absent = client.post("/api/diagnosis/odds", model(List.of(), List.of("slow")))
                .body();
        assertThat(probability(absent, 0)).isLessThan(0.2);
    }

    @Test
    void aModelThatDoesNotHoldTogetherIsRefusedByItsField() {
        assertThat(client.post("/api/diagnosis/odds", model(List.of("slow"), List.of("slow")))
                        .field())
                .isEqualTo("absent");
        assertThat(client.post("/api/diagnosis/odds", model(List.of("loud"), List.of()))
                        .field())
                .isEqualTo("present");
        assertThat(client.post(
                                "/api/diagnosis/odds",
                                body(
                                        "faults",
                                        List.of(Map.of("id", "belt", "prior", 1.5)),
                                        "symptoms",
                                        List.of(),
                                        "present",
                                        List.of(),
                                        "absent",
                                        List.of()))
                        .field())
                .endsWith("prior");
        assertThat(new Client(SHOP.url())
                        .post("/api/diagnosis/odds", model(List.of(), List.of()))
                        .status())
                .isIn(401, 403);
    }

    /**
     * One main fault by hand: rates 3 and 1, no extras, a tenth have nothing. Told of what only the first shows, in 0.5, leak 0.1: 0.9·¾·0.55 for it, 0.9·¼·0.1
     * for the other, 0.1·0.1 for none.
     */
    @Test
    void oneMainFaultAndSilence() {
        Map<String, Object> said = new HashMap<>(Map.of(
                "faults",
                List.of(Map.of("id", "belt", "prior", 3), Map.of("id", "motor", "prior", 1)),
                "symptoms",
                List.of(
                        Map.of("id", "slow", "leak", 0.1, "causes", List.of(Map.of("fault", "belt", "strength", 0.5))),
                        Map.of("id", "hums", "leak", 0, "causes", List.of(Map.of("fault", "motor", "strength", 0.8)))),
                "present",
                List.of("slow"),
                "absent",
                List.of(),
                "oneMain",
                Map.of("extras", 0, "nothingWrong", 0.1)));
        JsonNode odds = client.post("/api/diagnosis/odds", said).body();
        double all = 0.9 * 0.75 * 0.55 + 0.9 * 0.25 * 0.1 + 0.1 * 0.1;
        assertThat(probability(odds, 0)).isCloseTo(0.9 * 0.75 * 0.55 / all, within(1e-12));
        assertThat(odds.get("nothingWrong").asDouble()).isCloseTo(0.01 / all, within(1e-12));
        assertThat(odds.get("trusted").asBoolean()).isTrue();
        // Nobody spoke of a hum: counted to the power 0.5, the motor is √0.2 as likely as before.
        said.put("silence", 0.5);
        double silent = all - 0.9 * 0.25 * 0.1 * (1 - Math.sqrt(0.2));
        assertThat(probability(client.post("/api/diagnosis/odds", said).body(), 1))
                .isCloseTo(0.9 * 0.25 * 0.1 * Math.sqrt(0.2) / silent, within(1e-12));
        said.put("oneMain", Map.of("extras", 2, "nothingWrong", 0.1));
        assertThat(client.post("/api/diagnosis/odds", said).detail()).contains("extras");
        said.put("oneMain", Map.of("extras", 0, "nothingWrong", 0.1));
        said.put("silence", 1.5);
        assertThat(client.post("/api/diagnosis/odds", said).detail()).contains("silence");
    }

    private static double probability(JsonNode odds, int fault) {
        return odds.get("faults").get(fault).get("probability").asDouble();
    }

    private static Map<String, Object> model(List<String> present, List<String> absent) {
        return body(
                "faults",
                List.of(Map.of("id", "belt", "prior", 0.2), Map.of("id", "motor", "prior", 0.1)),
                "symptoms",
                List.of(Map.of(
                        "id",
                        "slow",
                        "leak",
                        0.1,
                        "causes",
                        List.of(Map.of("fault", "belt", "strength", 0.9), Map.of("fault", "motor", "strength", 0.5)))),
                "present",
                present,
                "absent",
                absent);
    }
}
