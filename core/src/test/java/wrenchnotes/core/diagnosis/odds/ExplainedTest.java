package wrenchnotes.core.diagnosis.odds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.diagnosis.odds.FaultModel.ModelCause;
import wrenchnotes.core.diagnosis.odds.FaultModel.ModelFault;
import wrenchnotes.core.diagnosis.odds.FaultModel.ModelSymptom;

/** The sum held against the joint distribution written out set by set in decimals of fifty digits, which shares nothing with the core. */
class ExplainedTest {

    private static final MathContext DIGITS = new MathContext(50);

    /** @param silence in thousandths: 0 or 1000, which decimals can do exactly */
    private record Case(
            List<ModelFault> faults,
            List<ModelSymptom> symptoms,
            Set<String> present,
            Set<String> absent,
            Optional<OneMain> main,
            int silence) {

        static Case random(int faults, int told, int others, boolean oneMain, boolean silent, Random random) {
            List<ModelFault> all = new ArrayList<>();
            for (int n = 0; n < faults; n++) {
                // Of five one is aside, of a unit whose faults come with a main one.
                all.add(new ModelFault("f" + n, thousandths(random, 2, 200), oneMain && random.nextInt(5) == 0));
            }
            List<ModelSymptom> shown = new ArrayList<>();
            Set<String> present = new TreeSet<>();
            Set<String> absent = new TreeSet<>();
            for (int n = 0; n < told + others; n++) {
                List<ModelCause> causes = all.stream()
                        .filter(fault -> random.nextInt(3) > 0)
                        .map(fault -> new ModelCause(fault.id(), thousandths(random, 1, 1000)))
                        .toList();
                shown.add(new ModelSymptom("s" + n, thousandths(random, 1, 90), causes));
                if (n < told) {
                    present.add("s" + n);
                } else if (random.nextBoolean()) {
                    absent.add("s" + n);
                }
            }
            Optional<OneMain> main = oneMain
                    ? Optional.of(new OneMain(thousandths(random, 0, 1000), thousandths(random, 0, 300)))
                    : Optional.empty();
            return new Case(all, shown, present, absent, main, silent ? 1000 : 0);
        }

        private static double thousandths(Random random, int from, int to) {
            return (from + random.nextInt(to - from + 1)) / 1000.0;
        }

        Odds odds() {
            return Odds.of(FaultModel.of(faults, symptoms, main), present, absent, silence / 1000.0);
        }
    }

    private static BigDecimal exactly(double value) {
        return BigDecimal.valueOf(value);
    }

    private static BigDecimal not(BigDecimal value) {
        return BigDecimal.ONE.subtract(value);
    }

    /** Of each fault, and last of none of them: the definition, every set of faults and every symptom. */
    private static List<BigDecimal> writtenOut(Case one) {
        int n = one.faults().size();
        BigDecimal all = BigDecimal.ZERO;
        List<BigDecimal> joint = new ArrayList<>();
        for (int at = 0; at <= n; at++) {
            joint.add(BigDecimal.ZERO);
        }
        for (int set = 0; set < 1 << n; set++) {
            BigDecimal weight = chance(one, set);
            for (ModelSymptom symptom : one.symptoms()) {
                boolean there = one.present().contains(symptom.id());
                boolean away = one.absent().contains(symptom.id())
                        || !there && one.silence() > 0 && !one.present().isEmpty();
                if (there || away) {
                    BigDecimal stays = staysAway(one, symptom, set);
                    weight = weight.multiply(there ? not(stays) : stays, DIGITS);
                }
            }
            all = all.add(weight, DIGITS);
            for (int at = 0; at < n; at++) {
                if ((set >> at & 1) == 1) {
                    joint.set(at, joint.get(at).add(weight, DIGITS));
                }
            }
            if (set == 0) {
                joint.set(n, weight);
            }
        }
        BigDecimal sum = all;
        return joint.stream().map(part -> part.divide(sum, DIGITS)).toList();
    }

    private static BigDecimal staysAway(Case one, ModelSymptom symptom, int set) {
        BigDecimal stays = not(exactly(symptom.leak()));
        for (ModelCause cause : symptom.causes()) {
            if ((set >> Integer.parseInt(cause.fault().substring(1)) & 1) == 1) {
                stays = stays.multiply(not(exactly(cause.strength())), DIGITS);
            }
        }
        return stays;
    }

    private static BigDecimal chance(Case one, int set) {
        BigDecimal aside = BigDecimal.ONE;
        List<Integer> own = new ArrayList<>();
        for (int at = 0; at < one.faults().size(); at++) {
            ModelFault fault = one.faults().get(at);
            if (one.main().isPresent() && !fault.aside()) {
                own.add(at);
            } else {
                aside = aside.multiply(
                        (set >> at & 1) == 1 ? exactly(fault.prior()) : not(exactly(fault.prior())), DIGITS);
            }
        }
        return own.isEmpty() ? aside : aside.multiply(ofOneMain(one, own, set), DIGITS);
    }

    /** Nothing wrong, or each of those that are there as the main one in turn, and the others there or not besides it. */
    private static BigDecimal ofOneMain(Case one, List<Integer> own, int set) {
        OneMain main = one.main().orElseThrow();
        List<Integer> there = own.stream().filter(at -> (set >> at & 1) == 1).toList();
        if (there.isEmpty()) {
            return exactly(main.nothingWrong());
        }
        BigDecimal rates =
                own.stream().map(at -> exactly(one.faults().get(at).prior())).reduce(BigDecimal.ZERO, BigDecimal::add);
        BigDecimal all = BigDecimal.ZERO;
        for (int k : there) {
            BigDecimal chance = exactly(one.faults().get(k).prior()).divide(rates, DIGITS);
            for (int at : own) {
                BigDecimal extra = exactly(main.extras())
                        .multiply(exactly(one.faults().get(at).prior()))
                        .divide(rates, DIGITS);
                chance = at == k ? chance : chance.multiply(there.contains(at) ? extra : not(extra), DIGITS);
            }
            all = all.add(chance, DIGITS);
        }
        return all.multiply(not(exactly(main.nothingWrong())), DIGITS);
    }

    /** Up to ten faults and twelve told symptoms, independent or with one main fault, silence counting or not. */
    @Property(tries = 200)
    void itIsTheDefinitionWrittenOut(
            @ForAll @IntRange(min = 1, max = 10) int faults,
            @ForAll @IntRange(min = 0, max = 12) int told,
            @ForAll boolean oneMain,
            @ForAll boolean silent,
            @ForAll Random random) {
        Case one = Case.random(faults, told, 3, oneMain, silent, random);
        Odds odds = one.odds();
        List<BigDecimal> expected = writtenOut(one);
        for (int at = 0; at < faults; at++) {
            assertThat(odds.faults().get(at).probability())
                    .isCloseTo(expected.get(at).doubleValue(), within(1e-9));
        }
        assertThat(odds.nothingWrong()).isCloseTo(expected.get(faults).doubleValue(), within(1e-9));
        assertThat(odds.leftOut()).isZero();
        assertThat(odds.trusted()).isTrue();
        double sets =
                odds.sets().stream().mapToDouble(Odds.SetOdds::probability).sum();
        assertThat(sets).isLessThanOrEqualTo(1 + 1e-9);
        if (faults <= 3) {
            assertThat(sets).as("they are all there is").isCloseTo(1, within(1e-9));
        }
    }

    /** What is told by seventeen symptoms is bounded: the truth, by the same sum over the told ones in turn, lies within it. */
    @Property(tries = 12)
    void beyondItTheBoundHolds(@ForAll @IntRange(min = 5, max = 9) int faults, @ForAll Random random) {
        Case one = Case.random(faults, 17, 0, random.nextBoolean(), false, random);
        Odds odds = one.odds();
        List<BigDecimal> expected = writtenOut(one);
        for (int at = 0; at < faults; at++) {
            assertThat(odds.faults().get(at).probability())
                    .isCloseTo(expected.get(at).doubleValue(), within(odds.leftOut() + 1e-9));
        }
    }

    /** Many faults and much told: only a part can be weighed, and it says how much and that it is not to be gone by. */
    @Test
    void whatIsNotTrustedSaysSo() {
        List<ModelFault> faults = new ArrayList<>();
        List<ModelSymptom> symptoms = new ArrayList<>();
        Set<String> present = new TreeSet<>();
        for (int n = 0; n < 60; n++) {
            faults.add(new ModelFault("f" + n, 0.3));
        }
        for (int n = 0; n < 17; n++) {
            int own = n;
            symptoms.add(new ModelSymptom("s" + n, 0.01, List.of(new ModelCause("f" + own, 0.9))));
            present.add("s" + n);
        }
        Odds odds = Odds.of(FaultModel.of(faults, symptoms), present, Set.of());
        assertThat(odds.trusted()).isFalse();
        assertThat(odds.leftOut()).isGreaterThan(0.01);
        present.remove("s16");
        Odds fewer = Odds.of(FaultModel.of(faults, symptoms), present, Set.of());
        assertThat(fewer.trusted()).isTrue();
        // Each symptom has one cause: 0.3·(1 − 0.99·0.1) / (0.3·(1 − 0.99·0.1) + 0.7·0.01).
        assertThat(fewer.faults().get(3).probability()).isCloseTo(0.2703 / 0.2773, within(1e-9));
        assertThat(fewer.faults().get(50).probability())
                .as("nothing speaks of it")
                .isCloseTo(0.3, within(1e-12));
    }

    /** What is very unlikely keeps its digits: the sum that was here before took positive and negative terms, and lost them. */
    @Test
    void theUnlikelyKeepsItsDigits() {
        List<ModelFault> faults = List.of(new ModelFault("a", 1e-6), new ModelFault("b", 1e-7));
        List<ModelSymptom> symptoms = new ArrayList<>();
        Set<String> present = new TreeSet<>();
        for (int n = 0; n < 10; n++) {
            symptoms.add(
                    new ModelSymptom("s" + n, 1e-4, List.of(new ModelCause("a", 0.01), new ModelCause("b", 0.02))));
            present.add("s" + n);
        }
        double a = Math.pow(1 - (1 - 1e-4) * 0.99, 10) * 1e-6 * (1 - 1e-7);
        double b = Math.pow(1 - (1 - 1e-4) * 0.98, 10) * 1e-7 * (1 - 1e-6);
        double both = Math.pow(1 - (1 - 1e-4) * 0.99 * 0.98, 10) * 1e-13;
        double none = Math.pow(1e-4, 10) * (1 - 1e-6) * (1 - 1e-7);
        Odds odds = Odds.of(FaultModel.of(faults, symptoms), present, Set.of());
        double all = a + b + both + none;
        assertThat(odds.faults().get(0).probability()).isCloseTo((a + both) / all, within(1e-9));
        assertThat(odds.faults().get(1).probability()).isCloseTo((b + both) / all, within(1e-9));
    }

    @Test
    void whatCannotBeOfOneMainIsRefusedByName() {
        assertThatThrownBy(() -> new OneMain(1.1, 0)).hasMessageContaining("oneMain.extras");
        assertThatThrownBy(() -> new OneMain(0, 1)).hasMessageContaining("from 0 to below 1");
        FaultModel rates =
                FaultModel.of(List.of(new ModelFault("f", 7)), List.of(), Optional.of(new OneMain(0.1, 0.2)));
        assertThat(Odds.of(rates, Set.of(), Set.of()).faults().get(0).probability())
                .as("a rate against the others")
                .isCloseTo(0.8, within(1e-12));
        assertThatThrownBy(() -> FaultModel.of(List.of(new ModelFault("f", 7)), List.of()))
                .hasMessageContaining("above 0 and below 1");
        assertThatThrownBy(() -> Odds.of(rates, Set.of(), Set.of(), 1.5)).hasMessageContaining("silence");
    }
}
