package wrenchnotes.core.diagnosis.advice;

import java.util.Comparator;
import java.util.List;
import wrenchnotes.core.unit.Checked;

/**
 * In which order to try independent checks until one finds the fault: by probability over cost, largest first. That order has the
 * least expected cost of all (published: Mitten, An analytic solution to the least cost testing sequence problem, 1960;
 * from memory).
 */
public final class CheckOrder {

    /**
     * @param probability that this check finds it, 0 to 1
     * @param minutes it takes, above 0
     */
    public record Single(String id, double probability, double minutes) {
        public Single {
            Checked.within("probability", probability, 0.0, 1.0);
            Checked.within("minutes", minutes, Double.MIN_VALUE, 1e6);
        }
    }

    private CheckOrder() {}

    public static List<Single> of(List<Single> checks) {
        return checks.stream()
                .sorted(Comparator.comparingDouble((Single check) -> check.probability() / check.minutes())
                        .reversed())
                .toList();
    }

    /** What the order costs on average, if each check ends the search with its probability and independently of the others. */
    public static double expectedMinutes(List<Single> order) {
        double minutes = 0;
        double goesOn = 1;
        for (Single check : order) {
            minutes += goesOn * check.minutes();
            goesOn *= 1 - check.probability();
        }
        return minutes;
    }
}
