package wrenchnotes.core.diagnosis.history;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.odds.Diagnosis;
import wrenchnotes.core.diagnosis.odds.IndependentOdds;
import wrenchnotes.core.diagnosis.odds.Known;
import wrenchnotes.core.diagnosis.odds.Probabilities;

/**
 * Honest odds: a shop's history is gone through in the order of time, and each job is foretold before it is learned from. Beside
 * the odds stand two rivals that a bench could keep on paper: how often each fault was found on this model, and how often on this model
 * with one of these symptoms; and the odds as they were before faults had one main ({@link IndependentOdds}).
 */
public final class Foretold {

    /** Of so many jobs one is looked at as a screen shows it. */
    private static final int SHOWN_TOO = 50;

    public final ForetoldScore odds = new ForetoldScore();
    public final ForetoldScore before = new ForetoldScore();
    public final ForetoldScore ofTheModel = new ForetoldScore();
    public final ForetoldScore withTheSymptom = new ForetoldScore();

    private final History history;
    private final Map<Long, Set<String>> components;
    private final Vocabulary words;
    private final Map<Long, List<PastJob>> byModel = new HashMap<>();

    /** @param components as of {@link History#rates} @param words the shop's */
    public Foretold(History history, Map<Long, Set<String>> components, Vocabulary words) {
        this.history = history;
        this.components = components;
        this.words = words;
    }

    /** What is scored is what a screen would have said. */
    private static void shown(Map<FaultName, Double> foretold, Diagnosis shown) {
        for (Diagnosis.Likely one : shown.faults()) {
            if (!(Math.abs(one.probability() - foretold.get(one.fault())) < 1e-12)) {
                throw new AssertionError(one + " is shown, and foretold was " + foretold.get(one.fault()));
            }
        }
    }

    public Foretold of(Iterable<PastJob> jobs) {
        jobs.forEach(this::next);
        return this;
    }

    public void next(PastJob job) {
        Rates rates = history.rates(job.where(), Set.of(), components, words);
        Known known = Known.told(job.present(), job.absent());
        Map<FaultName, Double> foretold = Probabilities.of(rates, known);
        if (odds.jobs() % SHOWN_TOO == 0) {
            shown(foretold, Diagnosis.of(rates, known));
        }
        List<PastJob> earlier = byModel.computeIfAbsent(job.where().model(), model -> new ArrayList<>());
        List<PastJob> alike = earlier.stream()
                .filter(one -> one.present().stream().anyMatch(job.present()::contains))
                .toList();
        Map<FaultName, Double> frequent = shares(earlier);
        Map<FaultName, Double> frequentSo = alike.isEmpty() ? frequent : shares(alike);
        Set<FaultName> all = new HashSet<>(foretold.keySet());
        all.addAll(frequent.keySet());
        all.addAll(job.faults());
        odds.add(foretold, all, job.faults());
        before.add(IndependentOdds.of(rates, job.present(), job.absent()), all, job.faults());
        ofTheModel.add(frequent, all, job.faults());
        withTheSymptom.add(frequentSo, all, job.faults());
        earlier.add(job);
        history.learn(job);
    }

    private static Map<FaultName, Double> shares(List<PastJob> jobs) {
        Map<FaultName, Double> shares = new HashMap<>();
        jobs.forEach(job -> job.faults().forEach(fault -> shares.merge(fault, 1.0 / jobs.size(), Double::sum)));
        return shares;
    }

    /** @param name of the shop */
    public void print(String name) {
        System.out.printf("%n%s: %d jobs with a fault, each foretold before it is learned from%n", name, odds.jobs());
        odds.print("odds");
        before.print("odds before faults had one main");
        ofTheModel.print("rival: most frequent of the model");
        withTheSymptom.print("rival: most frequent with such a symptom");
        odds.printCalibration();
    }
}
