package wrenchnotes.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wrenchnotes.core.gauge.BeltGauge.BeltPath;
import wrenchnotes.core.gauge.LimitGauge.LimitAsked;
import wrenchnotes.core.gauge.LimitGauge.Limits;
import wrenchnotes.core.teardown.ThreadForm;

/** The formulas of the gauges against the thing itself, reckoned the long way: by drawing, by stepping, by trying every case. */
class ByNumbersTest {

    private record Point(double x, double y) {}

    private static List<Point> circle(double middle, double diameter) {
        List<Point> points = new ArrayList<>();
        for (int n = 0; n < 4000; n++) {
            double angle = 2 * Math.PI * n / 4000;
            points.add(new Point(middle + diameter / 2 * Math.cos(angle), diameter / 2 * Math.sin(angle)));
        }
        return points;
    }

    /** The way round a set of points, pulled taut: its convex hull (Andrew's monotone chain; published, from memory). */
    private static double taut(List<Point> points) {
        List<Point> sorted = points.stream()
                .sorted(Comparator.comparingDouble(Point::x).thenComparingDouble(Point::y))
                .toList();
        double length = 0;
        for (int side = 1; side >= -1; side -= 2) {
            List<Point> hull = new ArrayList<>();
            for (Point point : sorted) {
                while (hull.size() > 1
                        && side * turn(hull.get(hull.size() - 2), hull.get(hull.size() - 1), point) <= 0) {
                    hull.remove(hull.size() - 1);
                }
                hull.add(point);
            }
            for (int at = 1; at < hull.size(); at++) {
                length += Math.hypot(
                        hull.get(at).x() - hull.get(at - 1).x(),
                        hull.get(at).y() - hull.get(at - 1).y());
            }
        }
        return length;
    }

    private static double turn(Point a, Point b, Point c) {
        return (b.x() - a.x()) * (c.y() - a.y()) - (b.y() - a.y()) * (c.x() - a.x());
    }

    @Property(tries = 60)
    void anOpenBeltIsAsLongAsAThreadPulledTautRoundBothPulleys(
            @ForAll @DoubleRange(min = 2, max = 60) double driver,
            @ForAll @DoubleRange(min = 2, max = 60) double driven,
            @ForAll @DoubleRange(min = 1, max = 100) double apart) {
        double centres = (driver + driven) / 2 + apart;
        List<Point> both = new ArrayList<>(circle(0, driver));
        both.addAll(circle(centres, driven));
        double drawn = taut(both);
        assertThat(new BeltPath(driver, driven, centres, false).length()).isCloseTo(drawn, within(drawn * 2e-5));
    }

    /** The length of a crossed belt depends on the sum of its pulleys alone (published in texts on machine design; from memory). */
    @Property
    void aCrossedBeltKnowsOnlyTheSumOfItsPulleys(
            @ForAll @DoubleRange(min = 2, max = 40) double driver,
            @ForAll @DoubleRange(min = 2, max = 40) double driven,
            @ForAll @DoubleRange(min = 0, max = 1) double share) {
        double centres = (driver + driven) / 2 + 5;
        double moved = (driver - 1) * share;
        double length = new BeltPath(driver, driven, centres, true).length();
        assertThat(new BeltPath(driver - moved, driven + moved, centres, true).length())
                .isCloseTo(length, within(1e-9));
        assertThat(length).isGreaterThan(new BeltPath(driver, driven, centres, false).length());
    }

    /** A charge let out step by step: i = V/R, dV = −i·dt/C (physics). */
    @ParameterizedTest
    @CsvSource({"220,15000,320", "100,47000,400", "4700,220,75"})
    void aChargeBledStepByStepTakesAsLong(double microfarads, double ohms, double volts) {
        double farads = microfarads * 1e-6;
        double step = farads * ohms / 200_000;
        double left = volts;
        double seconds = 0;
        double joules = 0;
        while (left > 60) {
            double amperes = left / ohms;
            joules += left * amperes * step;
            left -= amperes * step / farads;
            seconds += step;
        }
        BleedGauge.BleedFound found =
                BleedGauge.of(new BleedGauge.BleedAsked(microfarads, ohms, volts, Optional.empty(), Optional.of(0.0)));
        assertThat(found.seconds()).isCloseTo(seconds, within(seconds * 1e-4));
        double kept = farads * 60 * 60 / 2;
        assertThat(found.joules() - kept).as("what went into the resistor").isCloseTo(joules, within(joules * 1e-3));
    }

    /** A disc of N bars, lit F times a second: how far the nearest bar has moved from flash to flash is what is seen to drift. */
    @Property
    void theDriftOfBarsIsSeenFlashByFlash(
            @ForAll @DoubleRange(min = 30, max = 400) double rpm,
            @ForAll @DoubleRange(min = -0.02, max = 0.02) double off) {
        double flashes = 100;
        int bars = Math.max(1, (int) Math.round(60 * flashes / rpm));
        double turns = 60 * flashes / bars * (1 + off);
        double barsBetweenFlashes = bars * turns / 60 / flashes;
        double drift = (barsBetweenFlashes - Math.rint(barsBetweenFlashes)) * flashes;
        SpindleGauge.SpindleFound found = SpindleGauge.of(new SpindleGauge.SpindleAsked(
                rpm,
                Optional.empty(),
                flashes,
                Optional.of(Math.abs(drift)),
                Optional.of(drift < 0 ? SpindleGauge.Drift.BACKWARD : SpindleGauge.Drift.FORWARD),
                Optional.empty(),
                Optional.empty()));
        assertThat(found.actualRpm()).isCloseTo(turns, within(turns * 1e-9));
    }

    /**
     * ISO 261 coarse pitches and ISO 1478 (published; the latter from memory). A caliper on the crests reads up to 0.05 mm under, ten
     * threads with a rule are known to 2 % (common practice): the thread is known all the same.
     */
    @ParameterizedTest
    @CsvSource({
        "MACHINE,1.6,0.35", "MACHINE,2,0.4", "MACHINE,2.5,0.45", "MACHINE,3,0.5", "MACHINE,4,0.7",
        "TAPPING,1.9,0.6", "TAPPING,2.2,0.8", "TAPPING,2.9,1.1", "TAPPING,3.5,1.3", "TAPPING,4.2,1.4"
    })
    void aThreadIsKnownHoweverItIsMeasured(ThreadForm form, double diameter, double pitch) {
        for (double under : new double[] {0, 0.02, 0.05}) {
            for (double stretch : new double[] {0.98, 1, 1.02}) {
                ThreadGauge.ThreadFound found = ThreadGauge.of(new ThreadGauge.ThreadAsked(
                        diameter - under,
                        Optional.of(new ThreadGauge.ThreadsCounted(10, 10 * pitch * stretch, Optional.empty())),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty()));
                ThreadGauge.ThreadMatch best = found.designations().get(0);
                assertThat(best.diameterMm()).isEqualTo(diameter);
                assertThat(best.pitchMm()).isEqualTo(pitch);
                assertThat(found.form()).contains(form);
            }
        }
    }

    /** Good is what no error within the uncertainty can make bad, bad what none can make good (ISO 14253-1; published, from memory). */
    @Property
    void theGuardBandIsWhatEveryErrorAllows(
            @ForAll @DoubleRange(min = -10, max = 10) double reading, @ForAll @DoubleRange(min = 0, max = 3) double u) {
        Judgement judged = LimitGauge.of(new LimitAsked(
                        List.of(reading),
                        Optional.of(new Limits(Optional.of(-4.0), Optional.of(4.0))),
                        Optional.of(u),
                        Optional.empty()))
                .verdict()
                .orElseThrow();
        boolean canBeGood = false;
        boolean canBeBad = false;
        for (int n = -200; n <= 200; n++) {
            double truth = reading + u * n / 200;
            canBeGood |= truth >= -4 && truth <= 4;
            canBeBad |= truth < -4 || truth > 4;
        }
        // On the very edge either word is right.
        if (Math.abs(Math.abs(Math.abs(reading) - 4) - u) > 1e-6) {
            assertThat(judged)
                    .isEqualTo(!canBeBad ? Judgement.GOOD : !canBeGood ? Judgement.BAD : Judgement.CAN_NOT_SAY);
        }
    }
}
