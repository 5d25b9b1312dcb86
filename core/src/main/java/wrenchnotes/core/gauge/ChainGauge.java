package wrenchnotes.core.gauge;

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

    private ChainGauge() {}

    /** @throws Invalid if the input of the first stage is said to be bad */
    public static ChainFound of(ChainAsked asked) {
        if (asked.stages().get(0).in() == Signal.BAD) {
            throw new Invalid("stages[0].in", "The input of the first stage is bad: the fault lies before this chain");
        }
        return new ChainWalk(asked.stages()).found();
    }
}
