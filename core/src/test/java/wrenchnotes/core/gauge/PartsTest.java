package wrenchnotes.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.gauge.GearGauge.GearAsked;
import wrenchnotes.core.gauge.GearGauge.GearFit;
import wrenchnotes.core.gauge.GearGauge.GearWheel;

/** Laws of parts that may stand in for others. */
class PartsTest {

    private static GearAsked gear(int teeth, double outside, GearWheel mate, Double apart, Double bore, Double shaft) {
        return new GearAsked(
                teeth,
                outside,
                Optional.ofNullable(mate),
                Optional.ofNullable(apart),
                Optional.ofNullable(bore),
                Optional.ofNullable(shaft),
                false);
    }

    /** Outside diameter = (teeth + 2)/DP inches (common practice): 22 teeth of 48 per inch are half an inch across. */
    @Test
    void inchGearsAreKnownAndMeshWithTheirLike() {
        GearGauge.GearFound small = GearGauge.of(gear(22, 12.7, null, null, null, null));
        assertThat(small.preferredPitch()).contains(48.0);
        assertThat(small.diametralPitch()).isEqualTo(48, org.assertj.core.api.Assertions.within(1e-9));
        assertThat(small.reasons().get(0)).startsWith("48 teeth per inch");
        for (double pitch : new double[] {24, 32, 48, 64, 72, 80, 96}) {
            GearWheel like = new GearWheel(46, 48 * 25.4 / pitch);
            double apart = 25.4 / pitch * (22 + 46) / 2;
            assertThat(GearGauge.of(gear(22, 24 * 25.4 / pitch, like, apart, null, null))
                            .mesh())
                    .as("%s per inch", pitch)
                    .contains(Judgement.GOOD);
        }
        // Module 0.5 beside 48 per inch: 5.8 percent apart, and they jam.
        assertThat(GearGauge.of(gear(22, 12.7, new GearWheel(46, 24), 17.0, null, null))
                        .mesh())
                .contains(Judgement.BAD);
        // Two alike that no table has: 0.55 is neither a module nor a pitch.
        assertThat(GearGauge.of(gear(22, 24 * 0.55, new GearWheel(46, 48 * 0.55), 0.55 * 34, null, null))
                        .mesh())
                .contains(Judgement.GOOD);
    }

    /** a = m(z₁+z₂)/2 for full depth (ISO 53, ISO 54; published): with another module beside it, or the shafts off, they do not mesh. */
    @Test
    void gearsMeshByModuleAndDistance() {
        GearWheel mate = new GearWheel(36, 19);
        assertThat(GearGauge.of(gear(24, 13, mate, 15.0, null, null)).mesh()).contains(Judgement.GOOD);
        assertThat(GearGauge.of(gear(24, 13, mate, 15.4, null, null)).mesh()).contains(Judgement.BAD);
        assertThat(GearGauge.of(gear(24, 13, mate, 14.8, null, null)).mesh()).contains(Judgement.BAD);
        assertThat(GearGauge.of(gear(24, 13, mate, null, null, null)).mesh()).contains(Judgement.CAN_NOT_SAY);
        assertThat(GearGauge.of(gear(24, 10.4, mate, 15.0, null, null)).mesh()).contains(Judgement.BAD);
        assertThat(GearGauge.of(gear(24, 13, mate, 15.0, null, null)).ratio()).contains(1.5);
        assertThat(GearGauge.of(gear(24, 13, null, null, 2.0, 2.05)).fit()).contains(GearFit.INTERFERENCE);
        // A plastic gear splits beyond about three percent of its bore (common practice).
        assertThat(GearGauge.of(gear(24, 13, null, null, 2.0, 2.06)).fit()).contains(GearFit.INTERFERENCE);
        assertThat(GearGauge.of(gear(24, 13, null, null, 2.0, 2.061)).fit()).contains(GearFit.TOO_TIGHT);
        assertThat(GearGauge.of(gear(24, 13, null, null, 2.0, 2.3)).reasons().toString())
                .contains("splits")
                .doesNotContain("Press it on");
        assertThat(GearGauge.of(gear(24, 13, null, null, 2.01, 2.0)).fit()).contains(GearFit.TRANSITION);
        assertThat(GearGauge.of(gear(24, 13, null, null, 2.1, 2.0)).fit()).contains(GearFit.CLEARANCE);
        assertThat(GearGauge.of(gear(24, 12.1, null, null, null, null))
                        .reasons()
                        .toString())
                .as("no preferred module is near 0.465")
                .contains("No preferred module");
        assertThatThrownBy(() -> gear(3, 13, null, null, null, null)).hasMessageContaining("from 5 to 2000");
    }
}
