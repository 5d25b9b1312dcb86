package wrenchnotes.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wrenchnotes.core.gauge.BeltGauge.BeltAsked;
import wrenchnotes.core.gauge.BeltGauge.BeltBasis;
import wrenchnotes.core.gauge.BeltGauge.BeltCandidate;
import wrenchnotes.core.gauge.BeltGauge.BeltFound;
import wrenchnotes.core.gauge.BeltGauge.BeltInDrawer;
import wrenchnotes.core.gauge.BeltGauge.BeltSection;
import wrenchnotes.core.gauge.BeltGauge.BeltShape;
import wrenchnotes.core.gauge.BeltGauge.WornBelt;
import wrenchnotes.core.gauge.BeltGauge.WornMethod;
import wrenchnotes.core.gauge.BleedGauge.BleedAsked;
import wrenchnotes.core.gauge.BleedGauge.BleedFound;
import wrenchnotes.core.gauge.GearGauge.GearAsked;
import wrenchnotes.core.gauge.GearGauge.GearFound;
import wrenchnotes.core.gauge.GearGauge.GearWheel;
import wrenchnotes.core.gauge.SpindleGauge.Drift;
import wrenchnotes.core.gauge.SpindleGauge.SpindleAsked;
import wrenchnotes.core.gauge.StrobeDisc.DiscPlan;
import wrenchnotes.core.gauge.StrobeDisc.RingAsked;
import wrenchnotes.core.unit.Invalid;

/** What the gauges of parts say, word for word and exactly at their limits; each figure worked out by hand beside it. */
class SaidOfPartsTest {

    /** Worn belt of 100 mm inside: a new one from 80 to 90, best 87 (common practice). The limits themselves are good. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "79.5;BAD;Too short by 0.5 mm: it would load bearings and a small motor",
                "80;GOOD;7 mm from the best length",
                "88.5;GOOD;1.5 mm from the best length",
                "90;GOOD;3 mm from the best length",
                "91.25;BAD;Too long by 1.25 mm: it would slip"
            })
    void aBeltByItsLength(double length, Judgement verdict, String said) {
        BeltCandidate belt = belt(length, null, null);
        assertThat(belt.verdict()).isEqualTo(verdict);
        assertThat(belt.reasons()).containsExactly(said);
    }

    /** Against a square section of 1 × 1 mm: as large within a tenth, a third thinner if it is shorter too (common practice). */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "87;SQUARE;1.1;0.9;GOOD;",
                "87;FLAT;1;1;BAD;Its section is flat, not square",
                "87;SQUARE;1.2;1;BAD;Its section is larger: it may climb out of the groove",
                "87;SQUARE;1;1.2;BAD;Its section is larger: it may climb out of the groove",
                "87;SQUARE;0.65;1;GOOD;A little thinner, and a little shorter: that goes",
                "87;SQUARE;1;0.65;GOOD;A little thinner, and a little shorter: that goes",
                "88;SQUARE;0.7;1;CAN_NOT_SAY;A little thinner: then it should also be shorter than the best length",
                "87;SQUARE;0.6;1;BAD;Its section is much smaller: it would slip",
                "87;SQUARE;1;0.6;BAD;Its section is much smaller: it would slip",
                "79;SQUARE;1;1;BAD;"
            })
    void aBeltByItsSection(double length, BeltShape shape, double wide, double thick, Judgement verdict, String said) {
        BeltSection wanted = new BeltSection(BeltShape.SQUARE, 1, 1);
        BeltCandidate belt = belt(length, new BeltSection(shape, wide, thick), wanted);
        assertThat(belt.verdict()).isEqualTo(verdict);
        assertThat(belt.reasons()).hasSize(said == null ? 1 : 2);
        assertThat(String.join("; ", belt.reasons())).contains(said == null ? "" : said);
        assertThat(belt(87, null, wanted).reasons().get(1))
                .isEqualTo("Its section is not written down: hold it beside the old one");
    }

    private static BeltCandidate belt(double length, BeltSection section, BeltSection wanted) {
        BeltFound found = BeltGauge.of(
                new BeltAsked(
                        Optional.of(new WornBelt(WornMethod.CIRCUMFERENCE, 100)),
                        Optional.empty(),
                        Optional.ofNullable(wanted)),
                List.of(new BeltInDrawer(1, "belt", "4", 2, length, Optional.ofNullable(section))));
        assertThat(found.basis()).isEqualTo(BeltBasis.WORN);
        return found.candidates().get(0);
    }

    /** 20 teeth: module = outside / 22; teeth per inch = 25.4 / module (ISO 53; published). */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "11|Module 0.5, 0 % off.",
                "11.22|Module 0.5, 2 % off; or 48 teeth per inch, 3.622 % off.",
                "11.641666666666667|48 teeth per inch, 0 % off.",
                "8.73125|Module 0.4, 0.7813 % off; or 64 teeth per inch, 0 % off.",
                "9.9|No preferred module or pitch is near 0.45: count the teeth again, or it is not full depth."
            })
    void aGearIsCalledByItsModule(double outside, String said) {
        assertThat(gear(outside, null, null, null, null, false).reasons()).containsExactly(said);
    }

    /** 20 and 40 teeth of module 0.5: the shafts are 15 mm apart. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "15|GOOD|They mesh: the distance is right to 0 mm.",
                "15.05|GOOD|They mesh: the distance is right to 0.05 mm.",
                "15.07|CAN_NOT_SAY|The distance is 0.07 mm off: turn it by hand and listen.",
                "14.98|GOOD|They mesh: the distance is right to 0.02 mm.",
                "14.96|CAN_NOT_SAY|The distance is 0.04 mm off: turn it by hand and listen.",
                "15.2|BAD|The shafts are too far apart: the teeth touch at their tips and will slip.",
                "14.9|BAD|The shafts are too near: the teeth jam.",
                "|CAN_NOT_SAY|The same module; measure the distance of the shafts to be sure."
            })
    void twoGearsByTheirDistance(Double apart, Judgement verdict, String said) {
        GearFound found = gear(11, 21.0, apart, null, null, false);
        assertThat(found.mesh()).contains(verdict);
        assertThat(found.reasons().get(1)).isEqualTo(said);
        assertThat(found.expectedCentresMm().orElseThrow()).isCloseTo(15, within(1e-9));
    }

    /** Two that measure alike are of one pitch, whatever it is called: their middle is √(m₁·m₂), unless a preferred one is near both. */
    @Test
    void twoGearsOfAnOddPitch() {
        GearFound odd = gear(9.9, 42 * 0.452, null, null, null, false);
        assertThat(odd.expectedCentresMm().orElseThrow()).isCloseTo(30 * Math.sqrt(0.45 * 0.452), within(1e-9));
        assertThat(gear(11, 42 * 0.505, null, null, null, false)
                        .expectedCentresMm()
                        .orElseThrow())
                .as("near 0.5 both")
                .isCloseTo(15, within(1e-9));
        assertThat(gear(11, 42 * 0.505, 15.075, null, null, false)
                        .expectedCentresMm()
                        .orElseThrow())
                .as("the shafts are apart for the middle of both")
                .isCloseTo(30 * Math.sqrt(0.5 * 0.505), within(1e-9));
        GearFound two = gear(9.9, 42 * 0.47, null, null, null, false);
        assertThat(two.mesh()).contains(Judgement.BAD);
        assertThat(two.reasons().get(1)).isEqualTo("The mate has module 0.47: these two do not mesh.");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "2|2.1|false|0.1 mm more than its bore is too much for plastic: it splits, now or next year. Another gear, or the bore reamed.",
                "2|2.05|true|Press it on straight: the splines bite 0.05 mm.",
                "2|2.05|false|A press fit of 0.05 mm: warm the gear, press it on straight, and look for a split.",
                "2|2|false|Hardly any grip: a drop of retaining compound that plastic stands, or a gear with a smaller bore.",
                "2.05|2|true|A gap of 0.05 mm: it turns on its shaft. Another gear, or resin around it, kept concentric and cured overnight."
            })
    void aGearOnItsShaft(double bore, double shaft, boolean splined, String said) {
        assertThat(gear(11, null, null, bore, shaft, splined).reasons().get(1)).isEqualTo(said);
    }

    private static GearFound gear(
            double outside, Double mate, Double apart, Double bore, Double shaft, boolean splined) {
        return GearGauge.of(new GearAsked(
                20,
                outside,
                Optional.ofNullable(mate).map(across -> new GearWheel(40, across)),
                Optional.ofNullable(apart),
                Optional.ofNullable(bore),
                Optional.ofNullable(shaft),
                splined));
    }

    /** 100 µF through 10 kΩ is 1 s; from 300 to 60 V ln 5 = 1.609 of them; 20 and 10 % more: 2.124 s. 300²/10⁴ = 9 W, a fifth of it 1.8 W. */
    @Test
    void aBleedSaysWhatItsPartsMustStand() {
        BleedFound unsaid = bleed(300, 10_000, null, null, null);
        assertThat(unsaid.reasons())
                .containsExactly(
                        "One time constant is 1 s; 1.609 of them down to 60 V.",
                        "With the capacitor 20 % and the resistor 10 % larger than marked: measure after 2.124 s.",
                        "The resistor takes 9 W at first: a wire-wound one of 1.8 W or more bears the pulse; what this one bears is not said.",
                        "The resistor must stand 300 V: what is printed on it is not said.",
                        "Meter and probes must stand 300 V: what is printed on it is not said.");
        BleedFound just = bleed(300, 10_000, 1.8, 300.0, 300.0);
        assertThat(just.resistor()).as("exactly what it needs").isEqualTo(Judgement.GOOD);
        assertThat(just.meter()).isEqualTo(Judgement.GOOD);
        assertThat(just.reasons().get(2)).endsWith("bears the pulse, and this one has 1.8 W.");
        assertThat(just.reasons().get(4)).isEqualTo("Meter and probes must stand 300 V; rated for 300 V.");
        assertThat(bleed(300, 9000, null, null, null).ratingWatts())
                .as("300²/9000 = 10 W, a fifth is 2 W: sold")
                .contains(2.0);
        assertThat(bleed(900, 100, null, null, null).reasons().get(2))
                .isEqualTo("No usual resistor takes 8100 W at first: take more ohms, it takes longer.");
        assertThat(unsaid.curve().get(unsaid.curve().size() - 1).seconds())
                .as("five time constants of the slowest")
                .isCloseTo(5 * 1.32, within(1e-9));
        BleedFound low = BleedGauge.of(new BleedAsked(100, 10_000, 900, Optional.of(1.0), Optional.empty()));
        assertThat(low.curve().get(low.curve().size() - 1).seconds())
                .as("a fifth beyond the limit, if that is later")
                .isCloseTo(1.32 * 1.2 * Math.log(900), within(1e-9));
        assertThat(bleed(500, 10_000, null, null, null).proposed().orElseThrow().series())
                .as("one body stands 500 V")
                .isEqualTo(1);
        assertThat(bleed(501, 10_000, null, null, null).proposed().orElseThrow().series())
                .isEqualTo(2);
    }

    private static BleedFound bleed(double volts, double ohms, Double watts, Double stands, Double meter) {
        return BleedGauge.of(new BleedAsked(
                100,
                ohms,
                volts,
                Optional.empty(),
                Optional.empty(),
                Optional.ofNullable(stands),
                Optional.ofNullable(watts),
                Optional.empty(),
                Optional.ofNullable(meter)));
    }

    /** N = 60·F/rpm (published: the stroboscopic disc). 6000/33 = 181.8: 182 bars stand at 32.967 rpm, and drift 0.1 a second at 33. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "33;182 bars stand still at 32.97 rpm, not quite at 33: that is reckoned in. At the right speed they drift 0.1 a second forward.",
                "33.1;181 bars stand still at 33.15 rpm, not quite at 33.1: that is reckoned in. At the right speed they drift 0.1483 a second backward.",
                "50;"
            })
    void barsThatAreNotWholeSaySo(double rpm, String said) {
        SpindleAsked asked = spindle(rpm, null, null);
        assertThat(SpindleGauge.of(asked).reasons()).isEqualTo(said == null ? List.of() : List.of(said));
        assertThat(SpindleGauge.of(asked).turn()).isEqualTo("Look how the bars drift: none a second if they stand.");
    }

    @Test
    void aSpindleIsTurnedOrLeftAlone() {
        assertThat(SpindleGauge.of(spindle(50, 0.0, null)).turn()).isEqualTo("Leave it.");
        assertThat(SpindleGauge.of(spindle(50, 0.5, Drift.FORWARD)).turn()).startsWith("It runs fast");
        assertThat(SpindleGauge.of(spindle(50, 0.5, Drift.BACKWARD)).turn()).startsWith("It runs slow");
        assertThat(SpindleGauge.of(spindle(50, 25.0, Drift.FORWARD)).errorPercent())
                .isCloseTo(25, within(1e-9));
        assertThatThrownBy(() -> spindle(50, 25.1, Drift.FORWARD))
                .isInstanceOf(Invalid.class)
                .hasMessageContaining("25.0");
        Reading read = MotionReadings.spindle(new SpindleAsked(
                        50,
                        Optional.empty(),
                        100,
                        Optional.of(0.5),
                        Optional.of(Drift.FORWARD),
                        Optional.of(2.0),
                        Optional.of(0.4)))
                .readings()
                .get(0);
        assertThat(List.of(
                        read.min().orElseThrow(),
                        read.max().orElseThrow(),
                        read.uncertainty().orElseThrow()))
                .as("50 ± 2 %%, known to 0.4 %%")
                .containsExactly(49.0, 51.0, 0.2);
        Measurement none = MotionReadings.spindle(spindle(50, null, null));
        assertThat(none.words()).isEqualTo("Spindle: 120 bars, nothing measured");
        assertThat(none.readings().get(0).words()).isEqualTo("50 rpm");
    }

    private static SpindleAsked spindle(double rpm, Double drift, Drift direction) {
        return new SpindleAsked(
                rpm,
                Optional.empty(),
                100,
                Optional.ofNullable(drift),
                Optional.ofNullable(direction),
                Optional.empty(),
                Optional.empty());
    }

    /** Rings share the room from 2 mm inside the rim to a third of the disc, 1 mm between them; a larger hole takes of it. */
    @ParameterizedTest
    @CsvSource({"200,8,33.333333", "200,80,42"})
    void ringsFillTheDisc(double diameter, double hole, double innermost) {
        DiscPlan plan = StrobeDisc.of(List.of(new RingAsked(300, 100), new RingAsked(360, 100)), diameter, hole);
        StrobeDisc.StrobeRing outer = plan.rings().get(0);
        StrobeDisc.StrobeRing inner = plan.rings().get(1);
        assertThat(outer.outerMm()).isEqualTo(98);
        assertThat(outer.innerMm()).isCloseTo(inner.outerMm() + 1, within(1e-9));
        assertThat(inner.innerMm()).isCloseTo(innermost + 1, within(1e-5));
        assertThat(outer.bars()).isEqualTo(20);
        assertThat(inner.standsAtRpm()).isCloseTo(6000 / 17.0, within(1e-9));
        List<StrobeDisc.PointMm> bar = StrobeDisc.outline(outer, 5);
        assertThat(bar.get(0).y()).as("a quarter of the way round").isCloseTo(98, within(1e-9));
        assertThat(bar).hasSize(8);
        assertThat(bar.get(3).x()).as("half of 18° wide").isCloseTo(98 * Math.cos(Math.toRadians(99)), within(1e-9));
    }

    @Test
    void aDiscThatIsTooSmallNamesTheNextThatIsNot() {
        assertThatThrownBy(() -> StrobeDisc.of(List.of(new RingAsked(10, 100)), 60, 8))
                .isInstanceOf(Invalid.class)
                .hasMessage("600 bars would be 0.0576 mm wide: take a disc of at least 365 mm");
    }
}
