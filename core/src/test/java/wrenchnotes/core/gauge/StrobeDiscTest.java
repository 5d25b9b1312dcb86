package wrenchnotes.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.gauge.StrobeDisc.DiscPlan;
import wrenchnotes.core.gauge.StrobeDisc.PointMm;
import wrenchnotes.core.gauge.StrobeDisc.RingAsked;
import wrenchnotes.core.gauge.StrobeDisc.StrobeRing;

/** Discs to scale. */
class StrobeDiscTest {

    /** Half of a ring is black, whatever its speed and light: the bars' outlines by the shoelace formula. */
    @Property(tries = 60)
    void halfOfEachRingIsBlack(
            @ForAll @IntRange(min = 20, max = 400) int rpm, @ForAll @IntRange(min = 25, max = 120) int flashes) {
        double wide = Math.max(60, StrobeDisc.leastDiameterMm(Math.round(60f * flashes / rpm)));
        DiscPlan plan = StrobeDisc.of(List.of(new RingAsked(rpm, flashes)), wide, 7);
        StrobeRing ring = plan.rings().get(0);
        double black = 0;
        for (int bar = 0; bar < ring.bars(); bar++) {
            List<PointMm> corners = StrobeDisc.outline(ring, bar);
            double twice = 0;
            for (int at = 0; at < corners.size(); at++) {
                PointMm one = corners.get(at);
                PointMm next = corners.get((at + 1) % corners.size());
                twice += one.x() * next.y() - next.x() * one.y();
            }
            black += Math.abs(twice) / 2;
        }
        double all = Math.PI * (ring.outerMm() * ring.outerMm() - ring.innerMm() * ring.innerMm());
        assertThat(black / all).isCloseTo(0.5, within(0.001));
        assertThat(ring.standsAtRpm() * ring.bars()).isCloseTo(60.0 * flashes, within(1e-6));
    }

    /** 33⅓ rpm: 180 bars under 50 Hz light, 216 under 60 Hz (the standard stroboscopic disc; published). */
    @Test
    void bothLightsOnOneDisc() {
        DiscPlan plan = StrobeDisc.of(List.of(new RingAsked(100 / 3.0, 120), new RingAsked(100 / 3.0, 100)), 180, 7.2);
        assertThat(plan.rings()).extracting(StrobeRing::bars).containsExactly(216, 180);
        assertThat(plan.rings().get(1).outerMm()).isLessThan(plan.rings().get(0).innerMm());
        assertThatThrownBy(() -> StrobeDisc.of(List.of(new RingAsked(5, 100)), 100, 7))
                .hasMessageContaining("take a disc of at least");
        assertThat(StrobeDisc.leastDiameterMm(216))
                .as("a bar of 0.35 mm at the inner edge")
                .isEqualTo(139);
    }
}
