package wrenchnotes.core.diagnosis.odds;

import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import wrenchnotes.core.diagnosis.history.Rates;
import wrenchnotes.core.unit.Invalid;

/**
 * A unit's network, weighed once for all that is asked of it: what it is likely to have ({@link Diagnosis}), and what to look at next.
 *
 * @param known of the unit now
 * @param rates with whatever else is suspected, see {@link Suspects}
 * @param sets the likeliest sets of faults
 * @param each fault of the rates among those of the network
 */
public record Weighed(Known known, Rates rates, Network network, Odds odds, LikelySets sets, ByFault each) {

    /**
     * @param history what closed jobs say; what they do not know and the bench speaks of is joined
     * @throws Invalid if what is known cannot happen by these rates
     */
    public static Weighed of(Rates history, Known known) {
        Rates rates = Suspects.beside(history, known);
        Network network = Network.of(rates, known);
        Odds.WithSets weighed = Odds.of(network.model(), network.evidence());
        return new Weighed(known, rates, network, weighed.odds(), weighed.sets(), new ByFault(network.model(), rates));
    }

    /** By name, how likely anything is wrong with a component: less than its faults together where two may come at once. */
    public Map<String, Double> byComponent() {
        return rates.faults().stream()
                .map(rated -> rated.fault().component())
                .distinct()
                .collect(Collectors.toMap(
                        Function.identity(),
                        name -> 1
                                - sets.noneOf(Network.ids(
                                        rates, fault -> fault.component().equals(name)))));
    }

    /** How likely each fault of the rates is. @param of these sets or others of the same network @param weights of each set, instead of its share */
    public double[] byFault(LikelySets of, double[] weights) {
        return each.of(of.marginals(weights));
    }
}
