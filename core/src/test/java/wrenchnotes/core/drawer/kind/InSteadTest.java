package wrenchnotes.core.drawer.kind;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.core.gauge.Judgement.BAD;
import static wrenchnotes.core.gauge.Judgement.CAN_NOT_SAY;
import static wrenchnotes.core.gauge.Judgement.GOOD;

import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wrenchnotes.core.gauge.BeltGauge;
import wrenchnotes.core.gauge.CapacitorGauge;
import wrenchnotes.core.gauge.CapacitorGauge.CapacitorKind;
import wrenchnotes.core.gauge.Judgement;

/** Rules of the gauges are theirs; the rest is common practice, no source, but for the letters of fuses (IEC 60127-1, from memory). */
class InSteadTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "belt 50 × 1.2 square;belt 50 × 1.2 square;GOOD",
                "belt 50 × 1.2 square;belt 47 × 1.2 square;GOOD",
                "belt 50 × 1.2 square;belt 52 × 1.2 square;BAD",
                "belt 50 × 1.2 square;belt 50 × 3 × 0.5 flat;BAD",
                "belt 50 × 1.2 square;belt 50;CAN_NOT_SAY",
                "gear 16 teeth m 0.5 bore 2 splined;gear 16 teeth m 0.5 bore 2 splined;GOOD",
                "gear 16 teeth m 0.5 bore 2 splined;gear 17 teeth m 0.5 bore 2 splined;BAD",
                "gear 16 teeth m 0.5 bore 2 splined;gear 16 teeth m 0.5 bore 1.9 splined;CAN_NOT_SAY",
                "roller 12 x 6 x 3;roller 12 x 5.8 x 3;GOOD",
                "roller 12 x 6 x 3;roller 12 x 6.5 x 3;BAD",
                "screw M3 x 6 PH1;screw M3 x 6 PH1;GOOD",
                "screw M3 x 6 PH1;screw M3 x 8 PH1;BAD",
                "screw M3 x 6 PH1;screw M3 x 5 PH1;CAN_NOT_SAY",
                "screw M3 x 6;screw ST3 x 6;BAD",
                "fuse T1.6A 5×20;fuse T1.6A 5×20;GOOD",
                "fuse T1.6A 5×20;fuse T2A 5×20;BAD",
                "fuse T1.6A 5×20;fuse F1.6A 5×20;BAD",
                "fuse T1.6A 5×20;fuse 1.6A 5×20;CAN_NOT_SAY",
                "resistor 4k7 0.25 W 5 %;resistor 4k7 0.5 W 1 %;GOOD",
                "resistor 4k7 0.5 W 5 %;resistor 4k7 0.25 W 5 %;BAD",
                "74LS04 DIP-14;74LS04 DIP-14;GOOD",
                "74LS04 DIP-14;7404 DIP-14;GOOD",
                "74LS04 DIP-14;74HC04 DIP-14;CAN_NOT_SAY",
                "74LS04 DIP-14;74LS06 DIP-14;BAD",
                "ribbon 16 ways 1 mm 120 mm;ribbon 16 ways 1 mm 150 mm;GOOD",
                "ribbon 16 ways 1 mm 120 mm;ribbon 18 ways 1 mm 120 mm;BAD",
                "470 µF, 25 V electrolytic;470 µF, 35 V electrolytic;GOOD",
                "470 µF, 25 V electrolytic;470 µF, 16 V electrolytic;BAD",
                "470 µF, 25 V electrolytic;470 µF, 35 V;CAN_NOT_SAY",
                "0.1 µF, 275 V~, class X2;0.1 µF, 400 V film;BAD",
                "lens, tall;lens, tall;CAN_NOT_SAY",
                "lens, tall;gear 16 teeth;BAD"
            })
    void whatMayStandIn(String wanted, String at, Judgement verdict) {
        InStead judged = InStead.of(spec(wanted), spec(at));
        assertThat(judged.verdict()).as(judged.reasons().toString()).isEqualTo(verdict);
        assertThat(judged.reasons()).isNotEmpty();
    }

    private static PartSpec spec(String words) {
        return ReadPart.of(words).orElseThrow();
    }

    /** Shared words offered a hinge ribbon for a capacitor once: a part of another kind never stands in. */
    @Test
    void noKindStandsInForAnother() {
        for (PartKind one : PartKind.values()) {
            for (PartKind other : PartKind.values()) {
                if (one != other) {
                    assertThat(InStead.of(PartSpec.of(one), PartSpec.of(other)).verdict())
                            .isEqualTo(BAD);
                }
            }
            assertThat(InStead.of(PartSpec.of(one), PartSpec.of(one)).verdict())
                    .as("of which nothing is known")
                    .isEqualTo(CAN_NOT_SAY);
        }
    }

    /** What fits here is never what its gauge refuses, whatever the gauge is asked with. */
    @Property
    void whatFitsIsNeverWhatTheBeltGaugeRefuses(
            @ForAll @DoubleRange(min = 20, max = 300) double wanted,
            @ForAll @DoubleRange(min = 0.7, max = 1.4) double share) {
        PartSpec at = PartSpec.of(PartKind.BELT).with(PartField.CIRCUMFERENCE, wanted * share);
        BeltGauge.BeltAsked asked = new BeltGauge.BeltAsked(
                Optional.of(BeltGauge.WornBelt.replacedBest(wanted)), Optional.empty(), Optional.empty());
        Judgement gauge = BeltGauge.of(asked, List.of(GaugePart.belt(at).orElseThrow()))
                .candidates()
                .get(0)
                .verdict();
        Judgement here = InStead.of(PartSpec.of(PartKind.BELT).with(PartField.CIRCUMFERENCE, wanted), at)
                .verdict();
        assertThat(gauge == BAD).isEqualTo(here == BAD);
    }

    @Property
    void whatFitsIsNeverWhatTheCapacitorGaugeRefuses(
            @ForAll CapacitorKind was,
            @ForAll CapacitorKind is,
            @ForAll @IntRange(min = 1, max = 40) int farads,
            @ForAll @DoubleRange(min = 5, max = 500) double volts) {
        PartSpec wanted = capacitor(was, 10, 63);
        PartSpec at = capacitor(is, farads, volts);
        CapacitorGauge.CapacitorAsked asked = new CapacitorGauge.CapacitorAsked(
                GaugePart.capacitor(wanted, Optional.empty()).orElseThrow(),
                GaugePart.capacitor(at, Optional.empty()),
                Optional.empty(),
                Optional.empty());
        if (InStead.of(wanted, at).verdict() == GOOD) {
            assertThat(CapacitorGauge.of(asked).verdict()).contains(GOOD);
        }
        if (CapacitorGauge.of(asked).verdict().orElseThrow() == BAD) {
            assertThat(InStead.of(wanted, at).verdict()).isEqualTo(BAD);
        }
    }

    private static PartSpec capacitor(CapacitorKind kind, double farads, double volts) {
        return PartSpec.of(PartKind.CAPACITOR)
                .with(PartField.CAPACITANCE, farads)
                .with(PartField.VOLTS, volts)
                .with(PartField.DIELECTRIC, kind);
    }
}
