package wrenchnotes.core.diagnosis.odds;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import wrenchnotes.core.diagnosis.odds.FaultModel.ModelCause;
import wrenchnotes.core.diagnosis.odds.FaultModel.ModelFault;
import wrenchnotes.core.diagnosis.odds.FaultModel.ModelSymptom;

/** How long the odds take with 40 faults and 30 symptoms: part of {@code make bench}. */
public final class OddsTimes {

    private static final int TIMES = 60;

    private OddsTimes() {}

    public static void main(String[] args) {
        for (int present : new int[] {3, 6, 12}) {
            double[] millis = new double[TIMES];
            for (int n = -TIMES; n < TIMES; n++) {
                Random random = new Random(n);
                FaultModel model = network(random);
                Set<String> there = new TreeSet<>();
                Set<String> not = new TreeSet<>();
                for (int s = 0; s < 30; s++) {
                    if (s < present) {
                        there.add("s" + s);
                    } else if (s % 2 == 0) {
                        not.add("s" + s);
                    }
                }
                long begin = System.nanoTime();
                Odds.of(model, there, not);
                if (n >= 0) {
                    millis[n] = (System.nanoTime() - begin) / 1e6;
                }
            }
            Arrays.sort(millis);
            System.out.printf(
                    "odds, 40 faults × 30 symptoms, %d of them there: median %.1f ms, worst of %d %.1f ms, aim 50 ms%n",
                    present, millis[TIMES / 2], TIMES, millis[TIMES - 1]);
        }
    }

    private static FaultModel network(Random random) {
        List<ModelFault> faults = new ArrayList<>();
        for (int f = 0; f < 40; f++) {
            faults.add(new ModelFault("f" + f, 0.005 + 0.08 * random.nextDouble()));
        }
        List<ModelSymptom> symptoms = new ArrayList<>();
        for (int s = 0; s < 30; s++) {
            List<ModelCause> causes = faults.stream()
                    .map(fault -> new ModelCause(fault.id(), random.nextInt(4) == 0 ? random.nextDouble() : 0.02))
                    .toList();
            symptoms.add(new ModelSymptom("s" + s, 0.02, causes));
        }
        return FaultModel.of(faults, symptoms);
    }
}
