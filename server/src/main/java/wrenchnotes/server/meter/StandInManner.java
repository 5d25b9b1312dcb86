package wrenchnotes.server.meter;

import java.time.Duration;
import wrenchnotes.core.unit.Checked;

/**
 * How the stand-in behaves: well, or as meters do on a bad day.
 *
 * @param noisePercent standard deviation of what it reads, 0 to 100 percent of the value
 * @param digits places that count in what it says, 1 to 9
 * @param overloadAbove what it cannot read any more, above 0
 * @param delayMillis how long it takes to answer, up to a minute
 * @param talkative whether it sends more than it was asked for
 */
public record StandInManner(
        double noisePercent, int digits, double overloadAbove, long delayMillis, boolean talkative) {

    public StandInManner {
        Checked.within("noisePercent", noisePercent, 0.0, 100.0);
        Checked.within("digits", digits, 1, 9);
        Checked.within("overloadAbove", overloadAbove, 1e-12, 1e12);
        Checked.within("delayMillis", (int) Math.min(delayMillis, Integer.MAX_VALUE), 0, 60_000);
    }

    static StandInManner of(MeterSettings.StandIn set) {
        return new StandInManner(
                set.noisePercent(),
                set.digits(),
                set.overloadAbove(),
                Duration.from(set.delay()).toMillis(),
                false);
    }

    StandInManner withNoise(double percent) {
        return new StandInManner(percent, digits, overloadAbove, delayMillis, talkative);
    }

    StandInManner withDigits(int places) {
        return new StandInManner(noisePercent, places, overloadAbove, delayMillis, talkative);
    }

    StandInManner withOverload(double above) {
        return new StandInManner(noisePercent, digits, above, delayMillis, talkative);
    }

    StandInManner withDelay(long millis) {
        return new StandInManner(noisePercent, digits, overloadAbove, millis, talkative);
    }

    StandInManner talking(boolean much) {
        return new StandInManner(noisePercent, digits, overloadAbove, delayMillis, much);
    }
}
