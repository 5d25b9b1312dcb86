package wrenchnotes.core.diagnosis.odds;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.history.Rates;
import wrenchnotes.core.diagnosis.odds.FaultModel.ModelCause;
import wrenchnotes.core.diagnosis.odds.FaultModel.ModelFault;
import wrenchnotes.core.diagnosis.odds.FaultModel.ModelSymptom;

/**
 * The odds as they were: faults come independently, any of them gets the unit brought in, nobody's silence counts. Chances are scaled until each
 * fault comes as often among what is brought in as its rate says.
 */
public final class IndependentOdds {

    private static final String BROUGHT_IN = "brought in";

    private IndependentOdds() {}

    public static Map<FaultName, Double> of(Rates rates, Set<String> present, Set<String> absent) {
        double[] chance = rates.faults().stream().mapToDouble(Rates.Rated::rate).toArray();
        double any = 1;
        for (int turn = 0; turn < 40; turn++) {
            double none = 1 - rates.nothingWrong();
            for (Rates.Rated one : rates.faults()) {
                none *= 1 - Math.min(0.95, one.rate() * any);
            }
            any = 1 - none;
        }
        List<ModelFault> faults = new ArrayList<>();
        Map<String, FaultName> names = new HashMap<>();
        for (int at = 0; at < chance.length; at++) {
            FaultName name = rates.faults().get(at).fault();
            names.put(name.words(), name);
            faults.add(new ModelFault(name.words(), Math.min(0.95, chance[at] * any)));
        }
        List<ModelSymptom> symptoms = new ArrayList<>();
        symptoms.add(new ModelSymptom(
                BROUGHT_IN,
                rates.nothingWrong(),
                faults.stream().map(fault -> new ModelCause(fault.id(), 1)).toList()));
        Set<String> told = new TreeSet<>(present);
        told.addAll(absent);
        told.retainAll(rates.shows().keySet());
        for (String word : told) {
            symptoms.add(new ModelSymptom(
                    word,
                    rates.leaks().get(word),
                    rates.shows().get(word).entrySet().stream()
                            .map(entry -> new ModelCause(entry.getKey().words(), entry.getValue()))
                            .toList()));
        }
        Set<String> there = new TreeSet<>(present);
        there.retainAll(told);
        there.add(BROUGHT_IN);
        Set<String> not = new TreeSet<>(absent);
        not.retainAll(told);
        Map<FaultName, Double> odds = new HashMap<>();
        FaultModel model = FaultModel.of(faults, symptoms);
        double[] exact =
                Explained.marginals(model, Evidence.of(model, there, not)).probabilities();
        for (int at = 0; at < exact.length; at++) {
            odds.put(names.get(faults.get(at).id()), exact[at]);
        }
        return odds;
    }
}
