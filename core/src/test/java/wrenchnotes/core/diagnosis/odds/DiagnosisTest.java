package wrenchnotes.core.diagnosis.odds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.advice.NextCheck;
import wrenchnotes.core.diagnosis.history.Rates;
import wrenchnotes.core.diagnosis.history.Where.Level;
import wrenchnotes.core.diagnosis.odds.CrossedTries.Tried;
import wrenchnotes.core.diagnosis.odds.CrossedTries.Try;
import wrenchnotes.core.diagnosis.odds.Known.Done;
import wrenchnotes.core.diagnosis.odds.Known.Look;
import wrenchnotes.core.unit.Invalid;

/** Each answer at the bench moves the odds as Bayes' rule says, on numbers small enough to do by hand. */
class DiagnosisTest {

    private static final FaultName BELT = new FaultName("belt", "slack");
    private static final FaultName LENS = new FaultName("lens", "dirty");
    private static final FaultName GEAR = new FaultName("gear", "split");
    private static final Rates RATES = new Rates(
            List.of(rated(BELT, 0.3), rated(LENS, 0.2), rated(GEAR, 0.1)),
            Map.of(
                    "does not load", Map.of(BELT, 0.8, LENS, 0.02, GEAR, 0.6),
                    "skips", Map.of(BELT, 0.02, LENS, 0.7, GEAR, 0.02)),
            Map.of("does not load", 0.02, "skips", 0.02));

    private static Rates.Rated rated(FaultName fault, double rate) {
        return new Rates.Rated(fault, rate, 20 * rate, 20, new Rates.Behind(Level.MODEL, (int) (20 * rate), 20));
    }

    private static double of(Diagnosis diagnosis, FaultName fault) {
        return diagnosis.faults().stream()
                .filter(one -> one.fault().equals(fault))
                .findFirst()
                .orElseThrow()
                .probability();
    }

    private static Known seen(Look... looks) {
        return new Known(Set.of("does not load"), Set.of(), List.of(looks), List.of(), List.of());
    }

    private static Known done(Done... done) {
        return new Known(Set.of("does not load"), Set.of(), List.of(), List.of(done), List.of());
    }

    private static final Diagnosis TOLD = Diagnosis.of(RATES, seen());

    /** Bayes by hand: odds after a look = odds before × (1 − finds) / (1 − 0) for a good one, whatever else is known. */
    @Test
    void a_look_lowers_the_odds_a_little_and_a_reading_or_a_swap_a_lot() {
        double before = of(TOLD, BELT) / (1 - of(TOLD, BELT));
        double least = 1;
        for (Means means : Means.values()) {
            double after = of(Diagnosis.of(RATES, seen(new Look("Belt", true, means))), BELT);
            assertThat(after / (1 - after)).as(means.name()).isCloseTo(before * (1 - means.finds()), within(1e-9));
            least = Math.min(least, after);
        }
        assertThat(of(Diagnosis.of(RATES, seen(new Look("belt", true, Means.SWAPPED))), BELT))
                .isEqualTo(least);
        double bad = of(Diagnosis.of(RATES, seen(new Look("belt", false, Means.MEASURED))), BELT);
        double hand = before * (1 - (1 - 0.03) * (1 - 0.92)) / 0.03;
        assertThat(bad / (1 - bad)).isCloseTo(hand, within(1e-6));
    }

    @Test
    void the_belt_is_new_and_it_still_does_not_load_so_the_gear_is_next() {
        assertThat(TOLD.faults().get(0).fault()).isEqualTo(BELT);

        Diagnosis after = Diagnosis.of(RATES, done(new Done(BELT, Remedy.REPLACED, true)));

        assertThat(after.faults().get(0).fault()).isEqualTo(GEAR);
        assertThat(of(after, GEAR)).isGreaterThan(2 * of(TOLD, GEAR));
        assertThat(of(after, BELT)).isLessThan(of(TOLD, BELT) / 5);
    }

    @Test
    void a_cleaning_that_changed_nothing_proves_nothing_and_one_that_helped_does() {
        assertThat(of(Diagnosis.of(RATES, done(new Done(BELT, Remedy.CLEANED, true))), BELT))
                .isCloseTo(of(TOLD, BELT), within(1e-12));
        assertThat(of(Diagnosis.of(RATES, done(new Done(BELT, Remedy.CLEANED, false))), BELT))
                .isLessThan(0.3);
    }

    @Test
    void not_so_counts_as_much_as_so() {
        Diagnosis asked = Diagnosis.of(RATES, Known.told(Set.of("does not load"), Set.of("skips")));

        assertThat(of(asked, LENS)).isLessThan(of(TOLD, LENS) / 2);
        assertThat(TOLD.somethingElse().orElseThrow()).isCloseTo(noneByHand(), within(1e-9));
    }

    /** Of the 3 in 100 that come with nothing wrong: the chances are the rates × z, z = 1 − 0.97 · Π (1 − rate × z). */
    private static double noneByHand() {
        double z = 1;
        for (int n = 0; n < 10_000; n++) {
            z = 1 - 0.97 * (1 - 0.3 * z) * (1 - 0.2 * z) * (1 - 0.1 * z);
        }
        double all = 0;
        double none = 0;
        for (int set = 0; set < 8; set++) {
            double prior = ((set & 1) > 0 ? 0.3 * z : 1 - 0.3 * z)
                    * ((set & 2) > 0 ? 0.2 * z : 1 - 0.2 * z)
                    * ((set & 4) > 0 ? 0.1 * z : 1 - 0.1 * z)
                    * (set > 0 ? 1 : 0.03);
            double away = 0.98 * ((set & 1) > 0 ? 0.2 : 1) * ((set & 2) > 0 ? 0.98 : 1) * ((set & 4) > 0 ? 0.4 : 1);
            all += prior * (1 - away);
            none += set == 0 ? prior * (1 - away) : 0;
        }
        return none / all;
    }

    /** What the shop's rates say of a unit of which nothing is told is the rates themselves. */
    @Test
    void before_anything_is_told_the_odds_are_the_rates() {
        Diagnosis nothing = Diagnosis.of(RATES, Known.told(Set.of(), Set.of()));

        assertThat(of(nothing, BELT)).isCloseTo(0.3, within(1e-9));
        assertThat(of(nothing, LENS)).isCloseTo(0.2, within(1e-9));
        assertThat(of(nothing, GEAR)).isCloseTo(0.1, within(1e-9));
    }

    private static Known crossed(List<Try> tries) {
        return new Known(
                Set.of(),
                Set.of(),
                List.of(),
                List.of(),
                List.of(new CrossedTries(
                        List.of(tried("disc one"), tried("disc two"), tried("disc three")),
                        List.of(new Tried("this one", false, Optional.of("lens")), tried("the good drive")),
                        tries)));
    }

    private static Tried tried(String name) {
        return new Tried(name, false, Optional.empty());
    }

    @Test
    void crossed_tries_blame_what_they_have_in_common() {
        Diagnosis column = Diagnosis.of(
                RATES,
                crossed(List.of(
                        new Try(0, 0, false),
                        new Try(1, 0, false),
                        new Try(2, 0, false),
                        new Try(0, 1, true),
                        new Try(1, 1, true))));
        assertThat(of(column, LENS)).isGreaterThan(0.95);
        assertThat(column.outside())
                .allSatisfy(one -> assertThat(one.probability()).isLessThan(0.2));

        Diagnosis row = Diagnosis.of(
                RATES,
                crossed(List.of(new Try(0, 0, false), new Try(0, 1, false), new Try(1, 0, true), new Try(2, 1, true))));
        assertThat(row.outside().get(0).name()).isEqualTo("disc one");
        assertThat(row.outside().get(0).probability()).isGreaterThan(0.9);
        assertThat(of(row, LENS)).isLessThan(0.06);

        assertThatThrownBy(() -> crossed(List.of(new Try(0, 0, true), new Try(0, 0, false))))
                .isInstanceOf(Invalid.class)
                .hasMessageContaining("disc one in this one");
    }

    /** The mutual information of a check and a single fault, from its definition. */
    @Test
    void what_a_check_tells_is_shannons_information() {
        Rates one = new Rates(List.of(rated(BELT, 0.3)), Map.of(), Map.of());

        NextCheck look = NextCheck.best(one, Known.told(Set.of(), Set.of()), Map.of("belt", 5.0), 20, 1, Set.of())
                .get(0);

        Means means = look.how().orElseThrow();
        double badIfFault = 1 - (1 - means.falseAlarm()) * (1 - means.finds());
        double bad = 0.3 * badIfFault + 0.7 * means.falseAlarm();
        double bits = h(bad) - 0.3 * h(badIfFault) - 0.7 * h(means.falseAlarm());
        assertThat(look.bits()).isCloseTo(bits, within(1e-9));
        assertThat(look.likely()).isCloseTo(bad, within(1e-9));
        assertThat(look.minutes()).isEqualTo(5 + means.minutes());
    }

    private static double h(double p) {
        return -(p * Math.log(p) + (1 - p) * Math.log(1 - p)) / Math.log(2);
    }

    @Test
    void what_is_near_comes_before_what_is_deep() {
        Map<String, Double> belt = Map.of("belt", 40.0, "lens", 40.0, "gear", 1.0);
        assertThat(NextCheck.best(RATES, seen(), belt, 20, 60, Set.of()).get(0).what())
                .isEqualTo("gear");
        assertThat(NextCheck.best(RATES, seen(), belt, 20, 0.5, Set.of()).get(0).what())
                .as("a question costs nothing")
                .isEqualTo("skips");
        assertThat(NextCheck.best(RATES, seen(), belt, 20, 60, Set.of("gear")))
                .extracting(NextCheck::what)
                .doesNotContain("gear")
                .doesNotHaveDuplicates();
    }
}
