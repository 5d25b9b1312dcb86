package wrenchnotes.core.diagnosis.odds;

import java.util.HashMap;
import java.util.Map;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.history.Rates;

/** How likely each fault is, and nothing of what a screen shows beside it (likeliest sets, ranges): those take twenty times as long. */
public final class Probabilities {

    private Probabilities() {}

    /** As {@link Diagnosis} has them, up to {@value Odds#EXACT_TOLD} told symptoms. */
    public static Map<FaultName, Double> of(Rates history, Known known) {
        Rates rates = Suspects.beside(history, known);
        Network network = Network.of(rates, known);
        double[] byFault = new ByFault(network.model(), rates)
                .of(Explained.marginals(network.model(), network.evidence()).probabilities());
        Map<FaultName, Double> odds = new HashMap<>();
        for (int at = 0; at < byFault.length; at++) {
            odds.put(rates.faults().get(at).fault(), byFault[at]);
        }
        return odds;
    }
}
