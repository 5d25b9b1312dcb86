package wrenchnotes.core.pattern.rises;

import wrenchnotes.core.pattern.Share;

/**
 * How much larger one share is than another, and between which differences the truth lies nineteen times in twenty: Newcombe's interval from two Wilson
 * intervals (Statistics in Medicine 17, 1998, 873; his method 10).
 *
 * @param difference of the first less the second, −1 to 1
 * @param low −1 to {@code difference}
 * @param high {@code difference} to 1
 */
public record Difference(Share first, Share second, double difference, double low, double high) {

    public static Difference of(Share first, Share second) {
        double difference = first.share() - second.share();
        double below = Math.hypot(first.share() - first.low(), second.high() - second.share());
        double above = Math.hypot(first.high() - first.share(), second.share() - second.low());
        return new Difference(
                first, second, difference, Math.max(-1, difference - below), Math.min(1, difference + above));
    }

    /** Whether nought lies outside: one of the two is larger, as far as anybody can tell. */
    public boolean tells() {
        return low > 0 || high < 0;
    }
}
