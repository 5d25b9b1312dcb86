package wrenchnotes.core.gauge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Spoken;

/**
 * Speed by strobe: bars that stand still N = 60·F / rpm, F flashes a second (a lamp on 50 Hz mains flashes 100 times, on 60 Hz 120; a
 * camera at f frames gives F = f). A drift of k bars a second is an error of k/F of the speed; a forward drift is fast (published: the
 * standard stroboscopic disc, 180 bars at 50 Hz and 216 at 60 Hz for 33⅓; from memory).
 */
public final class SpindleGauge {

    private static final double USUAL_LIMIT_PERCENT = 1;

    public enum Drift implements Spoken {
        FORWARD,
        BACKWARD
    }

    /**
     * @param nominalRpm above 0, up to 20,000
     * @param bars on the disc; the nearest that stands still if left out
     * @param flashesPerSecond above 0, up to 100,000
     * @param driftBarsPerSecond 0 or more, less than a quarter of the flashes; 0 if left out
     * @param direction which way they drift; needed only if they do
     * @param limitPercent how far off is good; 1 if left out
     * @param uncertaintyPercent of the speed; none if left out. The verdict then uses a guard band.
     */
    public record SpindleAsked(
            double nominalRpm,
            Optional<Integer> bars,
            double flashesPerSecond,
            Optional<Double> driftBarsPerSecond,
            Optional<Drift> direction,
            Optional<Double> limitPercent,
            Optional<Double> uncertaintyPercent) {
        public SpindleAsked {
            Checked.within("nominalRpm", nominalRpm, 0.1, 20_000);
            Checked.within("flashesPerSecond", flashesPerSecond, 0.1, 100_000);
            bars.ifPresent(value -> Checked.within("bars", value, 1, 100_000));
            Optional<Double> drift = driftBarsPerSecond;
            drift.ifPresent(value -> Checked.within("driftBarsPerSecond", value, 0.0, flashesPerSecond / 4));
            limitPercent.ifPresent(value -> Checked.within("limitPercent", value, 0.001, 50));
            uncertaintyPercent.ifPresent(value -> Checked.within("uncertaintyPercent", value, 0.0, 50.0));
            if (drift.orElse(0.0) > 0 && direction.isEmpty()) {
                throw new Invalid("direction", "Say whether the bars drift forward or backward");
            }
        }
    }

    /**
     * @param bars on the disc that was gone by
     * @param standsAtRpm the speed at which these bars stand still
     * @param actualRpm with the drift
     * @param errorPercent of the nominal speed; above 0 is fast
     * @param limitPercent that it was judged by
     * @param leastDiscMm the smallest paper disc on which these bars can be printed
     * @param driftsWhenRight how many bars a second drift by at the right speed, forward above 0; 0 if they stand then
     * @param verdict empty if nothing was measured
     * @param turn what to do
     * @param caution for whoever puts a hand near it
     */
    public record SpindleFound(
            int bars,
            double standsAtRpm,
            double actualRpm,
            double errorPercent,
            double limitPercent,
            double leastDiscMm,
            double driftsWhenRight,
            Optional<Judgement> verdict,
            String turn,
            String caution,
            List<String> reasons) {}

    private static final String CAUTION = "What seems to stand still is turning: keep fingers, hair and leads away.";

    private SpindleGauge() {}

    public static SpindleFound of(SpindleAsked asked) {
        double f = asked.flashesPerSecond();
        double exact = 60 * f / asked.nominalRpm();
        int bars = asked.bars().orElse(Math.max(1, (int) Math.round(exact)));
        double stands = 60 * f / bars;
        double drift = asked.driftBarsPerSecond().orElse(0.0)
                * (asked.direction().orElse(Drift.FORWARD) == Drift.FORWARD ? 1 : -1);
        double actual = stands * (1 + drift / f);
        double error = 100 * (actual / asked.nominalRpm() - 1);
        double limit = asked.limitPercent().orElse(USUAL_LIMIT_PERCENT);
        double whenRight = f * (asked.nominalRpm() / stands - 1);
        List<String> reasons = new ArrayList<>();
        if (Math.abs(exact - bars) > 1e-9) {
            reasons.add(bars + " bars stand still at " + LimitGauge.number(stands) + " rpm, not quite at "
                    + LimitGauge.number(asked.nominalRpm()) + ": that is reckoned in. At the right speed they drift "
                    + LimitGauge.number(Math.abs(whenRight)) + " a second "
                    + (whenRight > 0 ? "forward." : "backward."));
        }
        Optional<Judgement> verdict = asked.driftBarsPerSecond()
                .map(said -> LimitGauge.judge(
                        error,
                        new LimitGauge.Limits(Optional.of(-limit), Optional.of(limit)),
                        asked.uncertaintyPercent().orElse(0.0),
                        "%",
                        reasons));
        String turn = verdict.isEmpty()
                ? "Look how the bars drift: none a second if they stand."
                : Math.abs(error) < 1e-9
                        ? "Leave it."
                        : error > 0
                                ? "It runs fast: turn the speed down until the bars stand."
                                : "It runs slow: turn the speed up until the bars stand.";
        return new SpindleFound(
                bars,
                stands,
                actual,
                error,
                limit,
                StrobeDisc.leastDiameterMm(bars),
                whenRight,
                verdict,
                turn,
                CAUTION,
                List.copyOf(reasons));
    }
}
