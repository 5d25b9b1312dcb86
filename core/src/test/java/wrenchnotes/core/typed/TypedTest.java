package wrenchnotes.core.typed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.util.Currency;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** One table of cases for core and browser: web/src/typed/typed.test.ts runs the same. */
class TypedTest {

    @TestFactory
    Stream<DynamicTest> quantities() throws IOException {
        return cases("quantities")
                .map(one -> DynamicTest.dynamicTest(name(one), () -> {
                    Typed<Double> read = Quantity.read(
                            one.get("typed").asString(), one.get("unit").asString());
                    if (one.has("value")) {
                        double value = one.get("value").asDouble();
                        assertThat(((Typed.Read<Double>) read).value())
                                .isCloseTo(value, within(Math.abs(value) * 1e-9));
                    } else {
                        assertThat(read).isInstanceOf(Typed.Unread.class);
                    }
                }));
    }

    @TestFactory
    Stream<DynamicTest> sums() throws IOException {
        return cases("sums")
                .map(one -> DynamicTest.dynamicTest(
                        name(one),
                        () -> agrees(
                                one,
                                "minor",
                                Sum.read(
                                        one.get("typed").asString(),
                                        Currency.getInstance(one.get("currency").asString())))));
    }

    /** Digits by ISO 4217 (published; as the JDK has them): the euro two, the yen none, the Kuwaiti dinar three. */
    @Test
    void aSumIsToldWithItsOwnDigitsAndReadBackAsTheSame() {
        assertThat(Sum.words(4800, Currency.getInstance("EUR"))).isEqualTo("EUR 48.00");
        assertThat(Sum.words(4800, Currency.getInstance("JPY"))).isEqualTo("JPY 4800");
        assertThat(Sum.words(-4805, Currency.getInstance("KWD"))).isEqualTo("KWD -4.805");
        assertThat(Currency.getAvailableCurrencies())
                .filteredOn(currency -> currency.getDefaultFractionDigits() >= 0)
                .hasSizeGreaterThan(150)
                .allSatisfy(currency -> {
                    Typed<Long> read = Sum.read(Sum.words(123_456, currency), currency);
                    if (read instanceof Typed.Ask<Long> ask) {
                        assertThat(ask.readings()).contains(123_456L);
                    } else {
                        assertThat(read).isEqualTo(new Typed.Read<>(123_456L));
                    }
                });
    }

    @TestFactory
    Stream<DynamicTest> counts() throws IOException {
        return cases("counts")
                .map(one -> DynamicTest.dynamicTest(
                        name(one),
                        () -> agrees(one, "count", Sum.count(one.get("typed").asString()))));
    }

    private static void agrees(JsonNode one, String field, Typed<Long> read) {
        if (one.has(field)) {
            assertThat(read).isEqualTo(new Typed.Read<>(one.get(field).asLong()));
        } else if (one.has("asks")) {
            List<Long> asks =
                    one.get("asks").values().stream().map(JsonNode::asLong).toList();
            assertThat(read).isEqualTo(new Typed.Ask<>(asks));
        } else {
            assertThat(read).isInstanceOf(Typed.Unread.class);
        }
    }

    private static Stream<JsonNode> cases(String of) throws IOException {
        try (InputStream table = TypedTest.class.getResourceAsStream("/typed-cases.json")) {
            return JsonMapper.shared().readTree(table).get(of).values().stream();
        }
    }

    private static String name(JsonNode one) {
        return one.toString();
    }
}
