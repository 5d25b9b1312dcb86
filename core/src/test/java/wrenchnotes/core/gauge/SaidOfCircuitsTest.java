package wrenchnotes.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wrenchnotes.core.gauge.LogicGauge.LogicAsked;
import wrenchnotes.core.gauge.LogicGauge.LogicFamily;
import wrenchnotes.core.gauge.LogicGauge.LogicFound;
import wrenchnotes.core.gauge.LogicGauge.LogicRule;
import wrenchnotes.core.gauge.LogicGauge.PinLevel;
import wrenchnotes.core.gauge.LogicGauge.PinRead;
import wrenchnotes.core.gauge.RailsGauge.Mains;
import wrenchnotes.core.gauge.RailsGauge.Rail;
import wrenchnotes.core.gauge.RailsGauge.RailKind;
import wrenchnotes.core.gauge.RailsGauge.RailsAsked;
import wrenchnotes.core.gauge.RailsGauge.RailsFound;

/** What the gauges of circuits say, word for word and exactly at their limits. */
class SaidOfCircuitsTest {

    private static Rail rail(String name, String from, RailKind kind, double nominal, Double volts) {
        return Rail.of(name, Optional.ofNullable(from), kind, nominal, Optional.ofNullable(volts));
    }

    private static RailsAsked rails(double mains, Rail... rails) {
        return new RailsAsked(Mains.of(230, mains), List.of(rails), Optional.empty());
    }

    @Test
    void theFirstThatIsWrongIsNamedWithWhatItExplains() {
        RailsFound lone = RailsGauge.of(rails(230, rail("5 V", null, RailKind.REGULATED, 5, 4.0)));
        assertThat(lone.reasons()).containsExactly("5 V is the first that is wrong.");
        RailsFound two = RailsGauge.of(rails(
                230,
                rail("raw", null, RailKind.UNREGULATED, 12, 12.0),
                rail("9 V", "raw", RailKind.REGULATED, 9, 3.0),
                rail("5 V", null, RailKind.REGULATED, 5, 4.0)));
        assertThat(two.reasons())
                .as("of two that explain nothing, the one nearer to the mains")
                .containsExactly("5 V is the first that is wrong; 1 more are wrong on a branch of their own.");
        RailsFound off = RailsGauge.of(rails(232.5, rail("5 V", null, RailKind.REGULATED, 5, 5.0)));
        assertThat(off.reasons())
                .containsExactly("The mains reads 232.5 V: what is not regulated is expected in proportion.");
        assertThat(RailsGauge.of(rails(232, rail("5 V", null, RailKind.REGULATED, 5, 5.0)))
                        .reasons())
                .as("within 1 %%")
                .isEmpty();
        assertThat(RailsGauge.of(rails(227, rail("5 V", null, RailKind.REGULATED, 5, 5.0)))
                        .reasons())
                .hasSize(1);
        RailsFound low = RailsGauge.of(rails(200, rail("5 V", null, RailKind.REGULATED, 5, 5.0)));
        assertThat(low.reasons())
                .containsExactly(
                        "The mains is the first that is wrong: 200 V where 230 V is marked, more than 10 % off.");
        RailsFound unread = RailsGauge.of(new RailsAsked(
                new Mains(230, Optional.empty()),
                List.of(rail("5 V", null, RailKind.REGULATED, 5, 5.0)),
                Optional.empty()));
        assertThat(unread.reasons()).containsExactly("The mains was not measured: what follows it cannot be told.");
    }

    /** What hangs on a regulated rail does not follow the mains; what comes from a raw one has no peak of its own. */
    @Test
    void whatARailIsMadeFromDecidesWhatItFollows() {
        RailsFound found = RailsGauge.of(rails(
                207.5,
                rail("18 V~", null, RailKind.SECONDARY_AC, 18, 16.5),
                rail("raw", "18 V~", RailKind.UNREGULATED, 24, 21.5),
                rail("12 V", "raw", RailKind.REGULATED, 12, 12.0),
                rail("switched", "12 V", RailKind.UNREGULATED, 12, 12.0),
                rail("filtered", "raw", RailKind.UNREGULATED, 24, 21.5)));
        assertThat(found.rails().get(3).minVolts().orElseThrow())
                .as("12 V less 12 %%, whatever the mains")
                .isCloseTo(10.56, within(1e-9));
        assertThat(found.rails().get(4).minVolts().orElseThrow())
                .as("24 V in proportion to the mains, less 12 %%")
                .isCloseTo(24 * 207.5 / 230 * 0.88, within(1e-9));
        assertThat(found.rails().get(4).reasons().toString()).doesNotContain("peak");
        RailsFound negative = RailsGauge.of(rails(
                230,
                rail("16 V~", null, RailKind.SECONDARY_AC, 16, 16.0),
                rail("−21 V raw", "16 V~", RailKind.UNREGULATED, -21, -21.0)));
        assertThat(negative.rails().get(1).verdict()).isEqualTo(Judgement.GOOD);
        assertThat(ElectricReadings.rails(rails(230, rail("5 V", null, RailKind.REGULATED, 5, 5.0)))
                        .words())
                .isEqualTo("Rails: 1 measured, all as they should be");
        assertThat(ElectricReadings.rails(rails(230, rail("5 V", null, RailKind.REGULATED, 5, null)))
                        .words())
                .isEqualTo("Rails: not all of them can be told");
    }

    private static LogicFound logic(String chip, LogicRule rule, Double supply, double u, Object... pinsAndVolts) {
        return LogicGauge.of(logicAsked(chip, rule, supply, u, pinsAndVolts), List.of());
    }

    private static LogicAsked logicAsked(String chip, LogicRule rule, Double supply, double u, Object... pinsAndVolts) {
        Map<Integer, PinRead> pins = new HashMap<>();
        for (int n = 0; n < pinsAndVolts.length; n += 2) {
            pins.put(
                    (Integer) pinsAndVolts[n],
                    new PinRead(Optional.of((Double) pinsAndVolts[n + 1]), Optional.empty()));
        }
        return new LogicAsked(chip, rule, Optional.empty(), Optional.ofNullable(supply), pins, Optional.of(u));
    }

    private static final int[][] HEX = {{1, 2}, {3, 4}, {5, 6}, {9, 8}, {11, 10}, {13, 12}};

    /** So many gates of an 04 that do what their inputs ask, and whatever else was read. */
    private static Object[] inverting(int gates, Object... more) {
        Stream<Object> pins = Arrays.stream(HEX).limit(gates).flatMap(gate -> Stream.of(gate[0], 0.2, gate[1], 3.0));
        return Stream.concat(pins, Arrays.stream(more)).toArray();
    }

    @Test
    void aChipSaysByWhichLevelsAndWhatIsOpen() {
        assertThat(logic("74LS04", LogicRule.BENCH, null, 0).reasons())
                .containsExactly(
                        "Levels by the bench rule: high from 2.5 V, low up to 0.5 V.", "6 gates are open still.");
        assertThat(logic("74HC04", LogicRule.BENCH, 6.0, 0).reasons().get(0))
                .isEqualTo("Levels as the data sheets of HC have them, at 6 V.");
        assertThat(logic("74LS04", LogicRule.DATASHEET, null, 0).reasons().get(0))
                .isEqualTo("Levels as the data sheets of LS have them, at 5 V.");
        assertThat(logic("74LS04", LogicRule.BENCH, 6.0, 0).reasons().get(1))
                .isEqualTo("Is it really LS? That family runs from 4.5 to 5.5 V, and the bench rule is for 5 V.");
        assertThat(logic("74LS04", LogicRule.DATASHEET, 6.0, 0).reasons().get(1))
                .endsWith("to 5.5 V.");
        assertThat(logic("74HC04", LogicRule.BENCH, 7.0, 0).reasons().get(1)).endsWith("to 6 V.");
        assertThat(logic("74LS04", LogicRule.DATASHEET, null, 0, 1, 0.2, 2, 0.2, 3, 0.2, 4, 0.2)
                        .reasons())
                .contains("2 gates do not do what the inputs ask.");
        assertThat(logic("74LS04", LogicRule.DATASHEET, null, 0, 1, 0.2, 2, 0.2).reasons())
                .contains("1 gate does not do what the inputs ask.");
        LogicFound allButOne = logic("74LS04", LogicRule.DATASHEET, null, 0, inverting(5));
        assertThat(allButOne.reasons()).contains("1 gate is open still.");
    }

    /** Exactly at a limit is within it: 4.5 and 5.5 V for LS, a tenth off at the supply pin, 0.3 V at ground. */
    @Test
    void exactlyAtItsLimitASupplyWillDo() {
        for (double supply : new double[] {4.5, 5.5}) {
            assertThat(logic("74LS04", LogicRule.DATASHEET, supply, 0, 1, 0.2, 2, 3.0)
                            .gates()
                            .get(0)
                            .verdict())
                    .isEqualTo(Judgement.GOOD);
        }
        assertThat(logic("74LS04", LogicRule.DATASHEET, 5.0, 0, 14, 4.5, 7, 0.3, 1, 0.2, 2, 3.0)
                        .gates()
                        .get(0)
                        .verdict())
                .isEqualTo(Judgement.GOOD);
        assertThat(logic("74LS04", LogicRule.DATASHEET, 5.0, 0, 14, 4.49)
                        .reasons()
                        .get(1))
                .isEqualTo("Pin 14 has 4.49 V, not 5 V: see to its supply first.");
        assertThat(logic("74LS04", LogicRule.DATASHEET, 5.0, 0, 7, 0.31)
                        .reasons()
                        .get(1))
                .isEqualTo("Pin 7 has 0.31 V: its ground is not connected.");
    }

    /** LS input: low up to 0.8, high from 2.0; known to 0.1 V (data books; published, from memory). LVC takes TTL levels from 2.7 V up. */
    @ParameterizedTest
    @CsvSource({
        "74LS04,5,0.1,0.7,LOW", "74LS04,5,0.1,0.75,UNSURE", "74LS04,5,0.125,0.925,UNSURE",
                "74LS04,5,0.125,1.875,UNSURE",
        "74LS04,5,0.1,0.95,BETWEEN", "74LS04,5,0.1,2.1,HIGH", "74LS04,5,0,5.3,HIGH", "74LS04,5,0,-0.3,LOW",
        "74LS04,5,0.5,5.7,HIGH", "74LS04,5,0.5,-0.7,LOW", "74LVC04,2.7,0,1.95,BETWEEN", "74LVC04,2.6,0,1.95,HIGH"
    })
    void exactlyAtItsLevelsAPin(String chip, double supply, double u, double volts, PinLevel level) {
        assertThat(logic(chip, LogicRule.DATASHEET, supply, u, 1, volts)
                        .levels()
                        .get(1))
                .isEqualTo(level);
    }

    @Test
    void aChipsRecordSaysWhatItCameTo() {
        assertThat(ElectricReadings.logic(
                        logicAsked("74ls04", LogicRule.DATASHEET, null, 0, 1, 0.2, 2, 0.2), List.of()))
                .satisfies(read -> {
                    assertThat(read.words()).startsWith("Chip 74LS04: suspect. Pin 2 should be high and is low.");
                    assertThat(read.verdict()).contains(Judgement.BAD);
                });
        Measurement open =
                ElectricReadings.logic(logicAsked("74LS04", LogicRule.DATASHEET, null, 0, 1, 0.2, 2, 3.0), List.of());
        assertThat(open.words()).isEqualTo("Chip 74LS04: cannot say. 5 gates are open still.");
        assertThat(open.verdict()).contains(Judgement.CAN_NOT_SAY);
        Measurement good = ElectricReadings.logic(
                logicAsked("74LS04", LogicRule.DATASHEET, null, 0, inverting(6, 14, 5.0, 7, 0.0)), List.of());
        assertThat(good.words()).isEqualTo("Chip 74LS04: good. Every gate does what its inputs ask, as it stands now.");
        assertThat(good.verdict()).contains(Judgement.GOOD);
        assertThat(LogicGauge.of(
                                new LogicAsked(
                                        "04",
                                        LogicRule.BENCH,
                                        Optional.of(LogicFamily.HC),
                                        Optional.empty(),
                                        Map.of(),
                                        Optional.empty()),
                                List.of())
                        .family())
                .isEqualTo(LogicFamily.HC);
    }
}
