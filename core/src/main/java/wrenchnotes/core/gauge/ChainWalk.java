package wrenchnotes.core.gauge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wrenchnotes.core.gauge.ChainGauge.ChainFound;
import wrenchnotes.core.gauge.ChainGauge.ChainSpan;
import wrenchnotes.core.gauge.ChainGauge.ChainStage;
import wrenchnotes.core.gauge.ChainGauge.Signal;

/** One way along a chain, signal by signal: where its faults lie, and where to probe next. */
final class ChainWalk {

    private final List<ChainStage> stages;
    private final List<ChainSpan> faults = new ArrayList<>();
    /** What a single fault does not explain. */
    private final List<String> against = new ArrayList<>();
    /** Index of the stage behind the last good signal; the first stage until one was seen. */
    private int good;

    private boolean goodSeen;
    private boolean firstGoodSeen;
    private boolean bad;

    ChainWalk(List<ChainStage> stages) {
        this.stages = stages;
    }

    ChainFound found() {
        for (int at = 0; at < stages.size(); at++) {
            ChainStage stage = stages.get(at);
            seen(at, stage.in(), "the input of " + stage.name());
            seen(at + 1, stage.out(), "the output of " + stage.name());
        }
        List<String> reasons = new ArrayList<>();
        if (!against.isEmpty()) {
            reasons.add(
                    "A single fault does not explain it: " + String.join("; ", against)
                            + ". Repeat these readings; if they stay, several faults at once are possible, or a wire between two stages is one.");
        }
        if (faults.isEmpty()) {
            return notInside(reasons);
        }
        if (faults.size() > 1) {
            faults.forEach(span -> reasons.add("One fault lies " + where(span) + "."));
        }
        ChainSpan first = faults.get(0);
        return first.from() < first.to() ? split(first, reasons) : found(first.from(), reasons);
    }

    /** @param point 0 is what goes in, n what stage n − 1 gives out */
    private void seen(int point, Signal signal, String what) {
        if (signal == Signal.GOOD) {
            if (bad) {
                against.add(what + " is good behind a bad signal");
            }
            good = point;
            goodSeen = true;
            bad = false;
        } else if (signal == Signal.BAD && !bad) {
            if (good == point) {
                against.add(what + " is bad, and what is before it at the same point is good");
            } else {
                firstGoodSeen |= faults.isEmpty() && goodSeen;
                faults.add(new ChainSpan(good, point - 1));
            }
            bad = true;
        }
    }

    private String where(ChainSpan span) {
        String from = stages.get(span.from()).name();
        return span.from() == span.to()
                ? "in " + from
                : "from " + from + " to " + stages.get(span.to()).name();
    }

    /** No stage is shown to be bad: all is good, nothing bad was seen, or only a wire is. */
    private ChainFound notInside(List<String> reasons) {
        int last = stages.size() - 1;
        if (good > last || !reasons.isEmpty()) {
            if (reasons.isEmpty()) {
                reasons.add("The output of the last stage is good: the fault is not in this chain.");
            }
            return new ChainFound(Optional.empty(), Optional.empty(), 0, last, last, List.of(), reasons);
        }
        reasons.add("Nobody has seen a bad signal yet: probe the end first.");
        double minutes = stages.get(last).cost() + least(stages, good, last).minutes();
        return new ChainFound(Optional.empty(), Optional.of(last), minutes, good, last, List.of(), reasons);
    }

    private ChainFound found(int stage, List<String> reasons) {
        String name = stages.get(stage).name();
        // One fault alone cannot be it if something else contradicts it: then a reading is wrong, and which one nobody
        // knows.
        boolean sure = firstGoodSeen && (against.isEmpty() || faults.size() > 1);
        reasons.add(
                !firstGoodSeen
                        ? "Nobody has seen what goes in: probe the input of " + name
                                + ". Good, and it is this stage; bad, and the fault lies before this chain."
                        : name + " is the first with a good input and a bad output"
                                + (sure ? "." : ", if these readings stay."));
        return new ChainFound(
                sure ? Optional.of(stage) : Optional.empty(),
                Optional.empty(),
                0,
                stage,
                stage,
                List.copyOf(faults),
                reasons);
    }

    private ChainFound split(ChainSpan span, List<String> reasons) {
        Split split = least(stages, span.from(), span.to());
        reasons.add((span.to() - span.from() + 1) + " stages may be it, "
                + stages.get(span.from()).name() + " to "
                + stages.get(span.to()).name() + ".");
        reasons.add("Probing after " + stages.get(split.after()).name() + " isolates it soonest: about "
                + LimitGauge.number(split.minutes()) + " min from here.");
        return new ChainFound(
                Optional.empty(),
                Optional.of(split.after()),
                split.minutes(),
                span.from(),
                span.to(),
                List.copyOf(faults),
                reasons);
    }

    private record Split(double minutes, int after) {}

    /** least[i][j]: expected minutes when the fault lies in i to j; the best first probe splits the interval by its odds. */
    private static Split least(List<ChainStage> stages, int from, int to) {
        int n = to - from + 1;
        double[] sums = new double[n + 1];
        for (int at = 0; at < n; at++) {
            sums[at + 1] = sums[at] + stages.get(from + at).odds();
        }
        double[][] least = new double[n][n];
        int first = from;
        for (int length = 2; length <= n; length++) {
            for (int i = 0; i + length <= n; i++) {
                int j = i + length - 1;
                double all = sums[j + 1] - sums[i];
                double best = Double.MAX_VALUE;
                for (int k = i; k < j; k++) {
                    double before = (sums[k + 1] - sums[i]) / all;
                    double minutes =
                            stages.get(from + k).cost() + before * least[i][k] + (1 - before) * least[k + 1][j];
                    if (minutes < best - 1e-12) {
                        best = minutes;
                        first = i == 0 && j == n - 1 ? from + k : first;
                    }
                }
                least[i][j] = best;
            }
        }
        return new Split(n > 1 ? least[0][n - 1] : 0, first);
    }
}
