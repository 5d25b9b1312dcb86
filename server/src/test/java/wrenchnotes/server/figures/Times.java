package wrenchnotes.server.figures;

import java.util.Arrays;

/** Times of one thing done many times, in nanoseconds. */
final class Times {

    private final long[] sorted;

    Times(long[] nanos) {
        sorted = nanos.clone();
        Arrays.sort(sorted);
    }

    double medianMillis() {
        return at(0.5);
    }

    double millis95() {
        return at(0.95);
    }

    private double at(double part) {
        return sorted[(int) Math.min(sorted.length - 1, Math.ceil(part * sorted.length))] / 1e6;
    }
}
