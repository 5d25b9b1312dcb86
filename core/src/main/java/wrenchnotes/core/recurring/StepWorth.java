package wrenchnotes.core.recurring;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.statistics.descriptive.Median;
import org.apache.commons.statistics.distribution.BinomialDistribution;
import wrenchnotes.core.pattern.Share;
import wrenchnotes.core.teardown.Doing;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.teardown.Thing;

/**
 * A step of the notes as the shop's own jobs say it should be: its minutes, what is often not there, and what is often opened again.
 *
 * @param step corrected
 * @param why in one line of at most 200 characters
 */
public record StepWorth(Step step, String why) {

    /** Fewer times say nothing of how long a step takes. */
    private static final int LEAST_TIMES = 8;
    /** Minutes that are not so far off are good enough. Ours, no source. */
    private static final double FAR_OFF = 1.5;

    private static final double HALF_MINUTE = 0.5;
    private static final int LEAST_AGAIN = 3;
    /** A screw that is missing less often is bad luck. Ours, no source. */
    private static final double OFTEN = 0.2;

    private static final double TAIL = 0.025;
    private static final int LONGEST_WHY = 200;
    private static final int LONGEST_CLOSE_UP = 500;

    /**
     * What happened to the steps of a revision.
     *
     * @param minutes by step, how long it took each time
     * @param jobs by step, in how many jobs it was done
     * @param absent by thing, in how many of these it was missing, lost or left out
     * @param again by step, for what reasons it was opened again, each time
     */
    public record StepHistory(
            Map<String, List<Double>> minutes,
            Map<String, Integer> jobs,
            Map<String, Integer> absent,
            Map<String, List<String>> again) {}

    /** @return in the order of the notes; only steps of which something else should be said */
    public static List<StepWorth> of(Teardown notes, StepHistory history) {
        List<StepWorth> worth = new ArrayList<>();
        for (Step step : notes.steps()) {
            List<String> why = new ArrayList<>();
            Step better = step;
            Optional<Double> minutes = minutes(step, history.minutes().getOrDefault(step.id(), List.of()));
            if (minutes.isPresent()) {
                better = taking(better, minutes.get());
                why.add("takes " + number(minutes.get()) + " min, not "
                        + number(step.doing().minutes()) + ", by "
                        + history.minutes().get(step.id()).size() + " times");
            }
            int jobs = history.jobs().getOrDefault(step.id(), 0);
            for (Thing thing : step.things()) {
                int absent = history.absent().getOrDefault(thing.id(), 0);
                if (jobs >= FaultCount.TOO_FEW
                        && Share.of(Math.min(absent, jobs), jobs).low() >= OFTEN) {
                    String words = thing.label() + " not all there in " + absent + " of " + jobs;
                    better = remembering(better, "count the " + words);
                    why.add(words);
                }
            }
            List<String> again = history.again().getOrDefault(step.id(), List.of());
            if (again.size() >= LEAST_AGAIN) {
                String words = "opened again " + again.size() + " times, "
                        + again.stream()
                                .distinct()
                                .sorted()
                                .reduce((one, other) -> one + ", " + other)
                                .orElse("");
                better = remembering(better, "go over it before it closes: " + words);
                why.add(words);
            }
            if (!better.equals(step)) {
                worth.add(new StepWorth(better, shortened(String.join("; ", why), LONGEST_WHY)));
            }
        }
        return List.copyOf(worth);
    }

    /**
     * The median, if the notes are far off and outside of where the true one lies nineteen times in twenty, by order statistics of the binomial (published:
     * Conover, Practical Nonparametric Statistics).
     */
    private static Optional<Double> minutes(Step step, List<Double> times) {
        int many = times.size();
        if (many < LEAST_TIMES) {
            return Optional.empty();
        }
        List<Double> sorted = times.stream().sorted().toList();
        int below = BinomialDistribution.of(many, 0.5).inverseCumulativeProbability(TAIL);
        double low = sorted.get(Math.max(0, below - 1));
        double high = sorted.get(Math.min(many - 1, many - below));
        double said = step.doing().minutes();
        double median = Median.withDefaults()
                .evaluate(times.stream().mapToDouble(Double::doubleValue).toArray());
        boolean far = median > said * FAR_OFF || median < said / FAR_OFF;
        return far && (said < low || said > high)
                ? Optional.of(Math.max(HALF_MINUTE, Math.rint(median / HALF_MINUTE) * HALF_MINUTE))
                : Optional.empty();
    }

    private static Step taking(Step step, double minutes) {
        Doing was = step.doing();
        return new Step(
                step.id(),
                step.title(),
                new Doing(was.how(), was.side(), was.tool(), minutes, was.mustBeTrue(), was.closeUp()),
                step.danger(),
                step.order(),
                step.toll(),
                step.off(),
                step.exposes(),
                step.photos(),
                step.stays());
    }

    /** Once said, it is not said again. */
    private static Step remembering(Step step, String words) {
        String before = step.doing().closeUp();
        String head = words.replaceAll(" in \\d+ of \\d+| \\d+ times.*", "");
        return before.contains(head) || before.length() + words.length() + 2 > LONGEST_CLOSE_UP
                ? step
                : step.closingUp(before.isEmpty() ? words : before + "; " + words);
    }

    private static String shortened(String words, int most) {
        return words.length() <= most ? words : words.substring(0, most - 1) + "…";
    }

    private static String number(double minutes) {
        return minutes == Math.rint(minutes)
                ? String.valueOf(Math.round(minutes))
                : String.format(Locale.ROOT, "%.1f", minutes);
    }
}
