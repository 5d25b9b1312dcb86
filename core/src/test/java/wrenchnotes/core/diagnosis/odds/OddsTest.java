package wrenchnotes.core.diagnosis.odds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.diagnosis.odds.FaultModel.ModelCause;
import wrenchnotes.core.diagnosis.odds.FaultModel.ModelFault;
import wrenchnotes.core.diagnosis.odds.FaultModel.ModelSymptom;

/** The posterior of faults, held against the definition summed out by a loop that knows no short cut. */
class OddsTest {

    /** The joint distribution written out: every set of faults, every symptom, nothing shared with the core. */
    private static double[] bruteForce(
            List<ModelFault> faults, List<ModelSymptom> symptoms, Set<String> present, Set<String> absent) {
        double all = 0;
        double[] joint = new double[faults.size()];
        for (int set = 0; set < 1 << faults.size(); set++) {
            double weight = 1;
            for (int at = 0; at < faults.size(); at++) {
                double prior = faults.get(at).prior();
                weight *= (set >> at & 1) == 1 ? prior : 1 - prior;
            }
            for (ModelSymptom symptom : symptoms) {
                double away = 1 - symptom.leak();
                for (ModelCause cause : symptom.causes()) {
                    for (int at = 0; at < faults.size(); at++) {
                        if (faults.get(at).id().equals(cause.fault()) && (set >> at & 1) == 1) {
                            away *= 1 - cause.strength();
                        }
                    }
                }
                if (present.contains(symptom.id())) {
                    weight *= 1 - away;
                } else if (absent.contains(symptom.id())) {
                    weight *= away;
                }
            }
            all += weight;
            for (int at = 0; at < faults.size(); at++) {
                joint[at] += (set >> at & 1) == 1 ? weight : 0;
            }
        }
        double[] posterior = new double[faults.size()];
        for (int at = 0; at < posterior.length; at++) {
            posterior[at] = joint[at] / all;
        }
        return posterior;
    }

    private record Case(List<ModelFault> faults, List<ModelSymptom> symptoms, Set<String> present, Set<String> absent) {

        static Case random(int faults, int symptoms, Random random) {
            List<ModelFault> all = new ArrayList<>();
            for (int n = 0; n < faults; n++) {
                all.add(new ModelFault("f" + n, 0.002 + 0.3 * random.nextDouble()));
            }
            List<ModelSymptom> shown = new ArrayList<>();
            Set<String> present = new TreeSet<>();
            Set<String> absent = new TreeSet<>();
            for (int n = 0; n < symptoms; n++) {
                List<ModelCause> causes = all.stream()
                        .filter(fault -> random.nextInt(3) == 0)
                        .map(fault -> new ModelCause(fault.id(), 0.1 + 0.9 * random.nextDouble()))
                        .toList();
                shown.add(new ModelSymptom("s" + n, 0.001 + 0.1 * random.nextDouble(), causes));
                switch (random.nextInt(3)) {
                    case 0 -> present.add("s" + n);
                    case 1 -> absent.add("s" + n);
                    default -> {}
                }
            }
            return new Case(all, shown, present, absent);
        }

        Odds odds() {
            return Odds.of(FaultModel.of(faults, symptoms), present, absent);
        }
    }

    @Property(tries = 600)
    void theyAreTheDefinitionSummedOut(
            @ForAll @IntRange(min = 1, max = 10) int faults,
            @ForAll @IntRange(min = 0, max = 7) int symptoms,
            @ForAll Random random) {
        Case one = Case.random(faults, symptoms, random);
        Odds odds = one.odds();
        double[] expected = bruteForce(one.faults(), one.symptoms(), one.present(), one.absent());
        for (int at = 0; at < faults; at++) {
            assertThat(odds.faults().get(at).probability()).isCloseTo(expected[at], within(1e-9));
        }
        assertThat(odds.leftOut()).isZero();
        assertThat(odds.sets().stream().mapToDouble(Odds.SetOdds::probability).sum())
                .isLessThanOrEqualTo(1 + 1e-9);
        if (faults <= 3) {
            // All sets are told, but for those together too unlikely to be weighed at all.
            assertThat(odds.sets().stream()
                            .mapToDouble(Odds.SetOdds::probability)
                            .sum())
                    .isCloseTo(1, within(Odds.ENOUGH));
        }
    }

    /** Bayes by hand: prior 0.1, causes it in 0.8, leak 0.05. P = 0.1·(1−0.95·0.2) / (0.1·0.81 + 0.9·0.05). */
    @Test
    void oneFaultAndOneSymptomByHand() {
        FaultModel model = FaultModel.of(
                List.of(new ModelFault("belt", 0.1)),
                List.of(new ModelSymptom("no play", 0.05, List.of(new ModelCause("belt", 0.8)))));
        assertThat(probability(Odds.of(model, Set.of("no play"), Set.of()), "belt"))
                .isCloseTo(0.081 / (0.081 + 0.045), within(1e-12));
        // Asked for and not so is evidence as well: P = 0.1·0.95·0.2 / (0.1·0.19 + 0.9·0.95).
        assertThat(probability(Odds.of(model, Set.of(), Set.of("no play")), "belt"))
                .isCloseTo(0.019 / (0.019 + 0.855), within(1e-12));
        assertThat(probability(Odds.of(model, Set.of(), Set.of()), "belt")).isCloseTo(0.1, within(1e-12));
    }

    /** Explaining away: one cause confirmed takes the blame off the other (Pearl; a fact of the model). */
    @Test
    void aCauseThatExplainsItTakesTheBlameOffTheOther() {
        List<ModelFault> faults = List.of(new ModelFault("belt", 0.1), new ModelFault("motor", 0.1));
        ModelSymptom slow =
                new ModelSymptom("slow", 0.01, List.of(new ModelCause("belt", 0.9), new ModelCause("motor", 0.9)));
        ModelSymptom squeal = new ModelSymptom("squeal", 0.01, List.of(new ModelCause("belt", 0.9)));
        FaultModel model = FaultModel.of(faults, List.of(slow, squeal));
        double alone = probability(Odds.of(model, Set.of("slow"), Set.of()), "motor");
        double explained = probability(Odds.of(model, Set.of("slow", "squeal"), Set.of()), "motor");
        double unexplained = probability(Odds.of(model, Set.of("slow"), Set.of("squeal")), "motor");
        assertThat(explained).isLessThan(alone);
        assertThat(unexplained).isGreaterThan(alone);
        assertThat(Odds.of(model, Set.of("slow", "squeal"), Set.of())
                        .sets()
                        .get(0)
                        .faults())
                .containsExactly("belt");
    }

    @Test
    void whatCannotBeIsRefusedByName() {
        assertThatThrownBy(() -> new ModelFault("belt", 0)).hasMessageContaining("above 0 and below 1");
        List<ModelFault> belt = List.of(new ModelFault("belt", 0.1));
        assertThatThrownBy(() ->
                        FaultModel.of(belt, List.of(new ModelSymptom("s", 0, List.of(new ModelCause("motor", 0.5))))))
                .hasMessageContaining("not in the list: motor");
        assertThatThrownBy(() -> FaultModel.of(List.of(belt.get(0), belt.get(0)), List.of()))
                .hasMessageContaining("Two faults");
        FaultModel model = FaultModel.of(belt, List.of(new ModelSymptom("silent", 0, List.of())));
        assertThatThrownBy(() -> Odds.of(model, Set.of("silent"), Set.of()))
                .hasMessageContaining("Nothing in the model can show these");
        assertThatThrownBy(() -> Odds.of(model, Set.of("silent"), Set.of("silent")))
                .hasMessageContaining("said to be there and not");
        assertThatThrownBy(() -> Odds.of(model, Set.of("loud"), Set.of())).hasMessageContaining("no symptom loud");
    }

    private static double probability(Odds odds, String fault) {
        Map<String, Double> byId =
                odds.faults().stream().collect(Collectors.toMap(Odds.FaultOdds::id, Odds.FaultOdds::probability));
        return byId.get(fault);
    }
}
