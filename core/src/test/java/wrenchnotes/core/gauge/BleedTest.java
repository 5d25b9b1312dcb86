package wrenchnotes.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.gauge.BleedGauge.BleedAsked;
import wrenchnotes.core.gauge.BleedGauge.BleedFound;

/** Charges. */
class BleedTest {

    /** After 5 RC 0.67 % is left; ½CV² (physics). 470 µF at 325 V through 10 kΩ: RC = 4.7 s, 24.8 J. */
    @Test
    void aChargeBleedsByTheBook() {
        BleedFound found = BleedGauge.of(new BleedAsked(470, 10_000, 325, Optional.empty(), Optional.of(0.0)));
        assertThat(found.seconds()).isCloseTo(4.7 * Math.log(325 / 60.0), within(1e-9));
        assertThat(found.joules()).isCloseTo(24.82, within(0.01));
        assertThat(found.peakWatts()).isCloseTo(10.56, within(0.01));
        // A wire-wound one bears five times its rating for five seconds (common practice): 2.1 W would do, 3 W are
        // sold.
        assertThat(found.ratingWatts()).contains(3.0);
        assertThat(found.proposed().orElseThrow().watts())
                .as("25 J need no 200 W")
                .isLessThanOrEqualTo(3);
        assertThat(found.resistor()).as("nobody said what it stands").isEqualTo(Judgement.CAN_NOT_SAY);
        assertThat(found.meter()).isEqualTo(Judgement.CAN_NOT_SAY);
        assertThat(found.cautions().get(0)).startsWith("Unplug");
        BleedGauge.BleedPoint last = found.curve().get(found.curve().size() - 1);
        assertThat(last.volts() / 325).isCloseTo(0.0067, within(0.0001));
        assertThat(last.seconds()).as("the resistor ten percent larger").isCloseTo(23.5 * 1.1, within(1e-9));
    }

    private static BleedFound through(double ohms, double volts, Double stands, Double watts, Double meter) {
        return BleedGauge.of(new BleedAsked(
                470,
                ohms,
                volts,
                Optional.empty(),
                Optional.empty(),
                Optional.ofNullable(stands),
                Optional.ofNullable(watts),
                Optional.of(5.0),
                Optional.ofNullable(meter)));
    }

    /** Volts, pulse and probes count, not power alone (common practice; data sheets decide). */
    @Test
    void resistorAndMeterMustStandIt() {
        assertThat(through(10_000, 325, 500.0, 3.0, 600.0).resistor()).isEqualTo(Judgement.GOOD);
        assertThat(through(10_000, 325, 325.0, 3.0, 325.0).meter()).isEqualTo(Judgement.GOOD);
        assertThat(through(10_000, 325, 250.0, 3.0, 600.0).resistor())
                .as("a body of 250 V")
                .isEqualTo(Judgement.BAD);
        assertThat(through(10_000, 325, 500.0, 1.0, 600.0).resistor())
                .as("the pulse")
                .isEqualTo(Judgement.BAD);
        assertThat(through(10_000, 325, 500.0, null, 600.0).resistor()).isEqualTo(Judgement.CAN_NOT_SAY);
        assertThat(through(10_000, 325, null, 3.0, 600.0).resistor()).isEqualTo(Judgement.CAN_NOT_SAY);
        assertThat(through(10_000, 325, 500.0, 3.0, 300.0).meter()).isEqualTo(Judgement.BAD);
        assertThat(through(100_000, 325, 500.0, 0.5, 600.0).resistor())
                .as("1.06 W for a minute is no pulse")
                .isEqualTo(Judgement.BAD);
        assertThat(through(1, 900, null, null, null).reasons().toString()).contains("take more ohms");
        assertThatThrownBy(() -> new BleedAsked(470, 100, 325, Optional.of(60.5), Optional.empty()))
                .hasMessageContaining("safeVolts")
                .hasMessageContaining("60");
    }

    /** What is proposed bears what it is proposed for: checked by adding the heat up in small steps. */
    @Property
    void aProposedResistorBearsItsPulse(
            @ForAll @DoubleRange(min = 1, max = 2000) double microfarads,
            @ForAll @DoubleRange(min = 70, max = 1000) double volts) {
        BleedFound found = bleed(microfarads, 1000, volts);
        BleedGauge.BleederProposed one = found.proposed().orElseThrow();
        double ohms = one.ohms() * one.series();
        assertThat(volts / one.series()).isLessThanOrEqualTo(500);
        double rc = ohms * microfarads * 1.2e-6;
        for (double at = 0; at < 5 * rc; at += rc / 50) {
            double watts = volts * volts / ohms * Math.exp(-2 * at / rc) / one.series();
            assertThat(watts).isLessThanOrEqualTo((at < 5 ? 5 : 1) * one.watts() * 1.0001);
        }
        assertThat(one.seconds()).isCloseTo(rc * 1.1 * Math.log(volts / 60), within(1e-6 * one.seconds() + 1e-9));
    }

    @Test
    void aboveOneKilovoltItIsForTrainedHands() {
        BleedFound found = bleed(0.01, 1e7, 1001);
        assertThat(found.cautions().get(0)).contains("trained hands alone");
        assertThat(found.proposed()).isEmpty();
        assertThat(found.ratingWatts()).isEmpty();
        assertThat(List.of(found.resistor(), found.meter())).containsOnly(Judgement.CAN_NOT_SAY);
        assertThat(bleed(0.01, 1e7, 1000).proposed()).isPresent();
        assertThat(bleed(0.01, 1e7, 1000).cautions().toString()).doesNotContain("trained");
        assertThat(bleed(10, 1000, 60).proposed())
                .as("nothing is left to bleed")
                .isEmpty();
    }

    @Property
    void moreChargeMoreOhmsAndMoreToleranceTakeLonger(
            @ForAll @DoubleRange(min = 1, max = 1000) double microfarads,
            @ForAll @DoubleRange(min = 100, max = 100_000) double ohms,
            @ForAll @DoubleRange(min = 70, max = 600) double volts) {
        double seconds = bleed(microfarads, ohms, volts).secondsToMeasure();
        assertThat(bleed(microfarads * 1.1, ohms, volts).secondsToMeasure()).isGreaterThan(seconds);
        assertThat(bleed(microfarads, ohms * 1.1, volts).secondsToMeasure()).isGreaterThan(seconds);
        assertThat(bleed(microfarads, ohms, volts * 1.1).secondsToMeasure()).isGreaterThan(seconds);
        assertThat(bleed(microfarads, ohms, volts).seconds()).isLessThan(seconds);
        assertThat(bleed(microfarads, ohms, 59).seconds()).isZero();
    }

    private static BleedFound bleed(double microfarads, double ohms, double volts) {
        return BleedGauge.of(new BleedAsked(microfarads, ohms, volts, Optional.empty(), Optional.empty()));
    }
}
