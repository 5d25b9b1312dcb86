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
 * <p>One stage is taken to be bad. The output of a stage is the input of the next; a probe there says on which side the fault lies.
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

    /**
     * @param faulty index of the stage that is found, from 0; empty while it is not
     * @param probeAfter index of the stage whose output to probe next; empty when it is found or everything is good
     * @param expectedMinutes from here until it is isolated; 0 when it is found
     * @param from index of the first stage that may be it @param to index of the last
     */
    public record ChainFound(
            Optional<Integer> faulty,
            Optional<Integer> probeAfter,
            double expectedMinutes,
            int from,
            int to,
            List<String> reasons) {}

    private ChainGauge() {}

    /** @throws Invalid if a signal is said to be good after it was bad, with the stages in question */
    public static ChainFound of(ChainAsked asked) {
        List<ChainStage> stages = asked.stages();
        int n = stages.size();
        int from = 0;
        int to = n - 1;
        boolean anyBad = false;
        for (int at = 0; at < n; at++) {
            ChainStage stage = stages.get(at);
            Signal in = at > 0 ? agreed(stages.get(at - 1).out(), stage.in(), stage) : stage.in();
            if (in == Signal.GOOD) {
                if (anyBad) {
                    throw new Invalid(
                            "stages[" + at + "].in",
                            "The input of " + stage.name() + " is good, but a signal before it is bad: look again");
                }
                from = Math.max(from, at);
            } else if (in == Signal.BAD) {
                if (at == 0) {
                    throw new Invalid(
                            "stages[0].in", "The input of the first stage is bad: the fault lies before this chain");
                }
                to = anyBad ? to : at - 1;
                anyBad = true;
            }
        }
        Signal last = stages.get(n - 1).out();
        if (last == Signal.GOOD && anyBad) {
            throw new Invalid(
                    "stages[" + (n - 1) + "].out",
                    "The output of the last stage is good, but a signal before it is bad: look again");
        }
        if (last == Signal.GOOD) {
            return new ChainFound(
                    Optional.empty(),
                    Optional.empty(),
                    0,
                    from,
                    to,
                    List.of("The output of the last stage is good: the fault is not in this chain."));
        }
        if (from == to && (anyBad || last == Signal.BAD)) {
            return new ChainFound(
                    Optional.of(from),
                    Optional.empty(),
                    0,
                    from,
                    to,
                    List.of(stages.get(from).name() + " is the first with a good input and a bad output."));
        }
        return next(stages, from, to, anyBad || last == Signal.BAD);
    }

    private static Signal agreed(Signal out, Signal in, ChainStage stage) {
        if (out != Signal.UNKNOWN && in != Signal.UNKNOWN && out != in) {
            throw new Invalid(
                    "stages",
                    "The input of " + stage.name() + " and the output before it are the same point, but one is good and"
                            + " one bad: the wire between them, or look again");
        }
        return out != Signal.UNKNOWN ? out : in;
    }

    private static ChainFound next(List<ChainStage> stages, int from, int to, boolean badAtTheEnd) {
        if (!badAtTheEnd) {
            return new ChainFound(
                    Optional.empty(),
                    Optional.of(to),
                    stages.get(to).cost() + least(stages, from, to).minutes(),
                    from,
                    to,
                    List.of("Nobody has seen a bad signal yet: probe the end first."));
        }
        Split split = least(stages, from, to);
        List<String> reasons = new ArrayList<>();
        reasons.add((to - from + 1) + " stages may be it, " + stages.get(from).name() + " to "
                + stages.get(to).name() + ".");
        reasons.add("Probing after " + stages.get(split.after()).name() + " isolates it soonest: about "
                + LimitGauge.number(split.minutes()) + " min from here.");
        return new ChainFound(Optional.empty(), Optional.of(split.after()), split.minutes(), from, to, reasons);
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
