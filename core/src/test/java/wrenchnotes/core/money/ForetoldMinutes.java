package wrenchnotes.core.money;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import wrenchnotes.core.diagnosis.history.History;
import wrenchnotes.core.diagnosis.history.PastJob;
import wrenchnotes.core.diagnosis.history.Rates;
import wrenchnotes.core.diagnosis.history.Vocabulary;
import wrenchnotes.core.diagnosis.odds.Diagnosis;
import wrenchnotes.core.diagnosis.odds.Known;

/** Whether what is said to hold half the time does: each job of a history is estimated by what was told at the counter, before it is learned from. */
public final class ForetoldMinutes {

    private final History history = new History();
    private final List<Boolean> half = new ArrayList<>();
    private final List<Boolean> fourFifths = new ArrayList<>();

    public static ForetoldMinutes of(Iterable<PastJob> jobs, Map<Long, Set<String>> components, Vocabulary words) {
        ForetoldMinutes foretold = new ForetoldMinutes();
        jobs.forEach(job -> foretold.next(job, components, words));
        return foretold;
    }

    private void next(PastJob job, Map<Long, Set<String>> components, Vocabulary words) {
        job.work().ifPresent(work -> {
            Rates rates = history.rates(job.where(), Set.of(), components, words);
            Diagnosis diagnosis = Diagnosis.of(rates, Known.told(job.present(), job.absent()));
            Estimate estimate = Estimate.of(diagnosis, Set.of(), history.work(job.where()), 0);
            half.add(work.minutes() <= estimate.halfMinutes());
            fourFifths.add(work.minutes() <= estimate.fourFifthsMinutes());
        });
        history.learn(job);
    }

    public double half() {
        return share(half);
    }

    public double fourFifths() {
        return share(fourFifths);
    }

    private static double share(List<Boolean> kept) {
        return (double) kept.stream().filter(one -> one).count() / kept.size();
    }

    public void print(String name) {
        System.out.printf(
                "%s: of %d jobs %.0f in 100 kept within what is said to hold half the time, %.0f within four fifths%n",
                name, half.size(), 100 * half(), 100 * fourFifths());
    }
}
