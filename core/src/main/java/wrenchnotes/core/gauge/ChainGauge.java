package wrenchnotes.core.gauge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Spoken;

/**
 * A fault along a chain of stages: the first one with a good input and a bad output is it (common practice); until it is found, where to
 * probe next so that the expected minutes to isolate it are least, by dynamic programming over the interval that is left (Bellman;
 * with equal odds and minutes this is half-splitting, common practice).
 *
 * <p>One stage is taken to be bad, as long as the readings allow it: a signal that is good behind a bad one, or two words about one point, mean a reading
 * to repeat, or several faults; each stretch from a good signal to a bad one has one then. The output of a stage is the input of the next; a probe there
 * says on which side the fault lies. Without a good signal before it nothing is called faulty: it may lie before this chain.
 */
public final class ChainGauge {

    private static final int MOST = 100;

    public enum Signal implements Spoken {
        GOOD,
        BAD,
        UNKNOWN
    }

    /**
     * @param priorBad how likely it is the bad one, against the others, above 0; 1 if left out
     * @param minutes to probe its output, above 0; 1 if left out
     */
    public record ChainStage(String name, Signal in, Signal out, Optional<Double> priorBad, Optional<Double> minutes) {
        public ChainStage {
            name = Checked.text("name", name, 80);
            Checked.present("in", in);
            Checked.present("out", out);
            priorBad.ifPresent(value -> Checked.within("priorBad", value, 1e-9, 1e9));
            minutes.ifPresent(value -> Checked.within("minutes", value, 1e-3, 1e6));
        }

        double odds() {
            return priorBad.orElse(1.0);
        }

        double cost() {
            return minutes.orElse(1.0);
        }
    }

    /** @param stages 1 to 100, in the order of the signal */
    public record ChainAsked(List<ChainStage> stages) {
        public ChainAsked {
            Checked.present("stages", stages);
            Checked.within("stages", stages.size(), 1, MOST);
            stages = List.copyOf(stages);
        }
    }

    /** Stages of which one is bad, from 0: the first and the last that may be it. */
    public record ChainSpan(int from, int to) {}

    /**
     * @param faulty index of the stage that is found, from 0; of several the first; empty while none is
     * @param probeAfter index of the stage whose output to probe next; empty when there is nothing to probe after a stage
     * @param expectedMinutes from here until the first fault is isolated; 0 when it is found
     * @param from index of the first stage that may be it @param to index of the last
     * @param faults where the readings put a fault, in order: none while nothing bad was seen, several if one does not explain them
     */
    public record ChainFound(
            Optional<Integer> faulty,
            Optional<Integer> probeAfter,
            double expectedMinutes,
            int from,
            int to,
            List<ChainSpan> faults,
            List<String> reasons) {}

    private final List<ChainStage> stages;
    private final List<ChainSpan> faults = new ArrayList<>();
    /** What a single fault does not explain. */
    private final List<String> against = new ArrayList<>();
    /** Index of the stage behind the last good signal; is a guess until one was seen. */
    private int good;

    private boolean goodSeen;
    private boolean firstGoodSeen;
    private boolean bad;

    private ChainGauge(List<ChainStage> stages) {
        this.stages = stages;
    }

    /** @throws Invalid if the input of the first stage is said to be bad */
    public static ChainFound of(ChainAsked asked) {
        if (asked.stages().get(0).in() == Signal.BAD) {
            throw new Invalid("stages[0].in", "The input of the first stage is bad: the fault lies before this chain");
        }
        return new ChainGauge(asked.stages()).found();
    }

    private ChainFound found() {
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
        reasons.add(
                firstGoodSeen
                        ? stages.get(stage).name() + " is the first with a good input and a bad output."
                        : "Nobody has seen what goes in: probe the input of "
                                + stages.get(stage).name()
                                + ". Good, and it is this stage; bad, and the fault lies before this chain.");
        Optional<Integer> faulty = firstGoodSeen ? Optional.of(stage) : Optional.empty();
        return new ChainFound(faulty, Optional.empty(), 0, stage, stage, List.copyOf(faults), reasons);
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
