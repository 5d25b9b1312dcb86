package wrenchnotes.core.diagnosis.advice;

import java.util.Comparator;
import java.util.List;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * A component that can be reached, and how soon it is worth to go there. Where just one of several places holds what is sought, and each takes its own time,
 * the expected time until it is found is least if one goes by probability per minute, most first (published: Black 1965, Discrete sequential search; from
 * memory). Ways share steps here, so the order is a good one and not always the best: whoever has gone to the first place is asked anew.
 *
 * @param component its id
 * @param probability that something is wrong with it, 0 to 1
 * @param minutes of the way from what is open, 0 if it lies open
 */
public record WhereTo(long component, double probability, double minutes) {

    /** Once there it is looked at. */
    private static final double LOOK = Means.LOOKED.minutes();

    /** @throws Invalid if the probability is not within 0 and 1, or the minutes are below 0 */
    public WhereTo {
        Checked.within("probability", probability, 0, 1);
        if (!(minutes >= 0)) {
            throw new Invalid("minutes", "A way takes 0 minutes or more, not " + minutes);
        }
    }

    double perMinute() {
        return probability / (minutes + LOOK);
    }

    /** The same, what is worth most a minute first; of equals the nearest. */
    public static List<WhereTo> ranked(List<WhereTo> places) {
        return places.stream()
                .sorted(Comparator.comparingDouble(WhereTo::perMinute)
                        .reversed()
                        .thenComparingDouble(WhereTo::minutes)
                        .thenComparingLong(WhereTo::component))
                .toList();
    }
}
