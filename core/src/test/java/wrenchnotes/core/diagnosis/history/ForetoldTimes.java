package wrenchnotes.core.diagnosis.history;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.unit.Kind;

/** What is said of four made-up shops, and whether it comes true; how quickly a change is seen; what learning takes: part of {@code make bench}. */
public final class ForetoldTimes {

    private static final Where HERE = new Where(1, 1, Kind.PLAYER);
    private static final int HISTORIES = 200;

    private ForetoldTimes() {}

    public static void main(String[] args) {
        ForetoldShops.TUNED.forEach(shop -> print("settings chosen on", shop));
        ForetoldShops.JUDGED.forEach(shop -> print("settings judged on", shop));
        for (double halfLife : new double[] {25, 50, 100, Double.POSITIVE_INFINITY}) {
            step(halfLife);
        }
        learning();
    }

    private static void print(String how, ForetoldShops.Shop shop) {
        new Foretold(new History(), shop.components(), Vocabulary.of(shop.words()))
                .of(shop.jobs())
                .print(how + ": " + shop.name());
    }

    /** A fault comes in 5 of 100 jobs, and from then on in 25: how far the rate has come after twenty. */
    private static void step(double halfLife) {
        double[] rates = new double[HISTORIES];
        for (int n = 0; n < HISTORIES; n++) {
            Random random = new Random(n);
            History history = new History(
                    new Learning(Learning.USUAL.wide(), Learning.USUAL.own(), Learning.USUAL.shows(), halfLife));
            for (int job = 0; job < 120; job++) {
                boolean so = random.nextDouble() < (job < 100 ? 0.05 : 0.25);
                history.learn(job(Set.of(new FaultName(so ? "belt" : "lens", "bad")), Set.of()));
            }
            rates[n] = history.rates(HERE, Set.of(), Map.of(), List.of())
                    .byWords()
                    .get(new FaultName("belt", "bad").words())
                    .rate();
        }
        Arrays.sort(rates);
        System.out.printf(
                "a rate that steps from 5 to 25 %%, after twenty jobs, half-life %.0f jobs%s: %.1f %% (median of %d histories)%n",
                halfLife,
                halfLife == Learning.USUAL.halfLife() ? ", as set" : "",
                100 * rates[HISTORIES / 2],
                HISTORIES);
    }

    private static void learning() {
        List<PastJob> jobs = new ArrayList<>();
        for (int turn = 0; turn < 20; turn++) {
            ForetoldShops.TUNED.forEach(shop -> jobs.addAll(shop.jobs()));
        }
        History warm = new History();
        jobs.forEach(warm::learn);
        History history = new History();
        double[] micros = new double[jobs.size()];
        for (int at = 0; at < micros.length; at++) {
            long begin = System.nanoTime();
            history.learn(jobs.get(at));
            micros[at] = (System.nanoTime() - begin) / 1e3;
        }
        long begin = System.nanoTime();
        history.again(jobs);
        double sweep = (System.nanoTime() - begin) / 1e6;
        Arrays.sort(micros);
        System.out.printf(
                "learning a job: median %.0f µs, 99 in 100 within %.0f µs, aim 1,000; a sweep over %,d jobs %.0f ms%n",
                micros[micros.length / 2], micros[micros.length * 99 / 100], jobs.size(), sweep);
    }

    private static PastJob job(Set<FaultName> faults, Set<String> present) {
        return new PastJob(HERE, faults, present, Set.of(), Optional.empty());
    }
}
