package wrenchnotes.core.diagnosis.advice;

import java.util.Map;
import java.util.Set;

/**
 * How to get at the components of a unit from what is open now.
 *
 * @param minutes by name of component in lower case, 0 or more
 * @param passes by component, those others that lie open once one has got at it
 * @param unknown minutes to a component that no notes lead to
 */
public record Ways(Map<String, Double> minutes, Map<String, Set<String>> passes, double unknown) {

    public Ways {
        minutes = Map.copyOf(minutes);
        passes = Map.copyOf(passes);
    }

    double to(String component) {
        return minutes.getOrDefault(component, unknown);
    }

    Set<String> passing(String component) {
        return passes.getOrDefault(component, Set.of());
    }
}
