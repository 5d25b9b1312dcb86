package wrenchnotes.server.diagnosis;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.history.History;
import wrenchnotes.core.diagnosis.history.PastJob;
import wrenchnotes.core.diagnosis.history.Rates;
import wrenchnotes.core.diagnosis.odds.Diagnosis;
import wrenchnotes.core.diagnosis.odds.Known;

/**
 * Honest odds: a shop's history is gone through in the order of time, and each job is foretold before it is learned from. Beside
 * the odds stand two rivals that a bench could keep on paper: how often each fault was found on this model, and how often on this model
 * with one of these symptoms. Scores: Brier (published: Brier 1950; from memory), the mean over the jobs of the sum over the faults of the squared
 * miss; 0 is perfect.
 */
public final class Foretold {

    private static final double[] BINS = {0, 0.1, 0.3, 0.5, 0.7, 0.9, 1.0001};

    /** How one forecaster did. */
    public static final class Score {

        private int jobs;
        private int first;
        private int firstThree;
        private double misses;
        private final int[] told = new int[BINS.length - 1];
        private final double[] sum = new double[BINS.length - 1];
        private final int[] came = new int[BINS.length - 1];

        void add(Map<FaultName, Double> foretold, Set<FaultName> all, Set<FaultName> found) {
            jobs++;
            List<FaultName> order = all.stream()
                    .sorted(Comparator.comparingDouble((FaultName fault) -> -foretold.getOrDefault(fault, 0.0))
                            .thenComparing(Comparator.naturalOrder()))
                    .toList();
            first += found.contains(order.get(0)) ? 1 : 0;
            firstThree += order.stream().limit(3).anyMatch(found::contains) ? 1 : 0;
            for (FaultName fault : all) {
                double p = foretold.getOrDefault(fault, 0.0);
                boolean so = found.contains(fault);
                misses += (p - (so ? 1 : 0)) * (p - (so ? 1 : 0));
                int bin = 0;
                while (p >= BINS[bin + 1]) {
                    bin++;
                }
                told[bin]++;
                sum[bin] += p;
                came[bin] += so ? 1 : 0;
            }
        }

        public double brier() {
            return misses / jobs;
        }

        public double first() {
            return (double) first / jobs;
        }

        void print(String name) {
            System.out.printf(
                    "%-44s first %4.1f %%, in the first three %4.1f %%, Brier %.4f%n",
                    name, 100 * first(), 100.0 * firstThree / jobs, brier());
        }

        void printCalibration() {
            System.out.println("calibration of the odds: said, so many times, mean said, came true");
            for (int bin = 0; bin < told.length; bin++) {
                if (told[bin] > 0) {
                    System.out.printf(
                            "  %3.0f to %3.0f %%  %5d  %5.1f %%  %5.1f %%%n",
                            100 * BINS[bin],
                            Math.min(100, 100 * BINS[bin + 1]),
                            told[bin],
                            100 * sum[bin] / told[bin],
                            100.0 * came[bin] / told[bin]);
                }
            }
        }
    }

    public final Score odds = new Score();
    public final Score ofTheModel = new Score();
    public final Score withTheSymptom = new Score();

    private final History history = new History();
    private final Map<Long, List<PastJob>> byModel = new HashMap<>();

    private Foretold() {}

    public static Foretold of(Book.Past past) {
        Foretold replay = new Foretold();
        for (int at = 0; at < past.book().size(); at++) {
            past.book()
                    .past(at, past.names())
                    .filter(job -> !job.faults().isEmpty())
                    .ifPresent(job -> replay.next(
                            job, past.names().components(), past.names().spoken()));
        }
        return replay;
    }

    private void next(PastJob job, Map<Long, Set<String>> components, List<String> words) {
        Rates rates = history.rates(job.where(), Set.of(), components, words);
        Map<FaultName, Double> foretold = new HashMap<>();
        Diagnosis.of(rates, Known.told(job.present(), job.absent()))
                .faults()
                .forEach(likely -> foretold.put(likely.fault(), likely.probability()));
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

    public void print() {
        System.out.printf("%nthe demo's %d jobs with a fault, each foretold before it is learned from%n", odds.jobs);
        odds.print("odds");
        ofTheModel.print("rival: most frequent of the model");
        withTheSymptom.print("rival: most frequent with such a symptom");
        odds.printCalibration();
    }
}
